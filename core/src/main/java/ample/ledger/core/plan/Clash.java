package ample.ledger.core.plan;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Two sections of one term whose meetings are held at the same time: date by date, so that two halves of a term do not clash.
 *
 * @param hours of the week at which they do, each pair of meetings by itself; none for those that share only a date
 * @param minutesByDate for each date on which they do, how many minutes they share; at least one date, each at least 1
 */
public record Clash(Section one, Section other, List<Hours> hours, SortedMap<LocalDate, Integer> minutesByDate) {

    /** A time on some days of the week. */
    public record Hours(Days days, TimeRange time) {}

    public Clash {
        if (minutesByDate.isEmpty()) {
            throw new IllegalArgumentException(one + " and " + other + " share no date");
        }
        hours = List.copyOf(hours);
        minutesByDate = Collections.unmodifiableSortedMap(new TreeMap<>(minutesByDate));
    }

    /** On how many dates; at least 1. */
    public int times() {
        return minutesByDate.size();
    }

    /** The most minutes that they share on one date; at least 1. */
    public int minutes() {
        return Collections.max(minutesByDate.values());
    }

    /** Every clash between two of {@code sections}, in their order. Cost: each pair of meetings once. */
    public static List<Clash> among(List<Section> sections, TermCalendar calendar) {
        Overlaps overlaps = new Overlaps(calendar);
        List<Clash> clashes = new ArrayList<>();
        for (int i = 0; i < sections.size(); i++) {
            for (int j = i + 1; j < sections.size(); j++) {
                clash(sections.get(i), sections.get(j), overlaps).ifPresent(clashes::add);
            }
        }
        return clashes;
    }

    /** Every clash of one of {@code sections} with one of {@code others}; none of a section with itself. */
    public static List<Clash> between(List<Section> sections, List<Section> others, TermCalendar calendar) {
        Overlaps overlaps = new Overlaps(calendar);
        return sections.stream()
                .flatMap(section -> others.stream()
                        .filter(other -> !other.equals(section))
                        .flatMap(other -> clash(section, other, overlaps).stream()))
                .toList();
    }

    private static Optional<Clash> clash(Section one, Section other, Overlaps overlaps) {
        SortedMap<LocalDate, Integer> minutes = new TreeMap<>();
        List<Hours> hours = new ArrayList<>();
        for (Timing some : one.timings()) {
            for (Timing others : other.timings()) {
                Set<LocalDate> dates = overlaps.dates(List.of(some), List.of(others));
                if (!dates.isEmpty()) {
                    TimeRange shared = some.time()
                            .orElseThrow()
                            .overlap(others.time().orElseThrow())
                            .orElseThrow();
                    dates.forEach(date -> minutes.merge(date, shared.minutes(), Integer::sum));
                    Days days = some.days().and(others.days());
                    if (!days.isEmpty()) {
                        hours.add(new Hours(days, shared));
                    }
                }
            }
        }
        return minutes.isEmpty() ? Optional.empty() : Optional.of(new Clash(one, other, hours, minutes));
    }
}
