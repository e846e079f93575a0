package ample.ledger.core.calendar;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * The exceptions that a term makes to plain weeks: days without classes, and days that follow another weekday's
 * timetable. Expands a {@link Timing} to the dates on which it is held.
 *
 * <p>A meeting posted for one date is held on that date whatever the calendar says: the registrar named it.
 */
public final class TermCalendar {

    /** A calendar without exceptions. */
    public static final TermCalendar PLAIN = new TermCalendar(List.of());

    private final Map<LocalDate, ExceptionalDay> exceptions = new TreeMap<>();

    /**
     * One date that is not as its weekday.
     *
     * @param follows the weekday whose timetable it follows; empty for no classes at all
     * @param label what the registrar calls it, as in "Harvest Week"
     */
    public record ExceptionalDay(LocalDate date, Optional<DayOfWeek> follows, String label) {}

    /** A calendar with these exceptions; of two for one date the later in the list counts. */
    public TermCalendar(Collection<ExceptionalDay> exceptions) {
        exceptions.forEach(exception -> this.exceptions.put(exception.date(), exception));
    }

    /** This calendar, but on the dates of {@code range}, on which {@code other} counts. */
    public TermCalendar on(DateRange range, TermCalendar other) {
        return new TermCalendar(Stream.concat(
                        exceptions.values().stream().filter(day -> !range.contains(day.date())),
                        other.exceptions.values().stream().filter(day -> range.contains(day.date())))
                .toList());
    }

    /** In order of date. */
    public List<ExceptionalDay> exceptions() {
        return List.copyOf(exceptions.values());
    }

    /** The weekday whose timetable is followed on {@code date}; empty where there are no classes. */
    public Optional<DayOfWeek> timetableOf(LocalDate date) {
        ExceptionalDay exception = exceptions.isEmpty() ? null : exceptions.get(date);
        return exception == null ? Optional.of(date.getDayOfWeek()) : exception.follows();
    }

    /**
     * The dates on which {@code timing} is held, in order; none for arranged hours. A date that follows Monday's
     * timetable holds the Monday meetings of its own week. Cost: one look-up a date of the range, of which a timing has at
     * most {@link Timing#MOST_WEEKS} weeks.
     */
    public List<LocalDate> datesOf(Timing timing) {
        if (timing instanceof Timing.Once once) {
            return List.of(once.date());
        }
        if (!(timing instanceof Timing.Weekly weekly)) {
            return List.of();
        }
        List<LocalDate> held = new ArrayList<>();
        LocalDate last = weekly.dates().last();
        // Week by week and day by day: this is done for every busy time of every page of My week.
        for (LocalDate week = weekly.counted(); !week.isAfter(last); week = week.plusWeeks(weekly.everyWeeks())) {
            for (int day = 0; day < 7; day++) {
                LocalDate date = week.plusDays(day);
                if (weekly.dates().contains(date)
                        && timetableOf(date).filter(weekly.days()::contains).isPresent()) {
                    held.add(date);
                }
            }
        }
        return held;
    }

    /** The same exceptions. */
    @Override
    public boolean equals(Object other) {
        return other instanceof TermCalendar calendar && exceptions.equals(calendar.exceptions);
    }

    @Override
    public int hashCode() {
        return exceptions.hashCode();
    }
}
