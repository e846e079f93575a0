package ample.ledger.core.schedule;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.TimeRange;
import ample.ledger.core.code.CodeKey;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Everything that one posting says about one term.
 *
 * <p>Lists are in the order people expect to read them: campuses and requirements as posted, subjects and courses by
 * code, sections by course and then by section code.
 */
public final class Schedule {

    /** By course, then by section code, then by entry number. */
    public static final Comparator<Section> SECTION_ORDER = Comparator.comparing(
                    (Section section) -> section.course().code())
            .thenComparing(Section::code)
            .thenComparing(Section::entry);

    private static final Pattern JOINTS = Pattern.compile("[\\s./_:-]+");

    private final Institution institution;
    private final Term term;
    private final CodeKey codeKey;
    private final Lists lists;
    private final List<Course> courses;
    private final List<Section> sections;
    private final List<Span> spans;
    private final Map<String, Subject> subjectByCode;
    private final Map<EntryNumber, Section> byEntry;
    private final Map<CourseCode, Course> courseByCode;
    private final Map<String, Course> courseByWriting;
    private final Map<CourseCode, List<Section>> byCourse;
    private final Map<String, List<Section>> byPool;
    private final Map<CourseCode, List<CourseCode>> standingFor;
    private final List<StudentGroup> groups;
    private final DateRange classDates;
    private final Optional<TimeRange> hoursMet;

    public Schedule(
            Institution institution,
            Term term,
            CodeKey codeKey,
            Lists lists,
            List<Course> courses,
            List<Section> sections) {
        this.institution = institution;
        this.term = term;
        this.codeKey = codeKey;
        this.lists = lists;
        this.courses =
                courses.stream().sorted(Comparator.comparing(Course::code)).toList();
        this.courseByCode =
                this.courses.stream().collect(Collectors.toUnmodifiableMap(Course::code, Function.identity()));
        this.courseByWriting = this.courses.stream()
                .collect(Collectors.toUnmodifiableMap(
                        course -> squeezed(course.written()), Function.identity(), (one, other) -> one));
        this.sections = sections.stream().sorted(SECTION_ORDER).toList();
        this.spans = this.sections.stream().map(Section::span).distinct().toList();
        this.subjectByCode =
                lists.subjects().stream().collect(Collectors.toUnmodifiableMap(Subject::code, Function.identity()));
        this.byEntry =
                this.sections.stream().collect(Collectors.toUnmodifiableMap(Section::entry, Function.identity()));
        this.byCourse = this.sections.stream()
                .collect(Collectors.groupingBy(section -> section.course().code(), Collectors.toUnmodifiableList()));
        this.byPool = this.sections.stream()
                .collect(Collectors.groupingBy(section -> section.pool().code(), Collectors.toUnmodifiableList()));
        this.groups = Stream.concat(
                        this.sections.stream()
                                .flatMap(section -> section.pool().held().stream())
                                .flatMap(held -> held.group().stream()),
                        Stream.concat(
                                        this.sections.stream().flatMap(section -> section.restrictions().stream()),
                                        this.courses.stream().flatMap(course -> course.rules().restrictions().stream()))
                                .flatMap(restriction -> restriction.rule().stream())
                                .map(Restriction.Rule::group))
                .distinct()
                .toList();
        this.classDates = classDates(term, this.sections);
        this.hoursMet = this.sections.stream()
                .flatMap(section -> section.timings().stream())
                .flatMap(timing -> timing.time().stream())
                .reduce(Schedule::both);
        this.standingFor = new HashMap<>();
        for (Course course : this.courses) {
            for (Equivalent equivalent : course.rules().equivalents()) {
                if (equivalent.effect() == Equivalent.Effect.STANDS_FOR) {
                    standingFor
                            .computeIfAbsent(equivalent.course(), absent -> new ArrayList<>())
                            .add(course.code());
                }
            }
        }
    }

    /** The same with the calendars of the terms of its institution: see {@link Term#among}. */
    public Schedule among(Collection<Schedule> others) {
        Term whole = term.among(others.stream()
                .filter(other -> other.institution.code().equals(institution.code()))
                .map(Schedule::term)
                .toList());
        return whole.equals(term) ? this : new Schedule(institution, whole, codeKey, lists, courses, sections);
    }

    public Institution institution() {
        return institution;
    }

    public Term term() {
        return term;
    }

    /** From the first day of the term's spans to the last: the dates of the term without those that only exams are held on. */
    public DateRange classDates() {
        return classDates;
    }

    /** From when the first class of any day begins to when the last one ends; empty where none has a set time. */
    public Optional<TimeRange> hoursMet() {
        return hoursMet;
    }

    private static TimeRange both(TimeRange one, TimeRange other) {
        return new TimeRange(
                /* start= */ one.start().isBefore(other.start()) ? one.start() : other.start(),
                /* end= */ one.end().isAfter(other.end()) ? one.end() : other.end());
    }

