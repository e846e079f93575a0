package ample.ledger.core.weave;

import ample.ledger.core.calendar.DateSet;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.CompleteSets;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.plan.Spot;
import ample.ledger.core.plan.Stay;
import ample.ledger.core.plan.Together;
import ample.ledger.core.schedule.Corequisite;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.SeasonCode;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
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
     * @param courses of which one is wanted; none for what is kept
     * @param members the first has the fewest points of its own; none where the want is left out
     * @param broken the places among the demands
     */
    record Option(List<Course> courses, List<List<Attendance>> members, BitSet broken, Footprint footprint) {

        /** The best of them; empty where the want is left out. */
        List<Attendance> first() {
            return members.isEmpty() ? List.of() : members.get(0);
        }

        private boolean isFor(CourseCode course) {
            return courses.stream().anyMatch(wanted -> wanted.code().equals(course));
        }

        private boolean has(CourseCode course) {
            return first().stream()
                    .anyMatch(one -> one.section().course().code().equals(course));
        }

        /** Whether a course that {@code other} asks for beside it is not what this takes, though it is for that course. */
        private boolean withholdsFrom(Option other) {
            return other.first().stream()
                    .flatMap(one -> one.section().course().rules().corequisites().stream())
                    .map(Corequisite::course)
                    .anyMatch(course -> isFor(course) && !other.isFor(course) && !has(course));
        }
    }

    Options(WeaveRequest request, SeasonCode season, PostedSchedules posted) {
        this.request = request;
        this.posted = posted;
        this.demands = request.demands();
        this.wishing = new Wishing(request.wishes());
        List<List<List<Attendance>>> sets = request.wants().stream()
                .map(want -> want.courses().stream()
                        .flatMap(course -> setsOf(course, missing(course, want), season))
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

    /** What a course asks for beside it and nobody else brings, each with what that asks for again. */
    private Set<CourseCode> missing(Course course, Demand.Want want) {
        Set<CourseCode> missing = new LinkedHashSet<>();
        Deque<Course> asking = new ArrayDeque<>(List.of(course));
        while (!asking.isEmpty()) {
            for (Corequisite corequisite : asking.remove().rules().corequisites()) {
                CourseCode other = corequisite.course();
                boolean brought = request.settled().contains(other)
                        || other.equals(course.code())
                        || request.wants().stream()
                                .filter(another -> !another.equals(want))
                                .flatMap(another -> another.courses().stream())
                                .anyMatch(wanted -> wanted.code().equals(other));
                if (!brought && missing.add(other)) {
                    posted.course(other).ifPresent(asking::add);
                }
            }
        }
        return missing;
    }

    /** The complete sets of a course, each with one of every other course that is needed beside it. */
    private Stream<List<Attendance>> setsOf(Course course, Set<CourseCode> beside, SeasonCode season) {
        Stream<List<Attendance>> sets = setsOf(course.code(), season);
        for (CourseCode other : beside) {
            sets = sets.flatMap(set -> setsOf(other, season)
                            .filter(more -> Together.possible(set, more, posted))
                            .map(more ->
                                    Stream.concat(set.stream(), more.stream()).toList()))
                    .limit(CompleteSets.MOST_OF_A_COURSE);
        }
        return sets;
    }

    private Stream<List<Attendance>> setsOf(CourseCode course, SeasonCode season) {
        return posted.ofSeason(season).stream().flatMap(schedule -> posted.setsOf(course, schedule).stream());
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
        return new Option(List.of(), List.of(request.kept()), new BitSet(), weeks.footprint(request.kept(), 0));
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
            options.add(new Option(
                    want.courses(), ordered, broken(first), weeks.footprint(first, own.getOrDefault(first, 0L))));
        }
        if (!want.required()) {
            options.add(new Option(
                    want.courses(),
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
            return set.stream().noneMatch(pinned.section()::sameCourse) || set.contains(pinned.section());
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
            return Together.possible(set, List.of(kept.section()), posted);
        }
        if (demand instanceof Demand.Seats) {
            return request.seated()
                    .filter(seated -> !set.stream()
                            .allMatch(
                                    one -> seated.test(one) || request.pinned().contains(one)))
                    .isEmpty();
        }
        return demand instanceof Demand.Want
                || request.brief()
                        .filter(brief -> !set.stream().allMatch(brief))
                        .isEmpty();
    }

    /** Whether a student can take both and go to both. What both bring since both need it beside them is taken once. */
    boolean together(Option one, Option other) {
        List<Attendance> shared =
                one.first().stream().filter(other.first()::contains).toList();
        return (shared.isEmpty() || !one.first().get(0).sameCourse(other.first().get(0)))
                && !one.withholdsFrom(other)
                && !other.withholdsFrom(one)
                && Together.possible(without(shared, one), without(shared, other), posted);
    }

    private static List<Attendance> without(List<Attendance> shared, Option option) {
        return shared.isEmpty()
                ? option.first()
                : option.first().stream().filter(one -> !shared.contains(one)).toList();
    }
}
