package ample.ledger.core.calendar;

import java.math.BigDecimal;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Optional;

/** When a meeting takes place: weekly or every other week, once, or in arranged hours with no set time. */
public sealed interface Timing {

    /** Nothing repeats for longer: three years, and a few weeks for how calendars fall. */
    int MOST_WEEKS = 160;

    /** Refuses dates that are longer than {@link #MOST_WEEKS}, so that whoever walks through them comes to an end soon. */
    private static void refuseEndless(DateRange dates) {
        if (dates.weeks() > MOST_WEEKS) {
            throw new IllegalArgumentException("%s to %s is longer than anything repeats: %d weeks at most"
                    .formatted(dates.first(), dates.last(), MOST_WEEKS));
        }
    }

    /** The days of the week on which it meets at set times; empty for arranged hours. */
    Days days();

    /** The hours of such a day; empty for arranged hours. */
    Optional<TimeRange> time();

    /**
     * On the same days and hours every week, or every other week: then in the week that begins with {@code counted}, not in the next,
     * and so on, before it as after it.
     *
     * @param dates at most {@link #MOST_WEEKS}
     * @param everyWeeks 1 for every week, 2 for every other week
     * @param counted the first day of a week in which it is held; kept as the latest that is not after {@code dates.first()}
     */
    record Weekly(Days days, TimeRange hours, DateRange dates, int everyWeeks, LocalDate counted) implements Timing {

        /** Counted from the Monday of the week of {@code dates.first()}. */
        public Weekly(Days days, TimeRange hours, DateRange dates, int everyWeeks) {
            this(
                    days,
                    hours,
                    dates,
                    everyWeeks,
                    dates.first().with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)));
        }

        public Weekly {
            if (days.isEmpty()) {
                throw new IllegalArgumentException("A weekly meeting needs at least one day, at " + hours);
            }
            if (everyWeeks < 1 || everyWeeks > 2) {
                throw new IllegalArgumentException(
                        "A meeting is every week or every other week, not every " + everyWeeks + " weeks");
            }
            refuseEndless(dates);
            long since = ChronoUnit.DAYS.between(counted, dates.first());
            counted = dates.first().minusDays(Math.floorMod(since, 7 * everyWeeks));
        }

        @Override
        public Optional<TimeRange> time() {
            return Optional.of(hours);
        }
    }

    /** On one date only. */
    record Once(LocalDate date, TimeRange hours) implements Timing {

        @Override
        public Days days() {
            return Days.of(date.getDayOfWeek());
        }

        @Override
        public Optional<TimeRange> time() {
            return Optional.of(hours);
        }
    }

    /**
     * No set time: so many hours a week, when it suits.
     *
     * @param hoursPerWeek hours of 60 minutes that class would have taken; more than 0
     * @param dates at most {@link #MOST_WEEKS}
     */
    record Arranged(BigDecimal hoursPerWeek, DateRange dates) implements Timing {

        public Arranged {
            if (hoursPerWeek.signum() <= 0) {
                throw new IllegalArgumentException("Arranged hours must be more than 0, not " + hoursPerWeek);
            }
            refuseEndless(dates);
        }

        @Override
        public Days days() {
            return Days.NONE;
        }

        @Override
        public Optional<TimeRange> time() {
            return Optional.empty();
        }
    }
}
