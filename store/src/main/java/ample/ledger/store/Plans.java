package ample.ledger.store;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** The plans of students who signed in, and plans that are shown to others. What a plan is, it does not know. */
public class Plans {

    private static final Duration SHOWN = Duration.ofDays(366);

    private final PlanMapper mapper;

    Plans(PlanMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * All plans of a student.
     *
     * @param version grows with each change
     * @param content as JSON
     */
    public record Book(long version, String content) {}

    /**
     * A plan that is shown at an address of its own.
     *
     * @param token what the address ends with; not to be guessed
     * @param owner a student, or a guest by a secret of theirs
     * @param purpose {@code reading} or {@code calendar}
     * @param content the plan as JSON
     */
    public record Share(String token, String owner, String purpose, String season, String planId, String content) {}

    public Optional<Book> book(String student) {
        return mapper.book(student);
    }

    /**
     * Keeps a student's plans.
     *
     * @param before the version that they were made from; 0 where there was none
     * @return whether they were kept: not when somebody else kept another version meanwhile
     */
    public boolean keep(String student, long before, Book after, Instant now) {
        int kept = mapper.updateBook(student, before, after.version(), after.content(), now);
        return kept == 1 || before == 0 && mapper.insertBook(student, after.version(), after.content(), now) == 1;
    }

    /** Shows a plan; what was shown more than a year ago is shown no longer. */
    public void share(Share share, Instant now) {
        mapper.deleteSharesBefore(now.minus(SHOWN));
        mapper.insertShare(share, now);
    }

    /** Shows a changed plan wherever it is shown. */
    public void showChanged(String owner, String season, String planId, String content) {
        mapper.updateShares(owner, season, planId, content);
    }

    /** Ends a share; nothing happens where it is not this owner's. */
    public void withdraw(String owner, String token) {
        mapper.deleteShare(owner, token);
    }

    public Optional<Share> share(String token) {
        return mapper.share(token);
    }

    /** The oldest first. */
    public List<Share> sharesOf(String owner) {
        return mapper.sharesOf(owner);
    }

    /** Makes one owner's shares another's: a guest has signed in. */
    public void handOver(String before, String after) {
        mapper.changeOwner(before, after);
    }
}
