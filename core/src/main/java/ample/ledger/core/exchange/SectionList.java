package ample.ledger.core.exchange;

import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.Instant;
import java.util.List;

/**
 * A list of sections to be handed on, with what it was asked by.
 *
 * @param edition number of the edition that the sections are of
 * @param postedAt when that edition was posted
 * @param asked the conditions of the brief as they stand in an address, {@code at=tidewall&seats=3}; empty for all
 * @param seatsAt the moment whose seats these are
 * @param sections each with what it is to somebody who belongs to no group
 */
public record SectionList(
        Schedule schedule, int edition, Instant postedAt, String asked, Instant seatsAt, List<Line> sections) {

    /** A section with its seats and its status. */
    public record Line(Section section, StatusReading reading) {}

    /** The version of both forms below; it changes when a column or a field goes or means something else. */
    public static final int VERSION = 1;

    public SectionList {
        sections = List.copyOf(sections);
    }
}
