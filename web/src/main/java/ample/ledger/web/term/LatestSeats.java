package ample.ledger.web.term;

import ample.ledger.core.browse.index.TermIndex;
import ample.ledger.core.edition.Edition;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.store.SeatWords;
import ample.ledger.store.SeatWords.Numbered;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * The registrar's last word on every pool of seats, in memory. An index takes them over when it is built, and each new one
 * as it comes. Their numbers are the database's: a page that lost one instance of the application can ask another what it has missed.
 */
@Component
class LatestSeats {

    private final SeatWords words;
    private final Map<TermCode, Map<String, Numbered>> byTerm = new HashMap<>();
    private long last;

    LatestSeats(SeatWords words) {
        this.words = words;
    }

    /** What is new since the last time: words that differ from those known. */
    synchronized List<SeatWord> refresh() {
        List<SeatWord> fresh = new ArrayList<>();
        for (Numbered numbered : words.since(last)) {
            SeatWord word = numbered.word();
            Numbered known = byTerm.computeIfAbsent(word.term(), absent -> new HashMap<>())
                    .put(word.pool(), numbered);
            if (known == null || !word.equals(known.word())) {
                fresh.add(word);
            }
            last = Math.max(last, numbered.change());
        }
        return fresh;
    }

    /** The number of the last change that is known here; 0 for none. */
    synchronized long last() {
        return last;
    }

    /** The pools of a term that have changed after the change of that number. */
    synchronized Set<String> changedSince(long number, TermCode term) {
        return byTerm.getOrDefault(term, Map.of()).values().stream()
                .filter(word -> word.change() > number)
                .map(word -> word.word().pool())
                .collect(Collectors.toSet());
    }

    /** Gives an index the words that are later than its edition. */
    synchronized void takeOver(Edition edition, TermIndex index) {
        Map<String, SeatPool.Count> counts = new HashMap<>();
        byTerm.getOrDefault(edition.term(), Map.of()).forEach((pool, numbered) -> {
            if (numbered.word().at().isAfter(edition.postedAt())) {
                counts.put(pool, numbered.word().count());
            }
        });
        if (!counts.isEmpty()) {
            index.seatsNow(counts);
        }
    }
}
