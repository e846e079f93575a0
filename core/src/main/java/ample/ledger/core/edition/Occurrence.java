package ample.ledger.core.edition;

import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;

/** One meeting of a section on one date. */
record Occurrence(Section section, Meeting meeting, LocalDate date, TimeRange time) {

    /** Every one of the section's, at set times. */
    static Stream<Occurrence> of(Section section, TermCalendar calendar) {
        return of(section, section.meetings(), calendar);
    }

    /** Every one of the section's exams. */
    static Stream<Occurrence> ofExams(Section section, TermCalendar calendar) {
        return of(section, section.exams(), calendar);
    }

    private static Stream<Occurrence> of(Section section, List<Meeting> meetings, TermCalendar calendar) {
        return meetings.stream()
                .flatMap(meeting -> meeting.timing().time().stream()
                        .flatMap(time -> calendar.datesOf(meeting.timing()).stream()
                                .map(date -> new Occurrence(section, meeting, date, time))));
    }

    boolean overlaps(Occurrence other) {
        return date.equals(other.date) && time.overlapMinutes(other.time) > 0;
    }
}
