package ample.ledger.store;

import ample.ledger.core.registrar.SeatWord;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.transaction.support.TransactionTemplate;

/** The registrar's last word on every pool of seats, shared by all instances of the application. */
public class SeatWords {

    /** A transaction that began to record before another may be seen after it; none takes longer than this. */
    private static final Duration OVERLAP = Duration.ofSeconds(10);

    private final SeatWordMapper mapper;
    private final TransactionTemplate transaction;

    SeatWords(SeatWordMapper mapper, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.transaction = transaction;
    }

    /**
     * What was recorded, and from when on to ask next.
     *
     * @param words may name what was told before once more
     */
    public record News(List<SeatWord> words, Instant next) {}

    /** Takes words over, all or none, and tells every instance that listens. */
    public void put(List<SeatWord> words) {
        if (!words.isEmpty()) {
            transaction.executeWithoutResult(status -> {
                mapper.put(words);
                mapper.announce();
            });
        }
    }

    /** What was recorded since {@link News#next()} of the last time, or since ever for {@link Instant#EPOCH}. */
    public News since(Instant moment) {
        List<SeatWordMapper.Row> rows = mapper.since(moment);
        Instant next =
                rows.isEmpty() ? moment : rows.get(rows.size() - 1).recordedAt().minus(OVERLAP);
        return new News(rows.stream().map(SeatWordMapper.Row::word).toList(), next.isAfter(moment) ? next : moment);
    }

    /** Forgets every word: the registrar begins anew. */
    public void forget() {
        mapper.forget();
    }
}
