package ample.ledger.core.schedule;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TermCalendar;

/**
 * A teaching period with its own schedule.
 *
 * @param code names it in files and addresses: {@code autumn-2031}; of all terms in one system, whoever posts them
 */
public record Term(TermCode code, String name, Season season, DateRange dates, TermCalendar calendar) {}
