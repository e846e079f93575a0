package ample.ledger.core.schedule;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.Timing;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One offering of a course in a term.
 *
 * @param code the section's own code, such as F3e; the institution's code key takes it apart
 * @param kindName what the institution calls its kind: "Lecture"
 * @param campus the campus it is posted under
 * @param declared how the registrar says it is taught; {@link #delivery()} is what its meetings say
 * @param freeMaterials whether the course materials cost nothing
 * @param instructors empty while to be announced
 * @param meetings in the order posted; empty while to be announced
 * @param exams each on one date, in the order posted
 * @param pool the seats it draws on, shared with its cross-listed twins
 * @param listing set when it is posted under several subjects
 * @param companion set when it is taken only together with another section
 * @param restrictions its own, beside those of its course
 * @param notes in the registrar's or the department's own words
 */
public record Section(
        EntryNumber entry,
        Course course,
        String code,
        Kind kind,
        String kindName,
        Campus campus,
        Delivery declared,
        Span span,
        boolean cancelled,
        Locale language,
        boolean freeMaterials,
        Marks marks,
        List<Instructor> instructors,
        List<Meeting> meetings,
        List<Meeting> exams,
        SeatPool pool,
        Optional<CrossListing> listing,
        Optional<Companion> companion,
        List<Restriction> restrictions,
        List<String> notes) {

    public Section {
        instructors = List.copyOf(instructors);
        meetings = List.copyOf(meetings);
        exams = List.copyOf(exams);
        restrictions = List.copyOf(restrictions);
        notes = List.copyOf(notes);
    }

    /** When its meetings take place, in their order. */
    public List<Timing> timings() {
        return meetings.stream().map(Meeting::timing).toList();
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
        return course.written() + course.form().sectionJoint() + code;
    }
}
