package ample.ledger.core.edition;

import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Meeting;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The dates on which meetings are in each other's time. Remembers the dates of every timing that it has seen: a term of
 * 100,000 sections has a few hundred of them.
 */
final class Overlaps {

    private final TermCalendar calendar;
    private final Map<Timing, Set<LocalDate>> datesOf = new HashMap<>();

    Overlaps(TermCalendar calendar) {
        this.calendar = calendar;
    }

    /** In order; empty when none of {@code some} ever meets in the time of one of {@code others}. */
    Set<LocalDate> dates(List<Meeting> some, List<Meeting> others) {
        Set<LocalDate> dates = new TreeSet<>();
        for (Meeting one : some) {
            for (Meeting other : others) {
                if (mayOverlap(one.timing(), other.timing())) {
                    Set<LocalDate> held = dates(other.timing());
                    dates.addAll(
                            dates(one.timing()).stream().filter(held::contains).collect(Collectors.toSet()));
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
