package ample.ledger.core.exchange;

import ample.ledger.core.calendar.DateRange;
import ample.ledger.core.calendar.Days;
import ample.ledger.core.calendar.TermCalendar;
import ample.ledger.core.calendar.WeekForm;
import ample.ledger.core.code.CodeKey;
import ample.ledger.core.schedule.BindingRule;
import ample.ledger.core.schedule.Campus;
import ample.ledger.core.schedule.CampusCode;
import ample.ledger.core.schedule.CodeForm;
import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.CourseCode;
import ample.ledger.core.schedule.CreditWorth;
import ample.ledger.core.schedule.Department;
import ample.ledger.core.schedule.GradeScale;
import ample.ledger.core.schedule.Institution;
import ample.ledger.core.schedule.Journey;
import ample.ledger.core.schedule.Lists;
import ample.ledger.core.schedule.LoadRule;
import ample.ledger.core.schedule.Opening;
import ample.ledger.core.schedule.Programme;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.core.schedule.Season;
import ample.ledger.core.schedule.SeasonCode;
import ample.ledger.core.schedule.Section;
import ample.ledger.core.schedule.Span;
import ample.ledger.core.schedule.Subject;
import ample.ledger.core.schedule.Term;
import ample.ledger.core.schedule.TermCode;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.regex.PatternSyntaxException;
import java.util.stream.Collectors;

/**
 * Turns the tables of a bundle into a {@link Schedule}, and checks what the table schemas cannot say. For example, a meeting must end
 * after it starts.
 */
final class ScheduleAssembler {

    private static final Map<String, String> JOINTS =
            Map.of("space", " ", "hyphen", "-", "slash", "/", "dot", ".", "none", "");

    private final RowsToAssemble rows;

    private ScheduleAssembler(BundleTables tables, Set<String> incomplete) {
        rows = new RowsToAssemble(tables, incomplete);
    }

    /**
     * The schedule that {@code tables} state.
     *
     * @throws FaultyBundleException naming every fault
     */
    static Schedule assemble(BundleTables tables) {
        return new ScheduleAssembler(tables, Set.of()).schedule();
    }

    /**
     * What more is wrong with tables that lack some rows, which had faults of their own.
     *
     * @param incomplete the names of those tables
     */
    static List<Fault> faultsOf(BundleTables tables, Set<String> incomplete) {
        if (incomplete.contains("institution") || incomplete.contains("terms")) {
            return List.of();
        }
        try {
            new ScheduleAssembler(tables, incomplete).schedule();
            return List.of();
        } catch (FaultyBundleException more) {
            return more.faults();
        }
    }

    private Schedule schedule() {
        Optional<Institution> institution = rows.only("institution", this::institution);
        Optional<Term> term = rows.only("terms", this::term);
        stopIfFaulty();
        Map<String, Campus> campuses = rows.byKey("campuses", row -> row.text("campus"), ScheduleAssembler::campus);
        Map<String, Programme> programmes =
                rows.byKey("programmes", row -> row.text("programme"), ScheduleAssembler::programme);
        Map<String, Span> spans = rows.byKey("spans", row -> row.text("span"), ScheduleAssembler::span);
        Kinds kinds = new Kinds(rows);
        Groups groups = new Groups(rows, programmes.keySet(), campuses.keySet());
        Map<CourseCode, Course> courses = new CourseAssembler(rows, institution.orElseThrow(), groups).courses();
        List<Section> sections = new SectionAssembler(
                        rows, institution.orElseThrow(), campuses, spans, courses, groups, kinds)
                .sections();
        Lists lists = new Lists(
                List.copyOf(campuses.values()),
                rows.each("departments", row -> new Department(row.text("department"), row.text("name"))),
                rows.each("subjects", this::subject),
                List.copyOf(programmes.values()),
                rows.each("requirements", row -> new Requirement(row.text("requirement"), row.text("name"))),
                rows.each("binding_dates", ScheduleAssembler::bindingRule),
                rows.each("openings", ScheduleAssembler::opening),
                rows.each("loads", ScheduleAssembler::loadRule),
                rows.each("journeys", ScheduleAssembler::journey),
                kinds.own(),
                new WishRoundAssembler(rows, groups).rounds());
        rows.each("subject_notes", ScheduleAssembler::subjectNote);
        CodeKey codeKey = codeKey();
        stopIfFaulty();
        return new Schedule(
                institution.orElseThrow(), term.orElseThrow(), codeKey, lists, List.copyOf(courses.values()), sections);
    }

    private void stopIfFaulty() {
        if (!rows.faults().isEmpty()) {
            throw new FaultyBundleException(rows.faults());
        }
    }

    /** One of those that the format allows. */
    private static String joint(BundleTable.Row row, String column) {
        return Objects.requireNonNull(JOINTS.get(row.text(column)));
    }

    private Institution institution(BundleTable.Row row) {
        return new Institution(
                row.text("code"),
                row.text("name"),
                zone(row),
                Locale.forLanguageTag(row.text("language")),
                new CodeForm(joint(row, "course_joint"), joint(row, "section_joint")),
                week(row),
                credit(row),
                grades());
    }

    /** Java knows other names too, such as "EST" and "+3", which say nothing of summer time. */
    private static ZoneId zone(BundleTable.Row row) {
        String zone = row.text("zone");
        if (!ZoneId.getAvailableZoneIds().contains(zone) || !zone.contains("/") || zone.startsWith("SystemV/")) {
            throw new Unfit("zone", "It is not an IANA time zone, as in Europe/London.");
        }
        return ZoneId.of(zone);
    }

