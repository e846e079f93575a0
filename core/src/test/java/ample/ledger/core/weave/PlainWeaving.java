package ample.ledger.core.weave;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Timing;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.fixtures.SectionBuilder;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Weeks found by trying everything, and judged on arrays of minutes. */
record PlainWeaving(Schedule schedule, WeaveRequest request) {

    /** The points of the best week of the same times, by those times. */
    Map<Object, Long> all() {
        Map<Object, Long> found = new LinkedHashMap<>();
        tryAll(new ArrayList<>(), found);
        return found;
    }

    private void tryAll(List<List<Section>> begun, Map<Object, Long> found) {
        if (begun.size() == request.wants().size()) {
            Object times = begun.stream()
                    .map(set -> List.of(
                            set.get(0).course().code(),
                            set.stream()
                                    .flatMap(section -> stretchesHeld(section).stream())
                                    .collect(Collectors.toSet())))
                    .toList();
            found.merge(times, points(begun), Math::min);
            return;
        }
        Course course = request.wants().get(begun.size()).courses().get(0);
        for (List<Section> set : sets(course)) {
            boolean seated = request.seated()
                    .filter(has -> !set.stream().allMatch(section -> has.test(new Attendance(section, schedule))))
                    .isEmpty();
            boolean closed = set.stream()
                    .anyMatch(section -> WeekHours.of(section.timings()).meets(request.closed()));
            Set<Object> held = begun.stream()
                    .flatMap(List::stream)
                    .flatMap(section -> minutesHeld(section).stream())
                    .collect(Collectors.toSet());
            boolean clash = set.stream()
                    .flatMap(section -> minutesHeld(section).stream())
                    .anyMatch(held::contains);
            if (seated && !closed && !clash) {
                List<List<Section>> more = new ArrayList<>(begun);
                more.add(set);
                tryAll(more, found);
            }
        }
    }

    private List<List<Section>> sets(Course course) {
        return new PostedSchedules(List.of(schedule))
                .setsOf(course.code(), schedule).stream()
                        .map(set -> set.stream().map(Attendance::section).toList())
                        .toList();
    }

    /** The hours of every date on which it is held. */
    private Set<Object> stretchesHeld(Section section) {
        return section.timings().stream()
                .filter(timing -> timing.time().isPresent())
                .flatMap(timing -> schedule.term().calendar().datesOf(timing).stream()
                        .map(date -> List.of(date, timing.time().orElseThrow())))
                .collect(Collectors.toSet());
    }

    /** Every fifth minute of every date on which it is held. */
    private Set<Object> minutesHeld(Section section) {
        return section.meetings().stream()
                .filter(meeting -> meeting.timing().time().isPresent())
                .flatMap(meeting -> schedule.term().calendar().datesOf(meeting.timing()).stream()
                        .flatMap(date -> meeting.timing().time().stream()
                                .flatMap(time -> IntStream.range(time.startMinute(), time.endMinute())
                                        .filter(minute -> minute % 5 == 0)
                                        .mapToObj(minute -> date.toEpochDay() * 1440 + minute))))
                .collect(Collectors.toSet());
    }

    private long points(List<List<Section>> sets) {
        Map<Set<DateRange>, Integer> days = new LinkedHashMap<>();
        List<DateRange> ranges = request.wants().stream()
                .flatMap(want -> sets(want.courses().get(0)).stream())
                .flatMap(List::stream)
                .flatMap(section -> weekly(section).stream())
                .map(Timing.Weekly::dates)
                .distinct()
                .toList();
        SectionBuilder.TERM
                .dates()
                .forEach(date -> days.merge(
                        ranges.stream().filter(range -> range.contains(date)).collect(Collectors.toSet()),
                        1,
                        Integer::sum));
        days.remove(Set.of());
        long all = 0;
        long weeks = 0;
        for (Map.Entry<Set<DateRange>, Integer> phase : days.entrySet()) {
            int count = (phase.getValue() + 3) / 7;
            weeks += count;
            for (DayOfWeek day : DayOfWeek.values()) {
                BitSet minutes = new BitSet();
                sets.stream()
                        .flatMap(List::stream)
                        .flatMap(section -> weekly(section).stream())
                        .filter(timing -> phase.getKey().contains(timing.dates())
                                && timing.days().contains(day))
                        .forEach(timing -> minutes.set(
                                timing.hours().startMinute(), timing.hours().endMinute()));
                all += count * weighed(wish -> ofDay(wish, day, minutes));
            }
        }
        long each = Math.max(1, weeks);
        for (int want = 0; want < sets.size(); want++) {
            List<Section> set = sets.get(want);
            boolean offered =
                    sets(request.wants().get(want).courses().get(0)).stream().anyMatch(PlainWeaving::byAda);
            all += each * weighed(wish -> ofSet(wish, set, offered));
        }
        return all;
    }

    private long weighed(ToLongFunction<Wish> points) {
        long all = 0;
        for (Wish wish : request.wishes()) {
            all = 2 * all + points.applyAsLong(wish);
        }
        return all;
    }

    private static List<Timing.Weekly> weekly(Section section) {
        return section.meetings().stream()
                .map(Meeting::timing)
                .filter(Timing.Weekly.class::isInstance)
                .map(Timing.Weekly.class::cast)
                .toList();
    }

    private static long ofDay(Wish wish, DayOfWeek day, BitSet minutes) {
        if (minutes.isEmpty()) {
            return 0;
        }
        int first = minutes.nextSetBit(0);
        int last = minutes.length();
        if (wish instanceof Wish.DaysFree free) {
            return free.days().contains(day) ? 240 : 0;
        }
        if (wish instanceof Wish.NotBefore) {
            return Math.max(0, 10 * 60 - first);
        }
        if (wish instanceof Wish.NotAfter) {
            return Math.max(0, last - (14 * 60L + 30));
        }
        if (wish == Wish.Plain.FEW_GAPS) {
            return (long) last - first - minutes.cardinality();
        }
        if (wish == Wish.Plain.SHORT_DAYS) {
            return Math.max(0, last - first - 360);
        }
        return wish == Wish.Plain.LUNCH && !halfAnHour(minutes) ? 60 : 0;
    }

    private static boolean halfAnHour(BitSet minutes) {
        for (int from = 11 * 60 + 30; from + 30 <= 13 * 60 + 30; from++) {
            int next = minutes.nextSetBit(from);
            if (next < 0 || next >= from + 30) {
                return true;
            }
        }
        return false;
    }

    private long ofSet(Wish wish, List<Section> set, boolean offered) {
        if (wish == Wish.Plain.SEATS_TO_SPARE) {
            return set.stream()
                    .mapToLong(section ->
                            20L * Math.max(0, 3 - request.safeSeats().applyAsInt(new Attendance(section, schedule))))
                    .sum();
        }
        return wish instanceof Wish.TaughtBy && offered && !byAda(set) ? 60 : 0;
    }

    private static boolean byAda(List<Section> set) {
        return set.stream()
                .flatMap(section -> section.instructors().stream())
                .anyMatch(person -> person.name().equals("Ada Reed"));
    }
}
