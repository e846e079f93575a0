package ample.ledger.core.browse.index;

import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Section;
import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * An index together with the seats at one moment, read for one person with one record. Every part of one answer uses the same moment and person.
 *
 * @param posted the schedules of all terms, this one among them
 */
public record Moment(TermIndex index, SeatView seats, RecordView byRecord, PostedSchedules posted) {

    public FacetIndex facet(Facet facet) {
        if (facet.isPosted()) {
            return index.facet(facet);
        }
        return facet.isByRecord() ? byRecord.facet(facet) : seats.statuses();
    }

    /** The codes of the values of {@code facet} that a section has. */
    List<String> codes(Facet facet, SectionAt section) {
        if (facet.isPosted()) {
            return facet.codesOf(index.section(section), index.schedule());
        }
        return List.of(
                facet.isByRecord()
                        ? facet.codeByRecord(index.section(section), byRecord.reading())
                        : seats.reading(section).status().code());
    }

    /** What the sections are to the record of who asks. */
    public RecordReading record() {
        return byRecord.reading();
    }

    /**
     * The candidates that do not go into one plan with one of {@code planned}, sections of this term or of others: themselves, or for
     * some section of their set. A section goes with itself.
     */
    public CandidateSet apartFrom(Collection<Attendance> planned, boolean inSet) {
        BitSet apart = new BitSet();
        planned.forEach(attendance -> apart.or(posted.apartFrom(attendance, index.schedule())));
        return index.ofSections(apart, inSet);
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
