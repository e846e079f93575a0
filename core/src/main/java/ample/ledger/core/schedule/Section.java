package ample.ledger.core.schedule;

import ample.ledger.core.calendar.Days;
import java.util.List;
import java.util.Optional;

/**
 * One offering of a course in a term.
 *
 * @param code the section's own code, such as F3e; the institution's code key takes it apart
 * @param campus the campus it is posted under
 * @param declared how the registrar says it is taught; {@link #delivery()} is what its meetings say
 * @param instructors empty while to be announced
 * @param meetings in the order posted; empty while to be announced
 * @param pool the seats it draws on, shared with its cross-listed twins
 * @param companion set when it is taken only together with another section
 * @param notes in the registrar's or the department's own words
 */
public record Section(
        EntryNumber entry,
        Course course,
        String code,
        Kind kind,
        Campus campus,
        Delivery declared,
        Span span,
        boolean cancelled,
        List<Instructor> instructors,
        List<Meeting> meetings,
        SeatPool pool,
        Optional<Companion> companion,
        List<String> notes) {

    public Section {
        instructors = List.copyOf(instructors);
        meetings = List.copyOf(meetings);
        notes = List.copyOf(notes);
    }

    /** Every day of the week on which it meets at a set time, one-off dates included. */
    public Days days() {
        return meetings.stream().map(meeting -> meeting.timing().days()).reduce(Days.NONE, Days::plus);
    }

    /** Whether it has no set time at all: arranged hours only, or nothing announced yet. */
    public boolean untimed() {
        return meetings.stream().allMatch(meeting -> meeting.timing().time().isEmpty());
    }

    /** How it is taught, as its meetings say; as declared while none is announced. */
    public Delivery delivery() {
        return Delivery.of(meetings).orElse(declared);
    }

    /** "TIDE 214 F3e". */
    @Override
    public String toString() {
        return course.code() + " " + code;
    }
}
