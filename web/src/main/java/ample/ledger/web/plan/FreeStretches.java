package ample.ledger.web.plan;

import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.ClearOf;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.calendar.ClockStyle;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.schedule.Term;
import ample.ledger.web.term.Addresses;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;

/** Where nothing stands in a band for long enough to take something, with the brief that finds what fits there. */
record FreeStretches(PlannedWeek week, Term term, ClockStyle clock, HourScale scale) {

    /** In minutes. */
    static final int SHORTEST = 50;

    private static final int CELL = WeekHours.MINUTES;
    private static final int MIDNIGHT = 24 * 60;

    /** @param items what stands in the band, by its start */
    List<Bands.Free> of(List<BandItem> items, DayOfWeek day) {
        List<Bands.Free> free = new ArrayList<>();
        int at = scale.from();
        for (int i = 0; i <= items.size(); i++) {
            int until =
                    i == items.size() ? scale.to() : items.get(i).stay().time().startMinute();
            if (cellBefore(until) - cellAfter(at) >= SHORTEST) {
                free.add(between(day, at, until));
            }
            if (i < items.size()) {
                at = Math.max(at, items.get(i).stay().time().endMinute());
            }
        }
        return free;
    }

    /** From one minute of the day to another, by the cells of WeekHours that lie within. */
    Bands.Free between(DayOfWeek day, int from, int to) {
        int begins = cellAfter(from);
        int ends = cellBefore(to);
        TimeRange stretch = new TimeRange(
                LocalTime.of(begins / 60, begins % 60),
                ends >= MIDNIGHT ? ClockTime.END_OF_DAY : LocalTime.of(ends / 60, ends % 60));
        return new Bands.Free(
                scale.x(begins),
                scale.width(stretch),
                "What fits on " + Days.shortName(day) + " " + clock.format(stretch),
                new Addresses(term.code()).browse(fitting(day, begins, ends)));
    }

    private static int cellAfter(int minute) {
        return (minute + CELL - 1) / CELL * CELL;
    }

    private static int cellBefore(int minute) {
        return minute / CELL * CELL;
    }

    /** What meets on that day, only within that time, and is clear of the plan on every other. */
    private Brief fitting(DayOfWeek day, int begins, int ends) {
        WeekHours closed = WeekHours.of(day, 0, MIDNIGHT).minus(WeekHours.of(day, begins, ends));
        Brief brief = Brief.of(new OnDays(OnDays.Rule.ANY, Days.of(day)), new Closed(closed));
        return ClearOf.of(week.attended(), term.code()).map(brief::with).orElse(brief);
    }
}