    private static DateRange classDates(Term term, List<Section> sections) {
        List<DateRange> spans = sections.stream()
                .map(section -> section.span().dates())
                .filter(dates ->
                        term.dates().contains(dates.first()) && term.dates().contains(dates.last()))
                .distinct()
                .toList();
        return spans.isEmpty()
                ? term.dates()
                : new DateRange(
                        spans.stream()
                                .map(DateRange::first)
                                .min(Comparator.naturalOrder())
                                .orElseThrow(),
                        spans.stream()
                                .map(DateRange::last)
                                .max(Comparator.naturalOrder())
                                .orElseThrow());
    }

    public CodeKey codeKey() {
        return codeKey;
    }

    /** Campuses, departments, subjects and whatever else courses and sections refer to. */
    public Lists lists() {
        return lists;
    }

    public List<Campus> campuses() {
        return lists.campuses();
    }

    public List<Subject> subjects() {
        return lists.subjects();
    }

    public Optional<Subject> subject(String code) {
        return Optional.ofNullable(subjectByCode.get(code));
    }

    public List<Requirement> requirements() {
        return lists.requirements();
    }

    /** Every course posted, also those without a section this term. */
    public List<Course> courses() {
        return courses;
    }

    public Optional<Course> course(CourseCode code) {
        return Optional.ofNullable(courseByCode.get(code));
    }

    /** The course that is written so, in whatever case and with whatever blanks, hyphens, slashes and dots, or without. */
    public Optional<Course> courseWritten(String code) {
        return Optional.ofNullable(courseByWriting.get(squeezed(code)));
    }

    private static String squeezed(String code) {
        return JOINTS.matcher(code).replaceAll("").toLowerCase(Locale.ROOT);
    }

    /** What a kind is called here: "Lab", or by the institution's own names for it, "Pracownia / Warsztat". */
    public String kindName(Kind kind) {
        String own = lists.kinds().stream()
                .filter(one -> one.standsFor() == kind)
                .map(OwnKind::name)
                .collect(Collectors.joining(" / "));
        return own.isEmpty() ? kind.label() : own;
    }

    /** The courses that are posted as standing for {@code course}. */
    public List<CourseCode> standingFor(CourseCode course) {
        return Collections.unmodifiableList(standingFor.getOrDefault(course, List.of()));
    }

    /** The course itself and those that stand for it, whichever of the two the registrar has said it of. */
    public Set<CourseCode> countingAs(CourseCode wanted) {
        Stream<CourseCode> saidOfIt = course(wanted).stream()
                .flatMap(course -> course.rules().equivalents().stream())
                .filter(equivalent -> equivalent.effect() == Equivalent.Effect.STANDS_FOR)
                .map(Equivalent::course);
        return Stream.of(Stream.of(wanted), saidOfIt, standingFor(wanted).stream())
                .flatMap(courses -> courses)
                .collect(Collectors.toSet());
    }

    /** The groups of students that seats are held for, and that restrictions speak of; each once. */
    public List<StudentGroup> groups() {
        return groups;
    }

    /** The spans that sections run; each once. */
    public List<Span> spans() {
        return spans;
    }

    /** Every section posted, cancelled ones included. */
    public List<Section> sections() {
        return sections;
    }

    public Optional<Section> section(EntryNumber entry) {
        return Optional.ofNullable(byEntry.get(entry));
    }

    /** The sections of the course, in order. */
    public List<Section> sectionsOf(CourseCode course) {
        return byCourse.getOrDefault(course, List.of());
    }

    /** The wish round of this code. */
    public Optional<WishRound> round(String code) {
        return lists().wishRounds().stream()
                .filter(round -> round.code().equals(code))
                .findFirst();
    }

    /** The wish round in which places in a section are distributed; empty where they are not. */
    public Optional<WishRound> roundOf(EntryNumber entry) {
        return lists().wishRounds().stream()
                .filter(round -> round.groups().stream()
                        .anyMatch(group -> group.sections().contains(entry)))
                .findFirst();
    }

    /** How a pool of seats is posted. */
    public Optional<SeatPool> pool(String code) {
        return byPool.getOrDefault(code, List.of()).stream().map(Section::pool).findFirst();
    }

    /** The other sections that draw on the same pool: the cross-listed twins. */
    public List<Section> twinsOf(Section section) {
        return byPool.getOrDefault(section.pool().code(), List.of()).stream()
                .filter(other -> !other.equals(section))
                .toList();
    }

    /** The sections that can be taken as companions of {@code section}; none for a section that is one itself. */
    public List<Section> companionsOf(Section section) {
        if (section.companion().isPresent()) {
            return List.of();
        }
        return sectionsOf(section.course().code()).stream()
                .filter(other -> other.companion()
                        .filter(companion ->
                                companion.boundTo().map(section.entry()::equals).orElse(true))
                        .isPresent())
                .toList();
    }

    /** The sections that {@code companion} can be taken with; none for a section that is no companion. */
    public List<Section> leadsOf(Section companion) {
        return companion.companion().stream()
                .flatMap(rule -> sectionsOf(companion.course().code()).stream()
                        .filter(other -> other.companion().isEmpty())
                        .filter(other ->
                                rule.boundTo().map(other.entry()::equals).orElse(true)))
                .toList();
    }
}
