package ample.ledger.core.schedule;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;
import java.util.Collection;

/**
 * A teaching period with its own schedule.
 *
 * @param code names it in files and addresses: {@code autumn-2031}; of all terms in one system, whoever posts them
 */
public record Term(TermCode code, String name, Season season, DateRange dates, TermCalendar calendar) {

    /**
     * The same with the calendars of other terms of its institution: a section that runs on into one of them has no class on its free
     * days. On its own dates its own calendar counts.
     */
    public Term among(Collection<Term> others) {
        TermCalendar all = calendar;
        for (Term other : others) {
            if (!other.code.equals(code)) {
                all = all.on(other.dates, other.calendar);
            }
        }
        return new Term(code, name, season, dates, all.on(dates, calendar));
    }
}
