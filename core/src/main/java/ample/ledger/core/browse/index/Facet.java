package ample.ledger.core.browse.index;

import static ample.ledger.core.browse.index.FacetCodes.asked;
import static ample.ledger.core.browse.index.FacetCodes.building;
import static ample.ledger.core.browse.index.FacetCodes.byRecord;
import static ample.ledger.core.browse.index.FacetCodes.code;
import static ample.ledger.core.browse.index.FacetCodes.named;
import static ample.ledger.core.browse.index.FacetCodes.ofCourse;
import static ample.ledger.core.browse.index.FacetCodes.ofMoment;
import static ample.ledger.core.browse.index.FacetCodes.ofSection;
import static ample.ledger.core.browse.index.FacetCodes.valuesOf;
import static ample.ledger.core.browse.index.FacetCodes.withToBeAnnounced;

import ample.ledger.core.reading.MayTake;
import ample.ledger.core.reading.OnRecord;
import ample.ledger.core.reading.RecordReading;
import ample.ledger.core.reading.Status;
import ample.ledger.core.reading.StillOwed;
import ample.ledger.core.schedule.Building;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Delivery;
import ample.ledger.core.schedule.Department;
import ample.ledger.core.schedule.Instructor;
import ample.ledger.core.schedule.Kind;
import ample.ledger.core.schedule.Meeting;
import ample.ledger.core.schedule.Place;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import ample.ledger.core.schedule.Subject;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A property with a short list of values, such as the subject or the campus: what can be asked for by ticking some of them.
 */
