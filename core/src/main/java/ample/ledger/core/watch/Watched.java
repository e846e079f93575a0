package ample.ledger.core.watch;

import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;

/** What a watch is put on. */
public sealed interface Watched {

    /** The code of the term that it is about. */
    TermCode term();

    record OfSection(TermCode term, EntryNumber entry) implements Watched {}

    /** All sections of a course, those that are posted later among them. */
    record OfCourse(TermCode term, CourseCode course) implements Watched {}

    /**
     * What fits a saved brief.
     *
     * @param name under which it is saved
     */
    record OfBrief(TermCode term, String name) implements Watched {}
}
