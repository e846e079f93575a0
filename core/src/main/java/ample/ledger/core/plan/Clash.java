package ample.ledger.core.plan;

import ample.ledger.core.calendar.Overlaps;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.schedule.Section;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * Two sections of one term whose meetings are held at the same time: date by date, so that two halves of a term do not clash.
 *
 * @param minutesByDate for each date on which they do, how many minutes they share; at least one date, each at least 1
 */
public record Clash(Section one, Section other, SortedMap<LocalDate, Integer> minutesByDate) {

    public Clash {
        if (minutesByDate.isEmpty()) {
            throw new IllegalArgumentException(one + " and " + other + " share no date");
        }
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
                SortedMap<LocalDate, Integer> minutes = minutes(sections.get(i), sections.get(j), overlaps);
                if (!minutes.isEmpty()) {
                    clashes.add(new Clash(sections.get(i), sections.get(j), minutes));
                }
            }
        }
        return clashes;
    }

    private static SortedMap<LocalDate, Integer> minutes(Section one, Section other, Overlaps overlaps) {
        SortedMap<LocalDate, Integer> minutes = new TreeMap<>();
        for (Timing some : one.timings()) {
            for (Timing others : other.timings()) {
                for (LocalDate date : overlaps.dates(List.of(some), List.of(others))) {
                    minutes.merge(
                            date,
                            some.time()
                                    .orElseThrow()
                                    .overlapMinutes(others.time().orElseThrow()),
                            Integer::sum);
                }
            }
        }
        return minutes;
    }
}
