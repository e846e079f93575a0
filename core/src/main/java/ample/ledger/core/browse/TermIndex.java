package ample.ledger.core.browse;

import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.reading.SeatAccount;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One edition's sections, laid out so that a {@link Brief} is answered without looking at them one by one. Immutable, and
 * safe for any number of readers.
 *
 * <p>For each value that a condition can ask for there is the set of sections that have it; what is asked for as a range
 * (times, numbers, seats) is a column of numbers.
 */
public final class TermIndex {

    private final Schedule schedule;
    private final LocalDate today;
    private final List<Section> sections;
    private final SectionSet all;
    private final Map<String, SectionSet> bySubject;
    private final Map<Integer, SectionSet> byLevel;
    private final Map<String, SectionSet> byRequirement;
    private final Map<String, SectionSet> byCampus;
    private final Map<Delivery, SectionSet> byDelivery;
    private final Map<DayOfWeek, SectionSet> byDay;
    private final SectionSet untimed;
    private final int[] firstStart;
    private final int[] lastEnd;
    private final SeatAccount[] seats;

    /** @param today the day on which seats are counted, since seats are held until a day */
    public TermIndex(Schedule schedule, LocalDate today) {
        this.schedule = schedule;
        this.today = today;
        this.sections = schedule.sections();
        this.all = SectionSet.all(sections.size());
        this.bySubject = byValue(section -> Set.of(section.course().code().subject()));
        this.byLevel = byValue(section -> Set.of(section.course().level()));
        this.byRequirement = byValue(section -> section.course().requirements());
        this.byCampus = byValue(section -> Set.of(section.campus().code()));
        this.byDelivery = byValue(section -> Set.of(section.delivery()));
        this.byDay = byValue(section -> section.days().list());
        this.untimed = where(Section::untimed);
        this.firstStart = sections.stream()
                .mapToInt(section ->
                        times(section).mapToInt(TimeRange::startMinute).min().orElse(Integer.MAX_VALUE))
                .toArray();
        this.lastEnd = sections.stream()
                .mapToInt(section ->
                        times(section).mapToInt(TimeRange::endMinute).max().orElse(Integer.MIN_VALUE))
                .toArray();
        this.seats = sections.stream()
                .map(section -> SeatAccount.of(section.pool(), today))
                .toArray(SeatAccount[]::new);
    }

    public Schedule schedule() {
        return schedule;
    }

    /** The day on which its seats are counted. */
    public LocalDate today() {
        return today;
    }

    /** The answer to {@code brief}. */
    public Findings find(Brief brief) {
        List<SectionSet> sets =
                brief.conditions().stream().map(condition -> condition.in(this)).toList();
        SectionSet fitting = sets.stream().reduce(all, SectionSet::and);
        return new Findings(
                brief,
                fitting.positions().mapToObj(sections::get).toList(),
                RunningAccount.of(brief, sets, all),
                fitting.isEmpty() && !brief.isEmpty() ? WaysBack.of(brief, sets, sections.size()) : List.of());
    }

    /** How many sections meet {@code brief}. */
    public int count(Brief brief) {
        return brief.conditions().stream()
                .map(condition -> condition.in(this))
                .reduce(all, SectionSet::and)
                .size();
    }

    SectionSet ofSubject(String code) {
        return orNone(bySubject.get(code));
    }

    SectionSet ofLevel(int level) {
        return orNone(byLevel.get(level));
    }

    SectionSet toward(String requirement) {
        return orNone(byRequirement.get(requirement));
    }

    SectionSet at(String campus) {
        return orNone(byCampus.get(campus));
    }

    SectionSet taught(Delivery delivery) {
        return orNone(byDelivery.get(delivery));
    }

    SectionSet untimed() {
        return untimed;
    }

    SectionSet meetingOnAny(Days days) {
        return any(days.list(), day -> orNone(byDay.get(day)));
    }

    SectionSet meetingOnAll(Days days) {
        return days.list().stream().map(day -> orNone(byDay.get(day))).reduce(all, SectionSet::and);
    }

    /** Those that meet on a day that is not one of these. */
    SectionSet meetingOutside(Days days) {
        return meetingOnAny(new Days(Days.ALL.mask() & ~days.mask()));
    }

    /** Those all of whose set times lie within these minutes of the day; those without set times among them. */
    SectionSet within(int fromMinute, int toMinute) {
        return SectionSet.where(
                sections.size(), position -> firstStart[position] >= fromMinute && lastEnd[position] <= toMinute);
    }

    SectionSet withSeats(int atLeast, int waitingAtMost) {
        return SectionSet.where(
                sections.size(),
                position -> !sections.get(position).cancelled()
                        && seats[position].open() >= atLeast
                        && seats[position].waiting() <= waitingAtMost);
    }

    SectionSet whereCourse(Predicate<Course> holds) {
        return where(section -> holds.test(section.course()));
    }

    <T> SectionSet any(Collection<T> values, Function<T, SectionSet> having) {
        return values.stream().map(having).reduce(SectionSet.none(sections.size()), SectionSet::or);
    }

    private SectionSet where(Predicate<Section> holds) {
        return SectionSet.where(sections.size(), position -> holds.test(sections.get(position)));
    }

    private SectionSet orNone(@Nullable SectionSet set) {
        return set == null ? SectionSet.none(sections.size()) : set;
    }

    private <T> Map<T, SectionSet> byValue(Function<Section, Collection<T>> values) {
        Map<T, BitSet> positions = new HashMap<>();
        IntStream.range(0, sections.size())
                .forEach(position -> values.apply(sections.get(position))
                        .forEach(value -> positions
                                .computeIfAbsent(value, absent -> new BitSet())
                                .set(position)));
        Map<T, SectionSet> sets = new HashMap<>();
        positions.forEach((value, bits) -> sets.put(value, SectionSet.where(sections.size(), bits::get)));
        return Map.copyOf(sets);
    }

    private static Stream<TimeRange> times(Section section) {
        return section.meetings().stream().flatMap(meeting -> meeting.timing().time().stream());
    }
}
