package ample.ledger.core.weave;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.Spot;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.Meeting;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * The different weeks that a season can have with some sections: one for its first half and one for its second, where there are
 * sections of halves. Wishes are counted on them. What is held on single dates only, and days off, make no week of their own; a
 * meeting every other week is in every one.
 */
final class TypicalWeeks {

    private static final int DAYS = 7;
    private static final int NOWHERE = -1;

    private final List<DateRange> ranges;

    /** By the ranges that are held in it, how many weeks of term are like it. */
    private final Map<BitSet, Integer> weeks = new LinkedHashMap<>();

    private final Map<CampusCode, Integer> campuses = new HashMap<>();

    /** @param season from its first day to its last: what goes on beyond is another season's */
    TypicalWeeks(Collection<Attendance> sections, DateRange season) {
        this.ranges = sections.stream()
                .flatMap(attendance -> attendance.section().meetings().stream())
                .map(Meeting::timing)
                .filter(Timing.Weekly.class::isInstance)
                .map(timing -> ((Timing.Weekly) timing).dates())
                .distinct()
                .sorted(Comparator.comparing(DateRange::first).thenComparing(DateRange::last))
                .toList();
        TreeSet<LocalDate> bounds =
                new TreeSet<>(Set.of(season.first(), season.last().plusDays(1)));
        for (DateRange range : ranges) {
            bounds.add(range.first());
            bounds.add(range.last().plusDays(1));
        }
        bounds.removeIf(
                date -> !season.contains(date) && !date.equals(season.last().plusDays(1)));
        Map<BitSet, Integer> days = new LinkedHashMap<>();
        for (LocalDate from : bounds) {
            LocalDate to = bounds.higher(from);
            if (to != null) {
                days.merge(heldOn(from), (int) (to.toEpochDay() - from.toEpochDay()), Integer::sum);
            }
        }
        days.remove(new BitSet());
        days.forEach((held, count) -> {
            // A part of a week at an edge, as where one calendar begins on a Wednesday, is no week of its own.
            if (count >= DAYS) {
                weeks.put(held, (count + DAYS / 2) / DAYS);
            }
        });
    }

    private BitSet heldOn(LocalDate date) {
        BitSet held = new BitSet();
        for (int i = 0; i < ranges.size(); i++) {
            held.set(i, ranges.get(i).contains(date));
        }
        return held;
    }

    /** How many weeks of term are like each of the typical weeks; empty where nothing is weekly. */
    int[] weeksOf() {
        return weeks.values().stream().mapToInt(Integer::intValue).toArray();
    }

    /** All weeks of term together; at least 1. */
    int all() {
        return Math.max(1, weeks.values().stream().mapToInt(Integer::intValue).sum());
    }

    /** What these sections, taken together, take of each typical week. */
    Footprint footprint(Collection<Attendance> sections, long own) {
        List<long[]> entries = new ArrayList<>();
        for (Attendance attendance : sections) {
            for (Meeting meeting : attendance.section().meetings()) {
                if (meeting.timing() instanceof Timing.Weekly weekly) {
                    int campus = attendance.spotOf(meeting).map(this::campus).orElse(NOWHERE);
                    long packed = Wishing.pack(
                            weekly.hours().startMinute(), weekly.hours().endMinute(), campus);
                    cells(weekly).forEach(cell -> entries.add(new long[] {cell, packed}));
                }
            }
        }
        entries.sort(Comparator.comparingLong((long[] entry) -> entry[0]).thenComparingLong(entry -> entry[1]));
        return new Footprint(
                entries.stream().mapToInt(entry -> (int) entry[0]).toArray(),
                entries.stream().mapToLong(entry -> entry[1]).toArray(),
                own);
    }

    private int campus(Spot spot) {
        return campuses.computeIfAbsent(spot.campus().code(), absent -> campuses.size());
    }

    private List<Integer> cells(Timing.Weekly weekly) {
        int range = ranges.indexOf(weekly.dates());
        List<Integer> cells = new ArrayList<>();
        int week = 0;
        for (BitSet held : weeks.keySet()) {
            if (held.get(range)) {
                for (DayOfWeek day : weekly.days().list()) {
                    cells.add(week * DAYS + day.getValue() - 1);
                }
            }
            week++;
        }
        return cells;
    }
}
