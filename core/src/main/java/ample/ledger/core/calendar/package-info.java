/**
 * Days, times and dates: {@link ample.ledger.core.calendar.Days}, {@link ample.ledger.core.calendar.TimeRange},
 * {@link ample.ledger.core.calendar.DateRange}, and when something meets ({@link ample.ledger.core.calendar.Timing})
 * expanded to dates by a {@link ample.ledger.core.calendar.TermCalendar}.
 *
 * <p>What meets, where and with whom is not here but in {@code schedule}.
 */
@NullMarked
package ample.ledger.core.calendar;

import org.jspecify.annotations.NullMarked;
