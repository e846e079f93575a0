package ample.ledger.core.exchange;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.code.CodeKey;
import ample.ledger.core.requirement.NotationException;
import ample.ledger.core.requirement.PrerequisiteNotation;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Companion;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.EntryNumber;
import ample.ledger.core.schedule.Institution;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.PostedPrerequisite;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import ample.ledger.core.schedule.Subject;
import ample.ledger.core.schedule.Term;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import java.util.stream.Collectors;

/**
 * Turns the tables of a bundle into a {@link Schedule}. What the table schemas cannot say — that a meeting ends after it
 * starts, that a companion is bound to a section of its own course — is checked here.
 */
public final class ScheduleAssembler {

    private final RowsToAssemble rows;
    private final Map<CourseCode, List<BundleTable.Row>> requirementsByCourse;
    private final Map<CourseCode, List<BundleTable.Row>> prerequisitesByCourse;
    private final Map<CourseCode, List<BundleTable.Row>> restrictionsByCourse;
    private final Map<CourseCode, List<BundleTable.Row>> notesByCourse;
    private final Map<String, List<BundleTable.Row>> heldByPool;
    private final Map<String, Campus> campuses;
    private final Map<String, Building> buildings;
    private final Map<CourseCode, Course> courses;
    private final Map<String, SeatPool> pools;

    private ScheduleAssembler(BundleTables tables) {
        rows = new RowsToAssemble(tables);
        requirementsByCourse = byCourse("course_requirements");
        prerequisitesByCourse = byCourse("prerequisites");
        restrictionsByCourse = byCourse("restrictions");
        notesByCourse = rows.grouped(
                "notes",
                row -> row.optionalText("entry").isPresent() ? Optional.empty() : Optional.of(courseCode(row)));
        heldByPool = rows.grouped("held_seats", row -> row.optionalText("pool"));
        campuses = rows.byKey("campuses", row -> row.text("campus"), this::campus);
        buildings = rows.byKey("buildings", row -> row.text("building"), this::building);
        courses = rows.byKey("courses", ScheduleAssembler::courseCode, this::course);
        pools = rows.byKey("seat_pools", row -> row.text("pool"), this::pool);
    }

    /**
     * The schedule that {@code tables} state.
     *
     * @throws FaultyBundleException naming every fault
     */
    public static Schedule assemble(BundleTables tables) {
        return new ScheduleAssembler(tables).schedule();
    }

    private Schedule schedule() {
        Optional<Institution> institution = rows.only("institution", this::institution);
        Optional<Term> term = rows.only("terms", this::term);
        CodeKey codeKey = codeKey();
        List<Section> sections = sections();
        if (!rows.faults().isEmpty()) {
            throw new FaultyBundleException(rows.faults());
        }
        return new Schedule(
                institution.orElseThrow(),
                term.orElseThrow(),
                codeKey,
                List.copyOf(campuses.values()),
                rows.each("subjects", row -> new Subject(row.text("subject"), row.text("name"))),
                rows.each("requirements", row -> new Requirement(row.text("requirement"), row.text("name"))),
                List.copyOf(courses.values()),
                sections);
    }

    private Institution institution(BundleTable.Row row) {
        try {
            return new Institution(row.text("code"), row.text("name"), ZoneId.of(row.text("zone")));
        } catch (DateTimeException e) {
            throw new Unfit("zone", "It is not an IANA time zone, as in Europe/London.");
        }
    }

    private Term term(BundleTable.Row row) {
        List<TermCalendar.ExceptionalDay> exceptions = rows.each(
                "calendar_days",
                day -> new TermCalendar.ExceptionalDay(
                        day.date("date"), day.optionalText("follows").flatMap(Days::parseDay), day.text("label")));
        return new Term(row.text("term"), row.text("name"), dates(row), new TermCalendar(exceptions));
    }

    private Campus campus(BundleTable.Row row) {
        return new Campus(row.text("campus"), row.text("name"), row.yes("remote"));
    }

    private Building building(BundleTable.Row row) {
        return new Building(
                row.text("building"),
                row.text("name"),
                RowsToAssemble.named(campuses, row.text("campus")),
                row.number("latitude").doubleValue(),
                row.number("longitude").doubleValue());
    }

    private Course course(BundleTable.Row row) {
        CourseCode code = courseCode(row);
        return new Course(
                code,
                row.text("title"),
                row.text("description"),
                row.number("credits"),
                row.integer("level"),
                texts(requirementsByCourse, code, "requirement"),
                rows.collect(prerequisitesByCourse.getOrDefault(code, List.of()), ScheduleAssembler::prerequisite),
                texts(restrictionsByCourse, code, "sentence"),
                texts(notesByCourse, code, "text"));
    }

    private static PostedPrerequisite prerequisite(BundleTable.Row row) {
        try {
            return new PostedPrerequisite(
                    row.text("sentence"), row.optionalText("expression").map(PrerequisiteNotation::parse));
        } catch (NotationException e) {
            throw new Unfit("expression", e.getMessage());
        }
    }