public enum Facet {
    SUBJECT(
            Scope.COURSE,
            asked("subject", "Codes of subjects, separated by commas"),
            "subjects",
            "in",
            ofCourse((course, schedule) -> Stream.of(course.code().subject())),
            schedule -> named(schedule.subjects(), Subject::code, Subject::name)),
    DEPARTMENT(
            Scope.COURSE,
            asked("department", "Codes of departments"),
            "departments",
            "given by",
            ofCourse((course, schedule) ->
                    schedule.subject(course.code().subject()).flatMap(Subject::department).stream()),
            schedule -> named(schedule.lists().departments(), Department::code, Department::name)),
    PROGRAMME(
            Scope.COURSE,
            asked("programme", "Codes of degree programmes; all: before them asks for every one"),
            "programmes",
            "part of",
            ofCourse((course, schedule) -> course.programmes().stream()),
            schedule -> named(schedule.lists().programmes(), Programme::code, Programme::name)),
    LEVEL(
            Scope.COURSE,
            asked("level", "Years of study"),
            "levels",
            "of level",
            ofCourse((course, schedule) -> Stream.of(String.valueOf(course.level()))),
            schedule -> schedule.courses().stream()
                    .map(Course::level)
                    .distinct()
                    .sorted()
                    .map(String::valueOf)
                    .map(level -> new Value(level, level))),
    CREDITS(
            Scope.COURSE,
            asked("credits", "Numbers of credits, or a range"),
            "numbers of credits",
            "worth",
            ofCourse((course, schedule) -> Stream.of(code(course.credits()))),
            schedule -> schedule.courses().stream()
                    .map(course -> code(course.credits()))
                    .distinct()
                    .sorted(Comparator.comparing(credits -> new BigDecimal(credits)))
                    .map(credits -> new Value(credits, credits.equals("1") ? "1 credit" : credits + " credits"))),
    REQUIREMENT(
            Scope.COURSE,
            asked("toward", "Codes of requirements; all: before them asks for every one"),
            "requirements",
            "counting toward",
            ofCourse((course, schedule) -> course.requirements().stream()),
            schedule -> named(schedule.requirements(), Requirement::code, Requirement::name)),
    /** By the record of who asks. */
    STILL_OWED(
            Scope.COURSE,
            asked("owed", "Whether the course counts toward a requirement still owed"),
            "answers",
            "",
            byRecord((section, reading) -> reading.stillOwed(section.course())),
            valuesOf(StillOwed.values(), StillOwed::label)),
    /** Whether something must come before the course. */
    PREREQUISITE(
            Scope.COURSE,
            asked("needs", "Whether the course has a prerequisite"),
            "kinds of course",
            "with",
            ofCourse((course, schedule) ->
                    Stream.of(course.rules().prerequisites().isEmpty() ? "no-prerequisite" : "prerequisite")),
            schedule -> Stream.of(
                    new Value("no-prerequisite", "no prerequisite"), new Value("prerequisite", "a prerequisite"))),
    /** What it mainly is, and what its meetings are. */
    KIND(
            Scope.SECTION,
            asked("kind", "Kinds of section or meeting"),
            "kinds",
            "of kind",
            ofSection(section -> Stream.concat(
                            Stream.of(section.kind()),
                            section.meetings().stream().map(Meeting::kind))
                    .map(Kind::code)
                    .distinct()),
            schedule -> Arrays.stream(Kind.values())
                    .map(kind -> new Value(kind.code(), schedule.kindName(kind).toLowerCase(Locale.ROOT)))),
    INSTRUCTOR(
            Scope.SECTION,
            asked("instructor", "Codes of people; to-be-announced where nobody is named"),
            "instructors",
            "taught by",
            ofSection(section -> section.instructors().isEmpty()
                    ? Stream.of(Facet.TO_BE_ANNOUNCED)
                    : section.instructors().stream().map(Instructor::code)),
            schedule -> withToBeAnnounced(schedule.sections().stream()
                    .flatMap(section -> section.instructors().stream())
                    .distinct()
                    .sorted(Comparator.comparing(
                                    Instructor::name, schedule.institution().nameOrder())
                            .thenComparing(Instructor::code))
                    .map(person -> new Value(person.code(), person.name())))),
    BUILDING(
            Scope.SECTION,
            asked("building", "Codes of buildings"),
            "buildings",
            "meeting in",
            ofSection(section -> section.meetings().stream()
                    .map(Meeting::place)
                    .flatMap(place -> place instanceof Place.ToBeAnnounced
                            ? Stream.of(Facet.TO_BE_ANNOUNCED)
                            : building(place).map(Building::code).stream())
                    .distinct()),
            schedule -> withToBeAnnounced(schedule.sections().stream()
                    .flatMap(section -> section.meetings().stream())
                    .flatMap(meeting -> building(meeting.place()).stream())
                    .distinct()
                    .sorted(Comparator.comparing(
                                    Building::name, schedule.institution().nameOrder())
                            .thenComparing(Building::code))
                    .map(building -> new Value(building.code(), building.name())))),
    CAMPUS(
            Scope.SET,
            asked("at", "Codes of campuses"),
            "campuses",
            "at",
            ofSection(section -> Stream.of(section.campus().code().text())),
            schedule -> named(schedule.campuses(), campus -> campus.code().text(), Campus::name)),
    /** As the span is called; its dates are asked for by themselves. */
    SPAN(
            Scope.SET,
            asked("span", "Codes of spans"),
            "spans",
            "running",
            ofSection(section -> Stream.of(section.span().code())),
            schedule -> schedule.sections().stream()
                    .map(Section::span)
                    .distinct()
                    .sorted(Comparator.comparing((Span span) -> span.dates().first())
                            .thenComparing(span -> span.dates().last())
                            .thenComparing(Span::code))
                    .map(span -> new Value(span.code(), span.name().toLowerCase(Locale.ROOT)))
                    .distinct()),
    /** As the meetings say. */
    DELIVERY(
            Scope.SET,
            asked("delivery", "How it is taught"),
            "deliveries",
            "taught",
            ofSection(section -> Stream.of(section.delivery().code())),
            valuesOf(Delivery.values(), Delivery::label)),
    LANGUAGE(
            Scope.SET,
            asked("language", "Languages, as BCP 47 tags"),
            "languages",
            "held in",
            ofSection(section -> Stream.of(section.language().toLanguageTag())),
            schedule -> schedule.sections().stream()
                    .map(Section::language)
                    .distinct()
                    .sorted(Comparator.comparing(Locale::toLanguageTag))
                    .map(language -> new Value(language.toLanguageTag(), language.getDisplayName(Locale.ENGLISH)))),
    /** By the record of who asks and by what is asked, whatever the seats are. */
    MAY_TAKE(
            Scope.SECTION,
            asked("may", "Whether the student may take it, by the record"),
            "answers",
            "that",
            byRecord((section, reading) -> reading.mayTake(section).may()),
            valuesOf(MayTake.values(), MayTake::label)),
    /** What stands of the course on the record of who asks. */
    ON_RECORD(
            Scope.COURSE,
            asked("record", "What the record says of the course"),
            "answers",
            "",
            byRecord((section, reading) -> reading.onRecord(section.course())),
            valuesOf(OnRecord.values(), OnRecord::label)),
    MATERIALS(
            Scope.SET,
            asked("materials", "Whether course materials are free or paid"),
            "kinds of materials",
            "with",
            ofSection(section -> Stream.of(section.freeMaterials() ? "free" : "paid")),
            schedule -> Stream.of(new Value("free", "free materials"), new Value("paid", "materials to pay for"))),
    /** As it stands for who asks, at that moment. A section whose companions are full may be open itself. */
    STATUS(
            Scope.SECTION,
            asked("status", "Its status"),
            "statuses",
            "now",
            ofMoment(),
            valuesOf(Status.values(), Status::label));

