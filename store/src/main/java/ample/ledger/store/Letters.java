package ample.ledger.store;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Notices on their way to a mail server. What is due of one student is gathered in one letter; a letter is handed over by one instance at a time, and
 * noted with its end.
 *
 * <p>What is promised: no letter is lost. One is handed over twice only where a program dies, or loses the database, between the mail server's
 * answer and the note of it; the second has the same id, by which mail systems know it.
 */
public class Letters {

    private static final Duration FIRST_PAUSE = Duration.ofSeconds(5);
    private static final Duration LONGEST_PAUSE = Duration.ofMinutes(30);
    private static final int MOST_DOUBLINGS = 12;

    private final LetterMapper mapper;
    private final TransactionTemplate transaction;

    Letters(LetterMapper mapper, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.transaction = transaction;
    }

    /**
     * A letter to one student.
     *
     * @param id the same whenever it is handed over
     * @param notices what it tells, the oldest first
     */
    public record Letter(String id, String owner, List<Notices.Notice> notices) {}

    /** What came of handing over a letter. */
    public enum Outcome {
        SENT,
        /** The mail server will not have it, today or later. */
        REFUSED,
        /** Nothing in it is worth telling any more. */
        NEEDLESS,
        /** The mail server is away, or not ready. */
        LATER
    }

    /** How many letters have not been handed over yet. */
    public int waiting() {
        return mapper.waiting();
    }

    /**
     * Gathers what is due of one student.
     *
     * @param id for the letter
     * @return false where nothing is due, or another instance is gathering
     */
    public boolean gather(String id, Instant now) {
        return Boolean.TRUE.equals(transaction.execute(status -> mapper.alone() && mapper.gather(id, now) > 0));
    }

    /**
     * Hands over one letter that waits.
     *
     * @param post hands it over; whatever it throws counts as {@link Outcome#LATER}
     * @return false where none waits, or where the one tried has to wait longer
     */
    public boolean post(Function<Letter, Outcome> post) {
        return Boolean.TRUE.equals(transaction.execute(status -> {
            Optional<LetterMapper.Row> next = mapper.next();
            return next.filter(row -> post(row, post)).isPresent();
        }));
    }

    private boolean post(LetterMapper.Row row, Function<Letter, Outcome> post) {
        Outcome outcome = post.apply(new Letter(
                row.id(),
                row.owner(),
                mapper.notices(row.id()).stream().map(NoticeMapper.Row::notice).toList()));
        if (outcome == Outcome.LATER) {
            mapper.tryLater(row.id(), pause(row.tries()).toMillis() / 1000.0);
            return false;
        }
        mapper.end(row.id(), outcome.name().toLowerCase(Locale.ROOT));
        return true;
    }

    /** Twice as long each time. */
    private static Duration pause(int tries) {
        Duration pause = FIRST_PAUSE.multipliedBy(1L << Math.min(tries, MOST_DOUBLINGS));
        return pause.compareTo(LONGEST_PAUSE) < 0 ? pause : LONGEST_PAUSE;
    }

    /** That no letter tells what is not told by one yet. */
    public void cancel(String owner) {
        mapper.cancel(owner);
    }
}
