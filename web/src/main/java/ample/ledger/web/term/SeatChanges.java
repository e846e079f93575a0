package ample.ledger.web.term;

import ample.ledger.core.registrar.SeatWord;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What the registrar said of seats since: taken into the indexes, and told to pages that are open. */
@Component
public class SeatChanges {

    private final Terms terms;
    private final LatestSeats seats;
    private volatile long lastChange;

    SeatChanges(Terms terms, LatestSeats seats) {
        this.terms = terms;
        this.seats = seats;
    }

    /**
     * Takes the registrar's newest words on seats into the indexes.
     *
     * @return the sections whose seats stand otherwise now, by the code of their term
     */
    public Map<TermCode, List<Section>> refresh() {
        Map<TermCode, List<SeatWord>> fresh = seats.refresh().stream().collect(Collectors.groupingBy(SeatWord::term));
        long last = seats.last();
        Map<TermCode, List<Section>> changed = new HashMap<>();
        fresh.forEach((term, words) -> {
            terms.find(term).ifPresent(posted -> {
                seats.takeOver(posted.edition(), posted.index());
                changed.put(
                        term,
                        sections(posted, words.stream().map(SeatWord::pool).collect(Collectors.toSet())));
            });
        });
        lastChange = last;
        return changed;
    }

    private static List<Section> sections(PostedTerm posted, Set<String> pools) {
        return pools.isEmpty()
                ? List.of()
                : posted.schedule().sections().stream()
                        .filter(section -> pools.contains(section.pool().code()))
                        .toList();
    }

    /** The number of the last change of seats, the same for all instances: all that is read after this call is at least as new. */
    public long last() {
        return lastChange;
    }

    /** The sections of {@code place} whose seats have changed after the change of that number. */
    public List<EntryNumber> since(long number, Place place) {
        return place.terms().stream()
                .flatMap(posted -> sections(
                        posted, seats.changedSince(number, posted.edition().term()))
                        .stream())
                .map(Section::entry)
                .sorted()
                .toList();
    }
}
