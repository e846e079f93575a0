package ample.ledger.web.term;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which seats have changed, in the order in which they did, so that a page that was made a while ago, or that lost its
 * connection, can be told all that it has missed.
 *
 * <p>Numbers begin with the time in milliseconds: those given before a restart are all smaller than those after it.
 */
final class SeatChanges {

    private final Map<String, Map<EntryNumber, Long>> changedAt = new HashMap<>();
    private long last;

    SeatChanges(Clock clock) {
        last = clock.millis();
    }

    /** The number of the last change. What is read after this call is at least as new. */
    synchronized long last() {
        return last;
    }

    synchronized void changed(Map<String, List<Section>> byTerm) {
        if (byTerm.isEmpty()) {
            return;
        }
        last++;
        byTerm.forEach((term, sections) -> {
            Map<EntryNumber, Long> changes = changedAt.computeIfAbsent(term, absent -> new HashMap<>());
            sections.forEach(section -> changes.put(section.entry(), last));
        });
    }

    /** The sections of these terms whose seats have changed after the change of that number. */
    synchronized List<EntryNumber> since(long number, Collection<String> terms) {
        return terms.stream()
                .flatMap(term -> changedAt.getOrDefault(term, Map.of()).entrySet().stream())
                .filter(change -> change.getValue() > number)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }
}
