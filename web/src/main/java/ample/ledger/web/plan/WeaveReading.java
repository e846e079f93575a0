package ample.ledger.web.plan;

import ample.ledger.core.browse.answer.Findings;
import ample.ledger.core.browse.brief.BriefAddress;
import ample.ledger.core.calendar.WeekHours;
import ample.ledger.core.plan.Attendance;
import ample.ledger.core.plan.FullSection;
import ample.ledger.core.plan.PlannedWeek;
import ample.ledger.core.plan.PostedSchedules;
import ample.ledger.core.reading.StatusReading;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.core.weave.Demand;
import ample.ledger.core.weave.WeaveRequest;
import ample.ledger.core.weave.Wish;
import ample.ledger.web.term.Addresses;
import ample.ledger.web.term.Picked;
import ample.ledger.web.term.PostedTerm;
import ample.ledger.web.term.Terms;
import ample.ledger.web.visit.Visit;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.util.DigestUtils;

/** Reads what an address asks to have woven. */
final class WeaveReading {

    /** More wishes than these cannot be chosen. */
    static final int WISHES = 5;

    private final Terms terms;
    private final WeekAsk ask;
    private final WeaveAsk weave;
    private final PlannedWeek week;
    private final PostedSchedules posted;
    private final List<Schedule> season;
    private final List<String> faults = new ArrayList<>();
    private final String courses;
    private final WantedCourses wanted;
    private final Visit visit;

    WeaveReading(Terms terms, WeekAsk ask, PlannedWeek week, Visit visit) {
        this.visit = visit;
        this.terms = terms;
        this.ask = ask;
        this.weave = ask.weave();
        this.week = week;
        this.posted = week.posted();
        this.season = posted.ofSeason(week.plan().season());
        this.courses = weave.courses().isEmpty() && !weave.asked() ? ofPlan() : weave.courses();
        this.wanted = new WantedCourses(courses, week, faults);
    }

    /** The courses as they were typed; those of the plan where nothing is to be woven yet. */
    String courses() {
        return courses;
    }

    WantedCourses wanted() {
        return wanted;
    }

    /** What could not be read, in sentences; complete when {@link WantedCourses#wants()} and {@link #request} have been asked for. */
    List<String> faults() {
        return faults;
    }

    private String ofPlan() {
        return Stream.concat(week.taken().stream(), week.waitedFor().stream())
                .map(attendance -> attendance.section().course().written())
                .distinct()
                .collect(Collectors.joining(", "));
    }

    /** Everything that what is woven depends on. */
    String key() {
        String editions = terms.all().stream()
                .map(term -> String.valueOf(term.edition().id()))
                .collect(Collectors.joining("."));
        String all = String.join(
                "|",
                editions,
                season.stream().map(visit::person).map(Object::toString).collect(Collectors.joining()),
                weave.showing(0).parameters().map(Object::toString).sorted().collect(Collectors.joining("&")),
                week.plan().picks().toString(),
                week.plan().busy().toString());
        return DigestUtils.md5DigestAsHex(all.getBytes(StandardCharsets.UTF_8));
    }

    /** What is to be woven for these wants; what cannot be read of it becomes a fault. */
    WeaveRequest request(List<Demand.Want> wants) {
        List<CourseCode> codes = wants.stream()
                .flatMap(want -> want.courses().stream())
                .map(Course::code)
                .toList();
        List<Attendance> rest = week.attended().stream()
                .filter(attendance ->
                        !codes.contains(attendance.section().course().code()))
                .toList();
        return new WeaveRequest(
                wants,
                sections(weave.pinned()),
                sections(parts(weave.refused())),
                rest,
                closed(),
                week.plan().busy(),
                brief(),
                weave.wishes().stream()
                        .flatMap(code -> Wish.parse(code).stream())
                        .limit(WISHES)
                        .toList(),
                seats(),
                weave.full() ? Optional.empty() : Optional.of(one -> !FullSection.lacksSeat(reading(one))),
                settled(rest));
    }

    /** Courses that another can ask for beside it without their being woven. */
    private Set<CourseCode> settled(List<Attendance> kept) {
        return Stream.concat(
                        kept.stream().map(one -> one.section().course().code()),
                        visit.record(season.get(0)).stream().flatMap(record -> record.passed().stream()))
                .collect(Collectors.toSet());
    }

