package ample.ledger.core.plan;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Journey;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.TermCode;
import java.time.LocalDate;
import java.util.BitSet;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * The schedules of all terms that are posted, read together as plans need them. Safe for many threads; what it has once
 * worked out of a section or a course it remembers.
 */
public final class PostedSchedules {

    private final Map<TermCode, Schedule> byTerm = new LinkedHashMap<>();
    private final List<Journey> journeys;
    private final Map<Schedule, Map<EntryNumber, Attendance>> attendances = new ConcurrentHashMap<>();
    private final Map<Schedule, Map<CourseCode, List<List<Attendance>>>> sets = new ConcurrentHashMap<>();
    private final Map<Schedule, List<Titled>> titles = new ConcurrentHashMap<>();
    private final KeptApart keptApart = new KeptApart(this);

    /** @param schedules one of each term */
    public PostedSchedules(List<Schedule> schedules) {
        schedules.forEach(schedule -> byTerm.put(schedule.term().code(), schedule));
        this.journeys = schedules.stream()
                .flatMap(schedule -> schedule.lists().journeys().stream())
                .toList();
    }

    /** One of each term. */
    public Collection<Schedule> all() {
        return Collections.unmodifiableCollection(byTerm.values());
    }

    public Optional<Schedule> schedule(TermCode term) {
        return Optional.ofNullable(byTerm.get(term));
    }

    /** The schedules of the terms of a season. */
    public List<Schedule> ofSeason(SeasonCode season) {
        return byTerm.values().stream()
                .filter(schedule -> schedule.term().season().code().equals(season))
                .toList();
    }

    /**
     * From the first day of its terms to the last.
     *
     * @throws java.util.NoSuchElementException when none of its terms is posted
     */
    public DateRange dates(SeasonCode season) {
        List<DateRange> all = ofSeason(season).stream()
                .map(schedule -> schedule.term().dates())
                .toList();
        return new DateRange(
                all.stream().map(DateRange::first).min(LocalDate::compareTo).orElseThrow(),
                all.stream().map(DateRange::last).max(LocalDate::compareTo).orElseThrow());
    }

    /**
     * How the weeks of a season go: as at the institution whose term is posted first.
     *
     * @throws java.util.NoSuchElementException when none of its terms is posted
     */
    public WeekForm weekForm(SeasonCode season) {
        return ofSeason(season).stream().findFirst().orElseThrow().institution().week();
    }

    /**
     * The years of all terms, from the first day of the first to the last of the last: what no busy time is outside of.
     *
     * @throws java.util.NoSuchElementException when no term is posted
     */
    public DateRange years() {
        List<Integer> years = byTerm.values().stream()
                .map(schedule -> schedule.term().dates())
                .flatMap(
                        dates -> Stream.of(dates.first().getYear(), dates.last().getYear()))
                .sorted()
                .toList();
        if (years.isEmpty()) {
            throw new NoSuchElementException("No term is posted");
        }
        return new DateRange(LocalDate.of(years.get(0), 1, 1), LocalDate.of(years.get(years.size() - 1), 12, 31));
    }

    public Optional<Attendance> find(TermCode term, EntryNumber entry) {
        return schedule(term)
                .flatMap(schedule -> schedule.section(entry).map(section -> attendance(section, schedule)));
    }

    public Attendance attendance(Section section, Schedule schedule) {
        return attendances
                .computeIfAbsent(schedule, absent -> new ConcurrentHashMap<>())
                .computeIfAbsent(section.entry(), absent -> new Attendance(section, schedule));
    }

    /**
     * The places, in the order of the schedule, of the sections that do not go into one plan with {@code attendance}, which may be of
     * another term: see {@link Together#apart}.
     */
    public BitSet apartFrom(Attendance attendance, Schedule schedule) {
        return (BitSet) keptApart.of(attendance, schedule).clone();
    }

    /** The complete sets of a course, the leading section of each first; without sets that hold a cancelled section. */
    public List<List<Attendance>> setsOf(CourseCode course, Schedule schedule) {
        return sets.computeIfAbsent(schedule, absent -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        course,
                        absent -> CompleteSets.of(schedule, course).stream()
                                .filter(set -> set.stream().noneMatch(Section::cancelled))
                                .map(set -> set.stream()
                                        .map(section -> attendance(section, schedule))
                                        .toList())
                                .toList());
    }

    /** The course of that code, of whatever term posts it. */
    public Optional<Course> course(CourseCode code) {
        return byTerm.values().stream()
                .flatMap(schedule -> schedule.course(code).stream())
                .findFirst();
    }

    /** The courses of the terms of a season that are written so, in whatever case and with whatever between their parts. */
    public List<Course> coursesWritten(String code, SeasonCode season) {
        return ofSeason(season).stream()
                .flatMap(schedule -> schedule.courseWritten(code).stream())
                .toList();
    }

    /**
     * The courses of the terms of a season with this title, in whatever case; where no title is just this, those with these words in
     * their titles. One course that several terms post is named once.
     */
    public List<Course> coursesTitled(String words, SeasonCode season) {
        String wanted = words.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        List<Titled> some = ofSeason(season).stream()
                .flatMap(schedule -> titles(schedule).stream())
                .filter(titled -> titled.title().contains(wanted))
                .toList();
        List<Titled> exact =
                some.stream().filter(titled -> titled.title().equals(wanted)).toList();
        return (exact.isEmpty() ? some : exact)
                .stream().map(Titled::course).distinct().toList();
    }

    private record Titled(String title, Course course) {}

    private List<Titled> titles(Schedule schedule) {
        return titles.computeIfAbsent(
                schedule,
                absent -> schedule.courses().stream()
                        .map(course -> new Titled(course.title().toLowerCase(Locale.ROOT), course))
                        .toList());
    }

    /**
     * How one gets from one spot to another.
     *
     * @param minutes 0 where there is no way to go
     * @param means in words: "on foot", "shuttle"
     */
    public record Way(int minutes, String means) {}

    /**
     * Between two spots: on foot within a campus, as far as the buildings are known; by what the registrars post between
     * campuses, and on foot where they post nothing. Empty where nothing is known of the way.
     */
    public Optional<Way> way(Spot from, Spot to) {
        boolean sameCampus = from.campus().code().equals(to.campus().code());
        if (!sameCampus) {
            Optional<Way> posted = journeys.stream()
                    .filter(journey ->
                            journey.joins(from.campus().code(), to.campus().code()))
                    .map(journey -> new Way(journey.minutes(), journey.means()))
                    .findFirst();
            if (posted.isPresent()) {
                return posted;
            }
        }
        if (from.building().isPresent() && to.building().isPresent()) {
            int minutes =
                    Distance.minutesToWalk(from.building().get(), to.building().get());
            return Optional.of(new Way(minutes, "on foot"));
        }
        return sameCampus ? Optional.of(new Way(0, "")) : Optional.empty();
    }
}
