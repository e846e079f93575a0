package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/**
 * A list of sections to be handed on, with what it was asked by.
 *
 * @param edition number of the edition that the sections are of
 * @param postedAt when that edition was posted
 * @param asked the conditions of the brief as they stand in an address, {@code at=tidewall&seats=3}; empty for all
 * @param today the day that seats are counted on
 */
public record SectionList(
        Schedule schedule, int edition, Instant postedAt, String asked, LocalDate today, List<Section> sections) {

    /** The version of both forms below; it changes when a column or a field goes or means something else. */
    public static final int VERSION = 1;

    public SectionList {
        sections = List.copyOf(sections);
    }
}
