package ample.ledger.core.weave;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Spot;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.plan.Together;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.SeasonCode;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The complete sets that can fill each want of a request, those that are alike together, and which demands each of them breaks. */
final class Options {

    /** A want that is left out is worse than anything else that can be said of a week. */
    private static final long LEFT_OUT = 100_000;

    private static final int SEAT = Wish.ONE_TIME / Wish.SAFE_SEATS;

    private final WeaveRequest request;
    private final PostedSchedules posted;
    private final List<Demand> demands;
    private final Wishing wishing;
    private final TypicalWeeks weeks;
    private final List<List<Option>> byWant = new ArrayList<>();

    /**
     * Complete sets of one course that are as good as each other: they are held at the same times, can be reached from the
     * same others, and break the same demands.
     *
     * @param members the first has the fewest points of its own; none where the want is left out
     * @param broken the places among the demands
     */
    record Option(List<List<Attendance>> members, BitSet broken, Footprint footprint) {

        /** The best of them; empty where the want is left out. */
        List<Attendance> first() {
            return members.isEmpty() ? List.of() : members.get(0);
        }
    }

    Options(WeaveRequest request, SeasonCode season, PostedSchedules posted) {
        this.request = request;
        this.posted = posted;
        this.demands = request.demands();
        this.wishing = new Wishing(request.wishes());
        List<List<List<Attendance>>> sets = request.wants().stream()
                .map(want -> want.courses().stream()
                        .flatMap(course -> setsOf(course, season))
                        .toList())
                .toList();
        this.weeks = new TypicalWeeks(
                Stream.concat(sets.stream().flatMap(List::stream).flatMap(List::stream), request.kept().stream())
                        .collect(Collectors.toSet()),
                posted.dates(season));
        for (int want = 0; want < sets.size(); want++) {
            byWant.add(options(request.wants().get(want), sets.get(want)));
        }
    }

    private Stream<List<Attendance>> setsOf(Course course, SeasonCode season) {
        return posted.ofSeason(season).stream().flatMap(schedule -> posted.setsOf(course.code(), schedule).stream());
    }

    List<Demand> demands() {
        return demands;
    }

    Wishing wishing() {
        return wishing;
    }

    TypicalWeeks weeks() {
        return weeks;
    }

    /** Of the want at this place; the last of an optional want is that it is left out. */
    List<Option> of(int want) {
        return byWant.get(want);
    }

    /** What stays as it is, as the one option of a group of its own. */
    Option kept() {
        return new Option(List.of(request.kept()), new BitSet(), weeks.footprint(request.kept(), 0));
    }

    private List<Option> options(Demand.Want want, List<List<Attendance>> sets) {
        List<Option> options = new ArrayList<>();
        for (List<List<Attendance>> members : alike(sets, this::likeness)) {
            Map<List<Attendance>, Long> own = new HashMap<>();
            members.forEach(set -> own.put(set, own(set, sets)));
            List<List<Attendance>> ordered = members.stream()
                    .sorted(Comparator.comparingLong(set -> own.getOrDefault(set, 0L)))
                    .toList();
            List<Attendance> first = ordered.get(0);
            options.add(new Option(ordered, broken(first), weeks.footprint(first, own.getOrDefault(first, 0L))));
        }
        if (!want.required()) {
            options.add(new Option(
                    List.of(),
                    new BitSet(),
                    weeks.footprint(List.of(), LEFT_OUT * wishing.allWeights() * weeks.all())));
        }
        return options;
    }

    /** Those with equal keys together, in the order of the first of each. */
    static <T> Collection<List<T>> alike(Collection<T> all, Function<T, Object> key) {
        Map<Object, List<T>> alike = new LinkedHashMap<>();
        all.forEach(one -> alike.computeIfAbsent(key.apply(one), absent -> new ArrayList<>())
                .add(one));
        return alike.values();
    }

