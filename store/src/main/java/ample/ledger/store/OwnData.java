package ample.ledger.store;

import java.util.List;
import org.springframework.transaction.support.TransactionTemplate;

/** All that is kept of one visitor, wherever it lies: to be taken away, and to be deleted. */
public class OwnData {

    private final OwnDataMapper mapper;
    private final TransactionTemplate transaction;
    private final Retention retention;

    OwnData(OwnDataMapper mapper, TransactionTemplate transaction, Retention retention) {
        this.mapper = mapper;
        this.transaction = transaction;
        this.retention = retention;
    }

    /**
     * All of it as one JSON document; secrets by which something is reached are left out.
     *
     * @param owner as {@link Visitors} names them
     */
    public String all(String owner) {
        return mapper.all(owner, Visitors.studentOf(owner).orElse(""));
    }

    /**
     * Deletes all of it, with everything that the visitor shows to others. What was handed to the registrar and is not answered yet stays until it
     * is: it is decided there, and not here.
     */
    public void delete(String owner) {
        transaction.executeWithoutResult(status -> {
            mapper.deleteVisitor(owner);
            mapper.deleteConcerns(owner);
            mapper.deletePerson(owner);
            mapper.deleteNotices(owner);
            mapper.deleteLetters(owner);
            mapper.deleteAddresses(owner);
        });
    }

    /**
     * Deletes all of it of students who have not come for as long as it is kept.
     *
     * @return of how many
     */
    public int deleteLongGone() {
        if (retention.students().isZero()) {
            return 0;
        }
        List<String> gone = mapper.notSeenFor(retention.students().toSeconds());
        gone.forEach(this::delete);
        return gone.size();
    }
}
