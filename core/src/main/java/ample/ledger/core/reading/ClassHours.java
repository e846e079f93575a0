package ample.ledger.core.reading;

import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Section;
import java.math.BigDecimal;

/**
 * What a section asks for in class over its whole span: how many meetings on dates, their minutes together, and the
 * arranged hours a week beside them.
 *
 * @param meetings dates on which something is held; a day with two meetings counts twice
 * @param minutes wall-clock minutes of those meetings
 * @param arrangedPerWeek hours of 60 minutes a week without a set time; the rows of one section add up, so two rows of
 *     3.4 hours are 6.8 hours a week (common practice, no source)
 */
public record ClassHours(int meetings, int minutes, BigDecimal arrangedPerWeek) {

    /** Counted on the dates that {@code calendar} leaves standing. */
    public static ClassHours of(Section section, TermCalendar calendar) {
        int meetings = 0;
        int minutes = 0;
        BigDecimal arranged = BigDecimal.ZERO;
        for (var meeting : section.meetings()) {
            int dates = calendar.datesOf(meeting.timing()).size();
            meetings += dates;
            minutes += dates * meeting.timing().time().map(TimeRange::minutes).orElse(0);
            if (meeting.timing() instanceof Timing.Arranged hours) {
                arranged = arranged.add(hours.hoursPerWeek());
            }
        }
        return new ClassHours(meetings, minutes, arranged);
    }
}