    /**
     * What is asked without some of its demands.
     *
     * @param wants those of the asking, one for each course or choice of courses that was typed
     * @return empty where one of the demands is not of the asking: a busy time, a section of the plan
     */
    Optional<WeaveAsk> without(List<Demand> given, List<Demand.Want> wants) {
        if (given.stream().anyMatch(demand -> demand instanceof Demand.Busy || demand instanceof Demand.Kept)) {
            return Optional.empty();
        }
        return Optional.of(new WeaveAsk(
                true,
                wanted.without(given, wants),
                weave.wishes(),
                weave.pinned().stream()
                        .filter(token -> sections(List.of(token)).stream()
                                .noneMatch(section -> given.contains(new Demand.Pinned(section))))
                        .toList(),
                parts(weave.refused()).stream()
                        .filter(token -> sections(List.of(token)).stream()
                                .noneMatch(section -> given.contains(new Demand.Refused(section))))
                        .collect(Collectors.joining(", ")),
                closedWithout(given),
                given.contains(new Demand.Brief()) ? "" : weave.brief(),
                weave.full() || given.contains(new Demand.Seats()),
                weave.most(),
                0));
    }

    /** Hours as they were typed, or what is left of them. */
    private String closedWithout(List<Demand> given) {
        WeekHours opened = given.stream()
                .filter(Demand.Closed.class::isInstance)
                .map(demand -> ((Demand.Closed) demand).asHours())
                .reduce(WeekHours.NONE, WeekHours::plus);
        return parts(weave.closed()).stream()
                .map(text -> WeekHours.parse(text)
                        .filter(hours -> hours.meets(opened))
                        .map(hours -> hours.minus(opened).toString())
                        .orElse(text))
                .filter(text -> !text.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private List<Attendance> sections(List<String> tokens) {
        List<Attendance> sections = new ArrayList<>();
        for (Picked picked : Picked.of(ask.term(), tokens)) {
            Optional<Attendance> found = EntryNumber.parse(picked.entry())
                    .flatMap(entry -> Stream.concat(
                                    Stream.of(picked.term()),
                                    season.stream()
                                            .map(schedule -> schedule.term().code()))
                            .flatMap(term -> posted.find(term, entry).stream())
                            .findFirst());
            found.ifPresentOrElse(
                    sections::add,
                    () -> faults.add("No section of this season has the entry number “%s”.".formatted(picked.entry())));
        }
        return sections;
    }

    private WeekHours closed() {
        WeekHours closed = WeekHours.NONE;
        for (String text : parts(weave.closed())) {
            Optional<WeekHours> hours = WeekHours.parse(text);
            if (hours.isEmpty()) {
                faults.add("“%s” are not hours. Write them like fri, or like mon 9:00-12:00.".formatted(text));
            }
            closed = closed.plus(hours.orElse(WeekHours.NONE));
        }
        return closed;
    }

    private Optional<Predicate<Attendance>> brief() {
        if (weave.brief().isEmpty()) {
            return Optional.empty();
        }
        Optional<Map<String, List<String>>> parameters = Addresses.parameters(weave.brief());
        if (parameters.isEmpty()) {
            faults.add("The brief that every section must fit cannot be read. Save it again in Browse.");
            return Optional.empty();
        }
        Map<TermCode, Findings> findings = new HashMap<>();
        for (Schedule schedule : season) {
            PostedTerm term = terms.get(schedule.term().code());
            findings.put(
                    schedule.term().code(),
                    Findings.of(
                            visit.of(term),
                            BriefAddress.read(parameters.get(), term.index().vocabulary())
                                    .brief()));
        }
        return Optional.of(attendance -> Objects.requireNonNull(
                        findings.get(attendance.term().code()))
                .fits(attendance.section().entry()));
    }

    private StatusReading reading(Attendance attendance) {
        return visit.reading(terms.get(attendance.term().code()), attendance.section());
    }

    private ToIntFunction<Attendance> seats() {
        return attendance -> {
            StatusReading reading = reading(attendance);
            return reading.seats().waiting() > 0 ? 0 : reading.open();
        };
    }

    static List<String> parts(String text) {
        return Arrays.stream(text.split(","))
                .map(String::strip)
                .filter(part -> !part.isEmpty())
                .toList();
    }
}
