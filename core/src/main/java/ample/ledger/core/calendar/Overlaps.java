package ample.ledger.core.calendar;

import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * The dates on which timings of one term are in each other's time. Remembers the dates of every timing that it has seen: a
 * term of 100,000 sections has a few hundred of them. Safe for many threads.
 */
public final class Overlaps {

    private final TermCalendar calendar;
    private final Map<Timing, Set<LocalDate>> datesOf = new ConcurrentHashMap<>();

    public Overlaps(TermCalendar calendar) {
        this.calendar = calendar;
    }

    /** In order; empty when none of {@code some} is ever held in the time of one of {@code others}. */
    public Set<LocalDate> dates(Collection<Timing> some, Collection<Timing> others) {
        Set<LocalDate> dates = new TreeSet<>();
        for (Timing one : some) {
            for (Timing other : others) {
                if (mayOverlap(one, other)) {
                    Set<LocalDate> held = dates(other);
                    dates.addAll(dates(one).stream().filter(held::contains).collect(Collectors.toSet()));
                }
            }
        }
        return dates;
    }

    /** By the hours and, where both are weekly, by the days: a date that follows another weekday does so for both. */
    private static boolean mayOverlap(Timing one, Timing other) {
        Optional<TimeRange> time = one.time();
        Optional<TimeRange> another = other.time();
        return time.isPresent()
                && another.isPresent()
                && time.get().overlapMinutes(another.get()) > 0
                && (!(one instanceof Timing.Weekly)
                        || !(other instanceof Timing.Weekly)
                        || one.days().meets(other.days()));
    }

    private Set<LocalDate> dates(Timing timing) {
        return datesOf.computeIfAbsent(timing, expanded -> new LinkedHashSet<>(calendar.datesOf(expanded)));
    }
}