    private Object likeness(List<Attendance> set) {
        return List.of(
                set.get(0).section().course().code(),
                times(set),
                set.stream()
                        .flatMap(attendance -> attendance.stays().stream())
                        .map(Stay::spot)
                        .toList(),
                set.stream()
                        .map(Attendance::section)
                        .filter(section -> section.listing().isPresent())
                        .map(section -> section.pool().code())
                        .toList(),
                broken(set));
    }

    /** When its sections meet, and on which campus where a wish asks for that: equal for sets that take the same time. */
    Map<Object, DateSet> times(List<Attendance> set) {
        boolean campuses = request.wishes().contains(Wish.Plain.ONE_CAMPUS);
        Map<Object, DateSet> times = new HashMap<>();
        for (Attendance attendance : set) {
            for (Stay stay : attendance.stays()) {
                times.merge(
                        List.of(stay.time(), stay.exam(), campuses ? campus(stay) : ""), stay.dates(), DateSet::plus);
            }
        }
        return times;
    }

    private static String campus(Stay stay) {
        return stay.spot().map(Spot::campus).map(campus -> campus.code().text()).orElse("");
    }

    private long own(List<Attendance> set, List<List<Attendance>> all) {
        long points = 0;
        for (int wish = 0; wish < wishing.wishes().size(); wish++) {
            points += (long) wishing.weight(wish) * own(wishing.wishes().get(wish), set, all);
        }
        return points * weeks.all();
    }

    /** What a set costs of one wish by itself, not weighed. */
    private int own(Wish wish, List<Attendance> set, List<List<Attendance>> all) {
        if (wish == Wish.Plain.SEATS_TO_SPARE) {
            return set.stream()
                    .mapToInt(attendance -> SEAT
                            * Math.max(0, Wish.SAFE_SEATS - request.safeSeats().applyAsInt(attendance)))
                    .sum();
        }
        return wish instanceof Wish.TaughtBy by
                        && all.stream().anyMatch(other -> isTaughtBy(other, by.name()))
                        && !isTaughtBy(set, by.name())
                ? Wish.ONE_TIME
                : 0;
    }

    /** The same of a set of the want at this place. */
    int own(Wish wish, List<Attendance> set, int want) {
        return set.isEmpty()
                ? 0
                : own(
                        wish,
                        set,
                        byWant.get(want).stream()
                                .flatMap(option -> option.members().stream())
                                .toList());
    }

    private static boolean isTaughtBy(List<Attendance> set, String name) {
        return set.stream()
                .flatMap(attendance -> attendance.section().instructors().stream())
                .anyMatch(instructor -> instructor.name().equalsIgnoreCase(name));
    }

    private BitSet broken(List<Attendance> set) {
        BitSet broken = new BitSet();
        for (int i = 0; i < demands.size(); i++) {
            if (!keeps(set, demands.get(i))) {
                broken.set(i);
            }
        }
        return broken;
    }

    private boolean keeps(List<Attendance> set, Demand demand) {
        if (demand instanceof Demand.Pinned pinned) {
            return !set.get(0).sameCourse(pinned.section()) || set.contains(pinned.section());
        }
        if (demand instanceof Demand.Refused refused) {
            return !set.contains(refused.section());
        }
        if (demand instanceof Demand.Closed closed) {
            return set.stream()
                    .noneMatch(attendance ->
                            WeekHours.of(attendance.section().timings()).meets(closed.asHours()));
        }
        if (demand instanceof Demand.Busy busy) {
            return set.stream().noneMatch(attendance -> attendance.clashes(busy.time()));
        }
        if (demand instanceof Demand.Kept kept) {
            return together(set, List.of(kept.section()));
        }
        return demand instanceof Demand.Want
                || request.brief()
                        .filter(brief -> !set.stream().allMatch(brief))
                        .isEmpty();
    }

    /** Whether a student can take both and go to both. */
    boolean together(List<Attendance> some, List<Attendance> others) {
        return Together.possible(some, others, posted);
    }
}
