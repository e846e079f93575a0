package ample.ledger.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How weeks go at an institution.
 *
 * @param first the day that they begin with
 * @param weekend the days on which usually nothing is held; may be empty
 */
public record WeekForm(DayOfWeek first, Days weekend) {

    /** Monday to Sunday, the last two free: what ISO 8601 counts weeks by, and common in much of the world. */
    public static final WeekForm USUAL = new WeekForm(DayOfWeek.MONDAY, Days.of(DayOfWeek.SATURDAY, DayOfWeek.SUNDAY));

    /** The days that are not of the weekend. */
    public Days workdays() {
        return Days.ALL.minus(weekend);
    }

    /** The seven days in order. */
    public List<DayOfWeek> days() {
        return IntStream.range(0, 7).mapToObj(first::plus).toList();
    }

    /** These days in the order of the week. */
    public List<DayOfWeek> inOrder(Days some) {
        return days().stream().filter(some::contains).toList();
    }

    /** The first day of the week in which {@code date} lies. */
    public LocalDate startOf(LocalDate date) {
        return date.with(TemporalAdjusters.previousOrSame(first));
    }

    /** The date of {@code day} in the week that begins on {@code start}. */
    public LocalDate dateOf(DayOfWeek day, LocalDate start) {
        return start.with(TemporalAdjusters.nextOrSame(day));
    }

    /** The same weekend in weeks that begin with another day. */
    public WeekForm from(DayOfWeek other) {
        return new WeekForm(other, weekend);
    }
}
