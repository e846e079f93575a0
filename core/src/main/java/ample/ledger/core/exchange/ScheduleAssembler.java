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
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Turns the tables of a bundle into a {@link Schedule}. What the table schemas cannot say — that a meeting ends after it
 * starts, that a companion is bound to a section of its own course — is checked here.
 */
public final class ScheduleAssembler {

    private final BundleTables tables;
    private final List<Fault> faults = new ArrayList<>();
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
        this.tables = tables;
        requirementsByCourse = byCourse("course_requirements");
        prerequisitesByCourse = byCourse("prerequisites");
        restrictionsByCourse = byCourse("restrictions");
        notesByCourse = grouped(
                "notes",
                row -> row.optionalText("entry").isPresent() ? Optional.empty() : Optional.of(courseCode(row)));
        heldByPool = grouped("held_seats", row -> row.optionalText("pool"));
        campuses = byKey("campuses", row -> row.text("campus"), this::campus);
        buildings = byKey("buildings", row -> row.text("building"), this::building);
        courses = byKey("courses", ScheduleAssembler::courseCode, this::course);
        pools = byKey("seat_pools", row -> row.text("pool"), this::pool);
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
        Optional<Institution> institution = only("institution", this::institution);
        Optional<Term> term = only("terms", this::term);
        CodeKey codeKey = codeKey();
        List<Section> sections = sections();
        if (!faults.isEmpty()) {
            throw new FaultyBundleException(faults);
        }
        return new Schedule(
                institution.orElseThrow(),
                term.orElseThrow(),
                codeKey,
                List.copyOf(campuses.values()),
                each("subjects", row -> new Subject(row.text("subject"), row.text("name"))),
                each("requirements", row -> new Requirement(row.text("requirement"), row.text("name"))),
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
        List<TermCalendar.ExceptionalDay> exceptions = each(
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
                named(campuses, row.text("campus")),
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
                collect(prerequisitesByCourse.getOrDefault(code, List.of()), ScheduleAssembler::prerequisite),
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
        Map<String, String> subjectNames = tables.rows("subjects").stream()
                .collect(Collectors.toMap(row -> row.text("subject"), row -> row.text("name")));
        return new CodeKey(each("code_key", ScheduleAssembler::codeKeyEntry), subjectNames);
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
        Map<String, Span> spans = byKey(
                "spans", row -> row.text("span"), row -> new Span(row.text("span"), row.text("name"), dates(row)));
        Map<String, Instructor> people = byKey(
                "instructors",
                row -> row.text("instructor"),
                row -> new Instructor(row.text("instructor"), row.text("name")));
        Map<String, List<BundleTable.Row>> meetings = byEntry("meetings");
        Map<String, List<BundleTable.Row>> teaching = byEntry("section_instructors");
        Map<String, List<BundleTable.Row>> notes = byEntry("notes");
        Map<String, Companion> companions = companions();
        return each("sections", row -> {
            String entry = row.text("entry");
            Campus campus = named(campuses, row.text("campus"));
            Span span = named(spans, row.text("span"));
            return new Section(
                    new EntryNumber(entry),
                    named(courses, courseCode(row)),
                    row.text("section"),
                    coded(Kind.class, row.text("kind")),
                    campus,
                    coded(Delivery.class, row.text("delivery")),
                    span,
                    row.yes("cancelled"),
                    teaching.getOrDefault(entry, List.of()).stream()
                            .map(person -> named(people, person.text("instructor")))
                            .toList(),
                    collect(
                            meetings.getOrDefault(entry, List.of()),
                            meeting -> new MeetingAssembler(meeting, span, campus, buildings).meeting()),
                    named(pools, row.text("pool")),
                    Optional.ofNullable(companions.get(entry)),
                    texts(notes, entry, "text"));
        });
    }

    private Map<String, Companion> companions() {
        Map<String, CourseCode> courseOf = tables.rows("sections").stream()
                .collect(Collectors.toMap(row -> row.text("entry"), ScheduleAssembler::courseCode));
        return byKey("companions", row -> row.text("entry"), row -> {
            Optional<String> boundTo = row.optionalText("bound_to");
            if (boundTo.isPresent() && !named(courseOf, row.text("entry")).equals(courseOf.get(boundTo.get()))) {
                throw new Unfit(
                        "bound_to",
                        "A companion is bound to a section of its own course, " + courseOf.get(row.text("entry"))
                                + "; this is one of " + courseOf.get(boundTo.get()) + ".");
            }
            return new Companion(row.text("choice"), boundTo.map(EntryNumber::new));
        });
    }

    private static <K> List<String> texts(Map<K, List<BundleTable.Row>> rows, K key, String column) {
        return rows.getOrDefault(key, List.of()).stream()
                .map(row -> row.text(column))
                .toList();
    }

    private Map<CourseCode, List<BundleTable.Row>> byCourse(String table) {
        return grouped(table, row -> Optional.of(courseCode(row)));
    }

    private Map<String, List<BundleTable.Row>> byEntry(String table) {
        return grouped(table, row -> row.optionalText("entry"));
    }

    /** The rows of the table under the key of each; rows without one are left out. */
    private <K> Map<K, List<BundleTable.Row>> grouped(String table, Function<BundleTable.Row, Optional<K>> key) {
        return tables.rows(table).stream()
                .filter(row -> key.apply(row).isPresent())
                .collect(Collectors.groupingBy(row -> key.apply(row).orElseThrow()));
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

    private <T> Optional<T> only(String table, Function<BundleTable.Row, T> read) {
        List<BundleTable.Row> rows = tables.rows(table);
        if (rows.size() != 1) {
            faults.add(Fault.of(table + ".csv", "It must have exactly one row, and has " + rows.size() + "."));
            return Optional.empty();
        }
        return collect(rows, read).stream().findFirst();
    }

    private <T> List<T> each(String table, Function<BundleTable.Row, T> read) {
        return collect(tables.rows(table), read);
    }

    private <K, T> Map<K, T> byKey(String table, Function<BundleTable.Row, K> key, Function<BundleTable.Row, T> read) {
        Map<K, T> map = new LinkedHashMap<>();
        for (BundleTable.Row row : tables.rows(table)) {
            attempt(row, read).ifPresent(value -> map.put(key.apply(row), value));
        }
        return map;
    }

    private <T> List<T> collect(List<BundleTable.Row> rows, Function<BundleTable.Row, T> read) {
        return rows.stream().flatMap(row -> attempt(row, read).stream()).toList();
    }

    /** What {@code read} makes of the row, or a fault noted and nothing. */
    private <T> Optional<T> attempt(BundleTable.Row row, Function<BundleTable.Row, T> read) {
        try {
            return Optional.of(read.apply(row));
        } catch (Unfit unfit) {
            faults.add(row.fault(unfit.column(), unfit.sentence()));
        } catch (DependsOnFault alreadyReported) {
            // The row it names has a fault of its own, which is reported there.
        }
        return Optional.empty();
    }

    private static <K, T> T named(Map<K, T> map, K key) {
        @Nullable T value = map.get(key);
        if (value == null) {
            throw new DependsOnFault();
        }
        return value;
    }

    private static <E extends Enum<E> & Coded> E coded(Class<E> type, String code) {
        return Coded.parse(type, code).orElseThrow();
    }

    /** That a row names another that could not be read. */
    private static final class DependsOnFault extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
