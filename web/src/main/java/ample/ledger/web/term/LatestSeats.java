package ample.ledger.web.term;

import ample.ledger.core.browse.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.store.SeatWords;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/**
 * The registrar's last word on every pool of seats, in memory. An index takes them over when it is built, and each new one
 * as it comes.
 */
@Component
class LatestSeats {

    private final SeatWords words;
    private final Map<String, Map<String, SeatWord>> byTerm = new HashMap<>();
    private Instant next = Instant.EPOCH;

    LatestSeats(SeatWords words) {
        this.words = words;
    }

    /** What is new since the last time: words that differ from those known. */
    synchronized List<SeatWord> refresh() {
        SeatWords.News news = words.since(next);
        next = news.next();
        List<SeatWord> fresh = new ArrayList<>();
        for (SeatWord word : news.words()) {
            SeatWord known = byTerm.computeIfAbsent(word.term(), absent -> new HashMap<>())
                    .put(word.pool(), word);
            if (!word.equals(known)) {
                fresh.add(word);
            }
        }
        return fresh;
    }

    /** Gives an index the words that are later than its edition. */
    synchronized void takeOver(Edition edition, TermIndex index) {
        Map<String, SeatPool.Count> counts = new HashMap<>();
        byTerm.getOrDefault(edition.term(), Map.of()).forEach((pool, word) -> {
            if (word.at().isAfter(edition.postedAt())) {
                counts.put(pool, word.count());
            }
        });
        if (!counts.isEmpty()) {
            index.seatsNow(counts);
        }
    }
}
