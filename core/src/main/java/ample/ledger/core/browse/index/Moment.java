package ample.ledger.core.browse.index;

import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** An index with its seats as they stand at one moment for one person, so that all of an answer is of one moment and for one person. */
public record Moment(TermIndex index, SeatView seats) {

    public FacetIndex facet(Facet facet) {
        return facet == Facet.STATUS ? seats.statuses() : index.facet(facet);
    }

    /** What a section of this edition is to the person. */
    public StatusReading reading(Section section) {
        return reading(section.entry()).orElseThrow();
    }

    /** The same by its number; empty where this edition has no such section. */
    public Optional<StatusReading> reading(EntryNumber entry) {
        List<SectionAt> at = index.at(Set.of(entry));
        return at.stream().map(seats::reading).findFirst();
    }
}