    /** The code of a person or a place that is still to be announced. */
    public static final String TO_BE_ANNOUNCED = "to-be-announced";

    private static final int EXAMPLES = 2;

    private final Scope scope;
    private final Parameter parameter;
    private final String plural;
    private final String lead;
    private final FacetCodes.Source source;
    private final Function<Schedule, Stream<Value>> values;

    /** What has to have the value. */
    public enum Scope {
        /** The course, so that all its sections share it. */
        COURSE,
        /** The section alone: its companions may have other values. */
        SECTION,
        /**
         * Every section of a complete set: who takes the lecture at one campus has to take its lab somewhere too. A section has
         * exactly one value.
         */
        SET
    }

    /** A value of a facet: its code in files and addresses, and its name. */
    public record Value(String code, String name) {}

    /** How many of the values asked for there must be. */
    public enum Match {
        ANY,
        ALL
    }

    Facet(
            Scope scope,
            FacetCodes.Asked asked,
            String plural,
            String lead,
            FacetCodes.Source source,
            Function<Schedule, Stream<Value>> values) {
        this.scope = scope;
        this.parameter = new Parameter(asked.name(), asked.meaning(), this::example);
        this.plural = plural;
        this.lead = lead;
        this.source = source;
        this.values = values;
    }

    public Scope scope() {
        return scope;
    }

    /** The first values that there are. */
    private String example(Vocabulary vocabulary) {
        return vocabulary.values(this).stream().limit(EXAMPLES).map(Value::code).collect(Collectors.joining(","));
    }

    /** How an address asks for it. */
    public Parameter parameter() {
        return parameter;
    }

    /** Several of its values: "subjects". */
    public String plural() {
        return plural;
    }

    /** What leads to its values in a sentence: "in", "at". */
    public String lead() {
        return lead;
    }

    /** Every value that {@code schedule} knows, in the order to show them. */
    public List<Value> values(Schedule schedule) {
        return values.apply(schedule).toList();
    }

    /**
     * The value that {@code code} means though no section has it: another language, year of study or number of credits makes sense, and
     * another subject does not. Empty where it makes none.
     */
    Optional<Value> possible(String code) {
        return FacetCodes.possible(this, code);
    }

    /** Whether it is the same for everybody at any moment. */
    public boolean isPosted() {
        return source.posted().isPresent();
    }

    /** Whether it depends on the record of who asks. Every section then has exactly one value. */
    public boolean isByRecord() {
        return source.byRecord().isPresent();
    }

    /** The codes of the values that a section of {@code schedule} has; of sets exactly one. Only of what is posted. */
    List<String> codesOf(Section section, Schedule schedule) {
        return source.posted().orElseThrow().of(section, schedule).toList();
    }

    /** The code of the value that a section has by a record. Only of what is by record. */
    String codeByRecord(Section section, RecordReading reading) {
        return source.byRecord().orElseThrow().of(section, reading).code();
    }
}