    private static WeekForm week(BundleTable.Row row) {
        Days weekend = row.optionalText("weekend")
                .map(days -> days.equals("none")
                        ? Days.NONE
                        : Days.of(Arrays.stream(days.split(" "))
                                .flatMap(day -> Days.parseDay(day).stream())
                                .toList()))
                .orElse(WeekForm.USUAL.weekend());
        if (weekend.equals(Days.ALL)) {
            throw new Unfit("weekend", "A week needs a day that is not of the weekend.");
        }
        return new WeekForm(
                row.optionalText("week_begins").flatMap(Days::parseDay).orElse(WeekForm.USUAL.first()), weekend);
    }

    private static CreditWorth credit(BundleTable.Row row) {
        CreditWorth.Unit unit = row.optionalText("credit")
                .flatMap(code -> Coded.parse(CreditWorth.Unit.class, code))
                .orElse(CreditWorth.Unit.SEMESTER);
        return row.optional("credit_hours", BigDecimal.class).map(unit::of).orElse(unit.usual());
    }

    private GradeScale grades() {
        List<GradeScale.Step> steps = rows.each(
                "grades", row -> new GradeScale.Step(row.text("grade"), row.integer("position"), row.yes("passes")));
        return steps.isEmpty() ? GradeScale.LETTERS : new GradeScale(steps);
    }

    private Term term(BundleTable.Row row) {
        List<TermCalendar.ExceptionalDay> exceptions = rows.each(
                "calendar_days",
                day -> new TermCalendar.ExceptionalDay(
                        day.date("date"), day.optionalText("follows").flatMap(Days::parseDay), day.text("label")));
        return new Term(
                new TermCode(row.text("term")),
                row.text("name"),
                new Season(new SeasonCode(row.text("season")), row.text("season_name")),
                dates(row),
                new TermCalendar(exceptions));
    }

    private static Span span(BundleTable.Row row) {
        return new Span(row.text("span"), row.text("name"), dates(row), row.optionalText("mark"));
    }

    private Subject subject(BundleTable.Row row) {
        String code = row.text("subject");
        Optional<String> department = row.optionalText("department");
        List<String> notes = rows.of("subject_notes").stream()
                .filter(note ->
                        note.optionalText("subject").filter(code::equals).isPresent()
                                || note.optionalText("department").isPresent()
                                        && note.optionalText("department").equals(department))
                .map(note -> note.text("text"))
                .toList();
        List<String> knownAs = row.optionalText("known_as").stream()
                .flatMap(words -> Arrays.stream(words.split(",")))
                .map(String::strip)
                .filter(word -> !word.isEmpty())
                .toList();
        return new Subject(code, row.text("name"), department, notes, knownAs);
    }

    /** Checks whom it is for. */
    private static String subjectNote(BundleTable.Row row) {
        if (row.optionalText("department").isPresent()
                == row.optionalText("subject").isPresent()) {
            throw new Unfit("subject", "A note is for one department or for one subject; name one of them, not both.");
        }
        return row.text("text");
    }

    private static Campus campus(BundleTable.Row row) {
        return new Campus(new CampusCode(row.text("campus")), row.text("name"), row.yes("remote"));
    }

    private static Programme programme(BundleTable.Row row) {
        return new Programme(row.text("programme"), row.text("name"), row.optionalText("department"));
    }

    private static BindingRule bindingRule(BundleTable.Row row) {
        return new BindingRule(
                row.text("rule"),
                row.optionalText("span"),
                Coded.parse(BindingRule.Purpose.class, row.text("purpose")).orElseThrow(),
                row.text("name"),
                switch (row.text("reckoned")) {
                    case "days" -> new BindingRule.Reckoning.DaysAfterFirst(reckoned(row, "days", Integer.class));
                    case "share" -> new BindingRule.Reckoning.ShareOfSpan(reckoned(row, "share", BigDecimal.class));
                    default -> new BindingRule.Reckoning.Fixed(reckoned(row, "date", LocalDate.class));
                },
                row.optionalText("meaning"));
    }

    private static <T> T reckoned(BundleTable.Row row, String column, Class<T> type) {
        Optional<T> cell = row.optional(column, type);
        return cell.orElseThrow(() -> new Unfit(
                column, "This cell must not be empty in a row reckoned by %s.".formatted(row.text("reckoned"))));
    }

    private static Opening opening(BundleTable.Row row) {
        int least = row.integer("least_credits");
        Optional<Integer> most = row.optional("most_credits", Integer.class);
        if (most.filter(credits -> credits < least).isPresent()) {
            throw new Unfit("most_credits", "It must not be less than the least credits, " + least + ".");
        }
        LocalTime time = row.optional("time", LocalTime.class).orElseThrow();
        return new Opening(
                row.text("opening"),
                row.text("name"),
                least,
                most,
                row.date("date").atTime(time));
    }

    private static LoadRule loadRule(BundleTable.Row row) {
        return new LoadRule(
                Coded.parse(LoadRule.Sort.class, row.text("load")).orElseThrow(),
                row.number("credits"),
                row.optionalText("meaning"));
    }

    private static Journey journey(BundleTable.Row row) {
        if (row.text("from_campus").equals(row.text("to_campus"))) {
            throw new Unfit("to_campus", "It must be another campus than the first.");
        }
        return new Journey(
                new CampusCode(row.text("from_campus")),
                new CampusCode(row.text("to_campus")),
                row.integer("minutes"),
                row.text("means"));
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

    private static DateRange dates(BundleTable.Row row) {
        return MeetingAssembler.dates(row.date("first_day"), row.date("last_day"));
    }
}
