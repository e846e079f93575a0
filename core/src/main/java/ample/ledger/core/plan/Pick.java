package ample.ledger.core.plan;

import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.TermCode;

/**
 * A section in a plan, by its number: what it is says the current edition.
 *
 * @param term the code of its term
 */
public record Pick(TermCode term, EntryNumber entry, Standing standing) {

    /** Of the same section, whatever its standing. */
    public boolean isOf(Attendance attendance) {
        return names(attendance.term().code(), attendance.section().entry());
    }

    public boolean names(TermCode otherTerm, EntryNumber otherEntry) {
        return term.equals(otherTerm) && entry.equals(otherEntry);
    }
}
