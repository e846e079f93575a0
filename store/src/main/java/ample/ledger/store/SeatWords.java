package ample.ledger.store;

import ample.ledger.core.registrar.SeatWord;
import java.util.List;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The registrar's last word on every pool of seats, shared by all instances of the application. Changes are numbered in the order in
 * which they are committed, from 1 on, and never anew: a page that knows of one can ask any instance what came after it.
 */
public class SeatWords {

    private final SeatWordMapper mapper;
    private final TransactionTemplate transaction;

    SeatWords(SeatWordMapper mapper, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.transaction = transaction;
    }

    /**
     * A word on a pool.
     *
     * @param change the number of the change that brought it
     */
    public record Numbered(SeatWord word, long change) {}

    /**
     * Takes words over, all or none, and tells every instance that listens. A word that is not later than the one that is kept of its pool
     * changes nothing.
     */
    public void put(List<SeatWord> words) {
        if (!words.isEmpty()) {
            transaction.executeWithoutResult(status -> {
                long change = mapper.nextChange();
                mapper.put(words.stream()
                        .map(word -> SeatWordMapper.Row.of(word, change))
                        .toList());
                mapper.announce();
            });
        }
    }

    /** The words of all changes after that one, in their order; of all there were for 0. Each pool has only its last word. */
    public List<Numbered> since(long change) {
        return mapper.since(change).stream()
                .map(row -> new Numbered(row.word(), row.change()))
                .toList();
    }
}
