package ample.ledger.store;

import ample.ledger.core.watch.Concern;
import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is kept for visitors, students and guests alike: one document each. What stands in it, it does not know.
 *
 * <p>Changes of one visitor's document come one after the other, whichever instance makes them: each begins with what the one
 * before it has left. Students' documents stay; a guest's goes when the guest has not come for as long as it is kept ({@link Retention}).
 */
public class Visitors {

    /** Of a guest who has not come back with their cookie yet: most never do, and some programs never will. */
    static final Duration FIRST_VISIT = Duration.ofHours(1);

    /** Once a day is often enough to note that a guest has come. */
    private static final Duration NOTED_AGAIN = Duration.ofDays(1);

    private static final String STUDENT = "student:";
    private static final String GUEST = "guest:";

    private final VisitorMapper mapper;
    private final Concerns concerns;
    private final TransactionTemplate transaction;

    /** For how long a guest is kept. */
    private final Duration guests;

    Visitors(VisitorMapper mapper, Concerns concerns, TransactionTemplate transaction, Retention retention) {
        this.guests = retention.guests();
        this.mapper = mapper;
        this.concerns = concerns;
        this.transaction = transaction;
    }

    /** How a student is named here. */
    public static String student(String name) {
        return STUDENT + name;
    }

    /** The name of a student who is named so here; empty for a guest. */
    public static Optional<String> studentOf(String owner) {
        return owner.startsWith(STUDENT) ? Optional.of(owner.substring(STUDENT.length())) : Optional.empty();
    }

    /** How a guest is named here, by a digest of what only their browser knows. */
    public static String guest(String digest) {
        return GUEST + digest;
    }

    /**
     * What is kept for one visitor.
     *
     * @param content JSON
     * @param renewed whether a guest is kept for longer from now on, and so must be the cookie that names them
     * @param unseen what the notices are about that a student has not seen: of each its term and what it is about, with a blank between
     */
    public record Found(String content, boolean renewed, List<String> unseen) {}

    /**
     * What becomes of a document.
     *
     * @param content what is to be kept; empty to leave everything as it is
     * @param concerns what concerns the visitor by it; empty where that is as before
     * @param answer for who asked for the change
     */
    public record Change<T>(Optional<String> content, Optional<Set<Concern>> concerns, T answer) {

        /** Of what concerns nobody. */
        public Change(Optional<String> content, T answer) {
            this(content, Optional.empty(), answer);
        }
    }

    /** What is kept for a visitor; empty for nothing. */
    public Optional<Found> find(String owner) {
        return mapper.find(owner, guests.minus(NOTED_AGAIN).toSeconds()).map(row -> {
            if (row.due()) {
                mapper.comeBack(owner, guests.toSeconds());
            }
            return new Found(row.content(), row.due(), row.unseen().lines().toList());
        });
    }

    /** What is kept for several, by owner; who has nothing is not there. */
    public Map<String, String> find(Collection<String> owners) {
        Map<String, String> found = new HashMap<>();
        mapper.several(owners.toArray(String[]::new)).forEach(row -> found.put(row.owner(), row.content()));
        return found;
    }

    /** Whether a guest has come back with their cookie since something was first kept for them; true of students. */
    public boolean cameBack(String owner) {
        return !owner.startsWith(GUEST) || mapper.cameBack(owner).orElse(false);
    }

    /**
     * Changes a document. No other change of it comes in between.
     *
     * @param change is given the document, or nothing where there is none, and makes the new one
     * @return what {@code change} answered
     */
    public <T> T change(String owner, Function<Optional<String>, Change<T>> change) {
        return transaction.execute(status -> {
            boolean guest = owner.startsWith(GUEST);
            boolean begun = mapper.begin(owner, guest ? FIRST_VISIT.toSeconds() : null) == 1;
            Optional<String> before = Optional.of(mapper.lock(owner)).filter(content -> !begun);
            Change<T> after = change.apply(before);
            if (after.content().isPresent()) {
                mapper.update(owner, after.content().get());
                after.concerns().ifPresent(some -> concerns.replace(owner, Concerns.Source.KEPT, some));
            } else if (begun) {
                status.setRollbackOnly();
            }
            return after.answer();
        });
    }

    /** Forgets a visitor, with everything that they show to others. */
    public void forget(String owner) {
        mapper.delete(owner);
    }

    /**
     * Forgets every guest who has not come for long.
     *
     * @return how many
     */
    public int sweep() {
        return mapper.deleteExpired();
    }
}