    private SeatPool pool(BundleTable.Row row) {
        String code = row.text("pool");
        return new SeatPool(
                code,
                row.integer("capacity"),
                row.integer("waitlist_capacity"),
                heldByPool.getOrDefault(code, List.of()).stream()
                        .map(held ->
                                new SeatPool.Held(held.text("held_for"), held.integer("seats"), held.date("until")))
                        .toList(),
                new SeatPool.Count(row.integer("enrolled"), row.integer("waiting"), row.integer("promised")));
    }

    private CodeKey codeKey() {
        Map<String, String> subjectNames = rows.of("subjects").stream()
                .collect(Collectors.toMap(row -> row.text("subject"), row -> row.text("name")));
        return new CodeKey(rows.each("code_key", ScheduleAssembler::codeKeyEntry), subjectNames);
    }

    private static CodeKey.Entry codeKeyEntry(BundleTable.Row row) {
        Pattern value;
        try {
            value = Pattern.compile(row.text("value"));
        } catch (PatternSyntaxException e) {
            throw new Unfit("value", "It is not a regular expression: " + e.getDescription() + ".");
        }
        return new CodeKey.Entry(
                row.text("sort"),
                row.integer("position"),
                row.text("segment"),
                CodeKey.times(row.text("times")).orElseThrow(),
                value,
                row.optionalText("meaning"));
    }

    private List<Section> sections() {
        Map<String, Span> spans = rows.byKey(
                "spans", row -> row.text("span"), row -> new Span(row.text("span"), row.text("name"), dates(row)));
        Map<String, Instructor> people = rows.byKey(
                "instructors",
                row -> row.text("instructor"),
                row -> new Instructor(row.text("instructor"), row.text("name")));
        Map<String, List<BundleTable.Row>> meetings = byEntry("meetings");
        Map<String, List<BundleTable.Row>> teaching = byEntry("section_instructors");
        Map<String, List<BundleTable.Row>> notes = byEntry("notes");
        Map<String, Companion> companions = companions();
        return rows.each("sections", row -> {
            String entry = row.text("entry");
            Campus campus = RowsToAssemble.named(campuses, row.text("campus"));
            Span span = RowsToAssemble.named(spans, row.text("span"));
            return new Section(
                    new EntryNumber(entry),
                    RowsToAssemble.named(courses, courseCode(row)),
                    row.text("section"),
                    coded(Kind.class, row.text("kind")),
                    campus,
                    coded(Delivery.class, row.text("delivery")),
                    span,
                    row.yes("cancelled"),
                    teaching.getOrDefault(entry, List.of()).stream()
                            .map(person -> RowsToAssemble.named(people, person.text("instructor")))
                            .toList(),
                    rows.collect(
                            meetings.getOrDefault(entry, List.of()),
                            meeting -> new MeetingAssembler(meeting, span, campus, buildings).meeting()),
                    RowsToAssemble.named(pools, row.text("pool")),
                    Optional.ofNullable(companions.get(entry)),
                    texts(notes, entry, "text"));
        });
    }

    private Map<String, Companion> companions() {
        Map<String, CourseCode> courseOf = rows.of("sections").stream()
                .collect(Collectors.toMap(row -> row.text("entry"), ScheduleAssembler::courseCode));
        return rows.byKey("companions", row -> row.text("entry"), row -> {
            Optional<String> boundTo = row.optionalText("bound_to");
            if (boundTo.isPresent()
                    && !RowsToAssemble.named(courseOf, row.text("entry")).equals(courseOf.get(boundTo.get()))) {
                throw new Unfit(
                        "bound_to",
                        "A companion is bound to a section of its own course, " + courseOf.get(row.text("entry"))
                                + "; this is one of " + courseOf.get(boundTo.get()) + ".");
            }
            return new Companion(row.text("choice"), boundTo.map(EntryNumber::new));
        });
    }

    private static <K> List<String> texts(Map<K, List<BundleTable.Row>> byKey, K key, String column) {
        return byKey.getOrDefault(key, List.of()).stream()
                .map(row -> row.text(column))
                .toList();
    }

    private Map<CourseCode, List<BundleTable.Row>> byCourse(String table) {
        return rows.grouped(table, row -> Optional.of(courseCode(row)));
    }

    private Map<String, List<BundleTable.Row>> byEntry(String table) {
        return rows.grouped(table, row -> row.optionalText("entry"));
    }

    private static CourseCode courseCode(BundleTable.Row row) {
        return new CourseCode(row.text("subject"), row.text("number"));
    }

    private static DateRange dates(BundleTable.Row row) {
        LocalDate first = row.date("first_day");
        LocalDate last = row.date("last_day");
        if (last.isBefore(first)) {
            throw new Unfit("last_day", "It must not come before the first day, " + first + ".");
        }
        return new DateRange(first, last);
    }

    private static <E extends Enum<E> & Coded> E coded(Class<E> type, String code) {
        return Coded.parse(type, code).orElseThrow();
    }
}
