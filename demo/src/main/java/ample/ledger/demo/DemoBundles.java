package ample.ledger.demo;

import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.demo.House.CampusPlan;
import ample.ledger.demo.Vocabulary.SubjectWords;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/** The bundles of the invented institutions, and the program that writes them. */
public final class DemoBundles {

    /** Entry numbers below this are the kernel's, above it the generator's. */
    static final int FIRST_GENERATED = 50_000;

    private static final int TWIN_ENTRIES = 49_000;
    private static final int AUTUMN = 2_400;
    private static final int SPRING = 2_200;
    private static final int SUMMER = 350;

    private static final Map<String, String> DEPARTMENTS = Map.of(
            "living-things", "Living Things",
            "words-and-people", "Words and People",
            "works", "Works",
            "words-and-figures", "Words and Figures");

    private static final House HALVERMERE = new House(
            List.of(
                    new CampusPlan("tidewall", "T", List.of("sluice-hall", "flume-house", "plotting-house")),
                    new CampusPlan("upper-fell", "F", List.of("cairn", "cold-house")),
                    new CampusPlan("orchard-yard", "Y", List.of("grafting-shed", "press-hall", "loom-hall"))),
            "at-a-distance",
            House.HALVERMERE,
            List.of(
                    "tidal-engineering",
                    "glaciology",
                    "limnology",
                    "mycology",
                    "textile-structures",
                    "boat-building-diploma",
                    "cartography"));

    private final ScheduleBundle kernel;
    private final long seed;

    /** @param kernel the folder of the bundle that was written by hand */
    public DemoBundles(Path kernel, long seed) {
        this.kernel = ScheduleBundle.read(kernel);
        this.seed = seed;
    }

    /** A posting of the demo. */
    private record Posting(String folder, String term, BundleTables tables, String postedAt, String note) {}

    /**
     * Without arguments writes the demo's bundles, and a list of them, to {@code demo/bundles}; with a number and a
     * folder one bundle of Autumn with about so many sections.
     */
    public static void main(String[] arguments) throws IOException {
        DemoBundles demo = new DemoBundles(Path.of("demo/kernel"), 2031);
        if (arguments.length == 2) {
            BundleWriter.toFolder(demo.autumn(Integer.parseInt(arguments[0])), Path.of(arguments[1]));
        } else {
            demo.write(Path.of("demo/bundles"));
        }
    }

    /** Writes every bundle of the demo, and the list of postings, into {@code folder}. */
    public void write(Path folder) throws IOException {
        StringBuilder list = new StringBuilder("bundle,term,checksum,posted_at,note\n");
        for (Posting posting : postings()) {
            BundleWriter.toFolder(posting.tables(), folder.resolve(posting.folder()));
            list.append("%s,%s,%s,%s,%s\n"
                    .formatted(
                            posting.folder(),
                            posting.term(),
                            ScheduleBundle.of(posting.tables()).checksum(),
                            posting.postedAt(),
                            posting.note()));
        }
        Files.writeString(folder.resolve("postings.csv"), list);
    }

    private List<Posting> postings() {
        BundleTables third = autumn(AUTUMN);
        BundleTables second = Corrections.before(third, new Dice(seed + 12), 0.04, 0);
        BundleTables first = Corrections.before(second, new Dice(seed + 11), 0.12, 4);
        return List.of(
                new Posting(
                        "autumn-2031-1", "autumn-2031", WishRounds.in(first), "2031-05-26T13:00:00Z", "First posting"),
                new Posting(
                        "autumn-2031-2",
                        "autumn-2031",
                        WishRounds.in(second),
                        "2031-06-05T07:30:00Z",
                        "Rooms for most; four mended"),
                new Posting(
                        "autumn-2031-3",
                        "autumn-2031",
                        WishRounds.in(third),
                        "2031-06-16T15:20:00Z",
                        "Rooms and people for June"),
                new Posting("spring-2032", "spring-2032", spring(), "2031-06-12T09:00:00Z", "Provisional"),
                new Posting("summer-2032", "summer-2032", summer(), "2031-06-12T09:05:00Z", "Provisional"),
                new Posting(
                        "quarter-autumn-2031",
                        "quarter-autumn-2031",
                        Saltern.quarter(kernel.tables(), new Dice(seed + 4)),
                        "2031-06-10T10:10:00Z",
                        "The college beside the pans"));
    }

    /** Halvermere's Autumn 2031 with about so many sections, the kernel's among them. */
    public BundleTables autumn(int size) {
        Rows rows = Rows.of(kernel.tables());
        TermPlan plan = new TermPlan(
                "autumn-2031",
                "full-term",
                "first-half",
                "second-half",
                "both-terms",
                "late-start",
                days("2031-12-15", "2031-12-16", "2031-12-17", "2031-12-18", "2031-12-19"),
                days("2031-09-20", "2031-09-27", "2031-10-04", "2031-10-11", "2031-11-08", "2031-11-15"),
                FIRST_GENERATED);
        halvermere(rows, plan, new Dice(seed + 1), size, true);
        return rows.build();
    }

    private BundleTables spring() {
        return laterTerm(
                "spring-2032",
                "Spring 2032",
                new String[] {"2032-01-12", "2032-03-05", "2032-03-15", "2032-04-23"},
                "2031-11-04",
                days("2032-04-26", "2032-04-27", "2032-04-28", "2032-04-29", "2032-04-30"),
                days("2032-02-07", "2032-03-20", "2032-04-03", "2032-04-17"),
                new Dice(seed + 2),
                SPRING,
                12,
                18);
    }

    private BundleTables summer() {
        return laterTerm(
                "summer-2032",
                "Summer 2032",
                new String[] {"2032-06-07", "2032-07-09", "2032-07-12", "2032-08-13"},
                "2032-03-02",
                List.of(),
                days("2032-06-19", "2032-07-03", "2032-07-24"),
                new Dice(seed + 3),
                SUMMER,
                6,
                9);
    }

    /**
     * @param halves first and last day of the first half, then of the second; between them nothing is held
     * @param examDays after the halves
     */
    private BundleTables laterTerm(
            String code,
            String name,
            String[] halves,
            String opens,
            List<LocalDate> examDays,
            List<LocalDate> saturdays,
            Dice dice,
            int size,
            int fullTime,
            int overLoad) {
        Rows rows = withoutSections(kernel.tables());
        LocalDate last = examDays.isEmpty() ? date(halves[3]) : examDays.get(examDays.size() - 1);
        rows.add("terms", code, name, date(halves[0]), last, code, name);
        date(halves[1])
                .plusDays(3)
                .datesUntil(date(halves[2]))
                .forEach(day -> rows.add("calendar_days", code, day, null, "Lambing Week"));
        examDays.forEach(day -> rows.add("calendar_days", code, day, null, "Exams"));
        span(rows, code, "full-term", "Full term", halves[0], halves[3], "1");
        span(rows, code, "first-half", "First half", halves[0], halves[1], "A");
        span(rows, code, "second-half", "Second half", halves[2], halves[3], "B");
        openings(rows, code, opens);
        loads(rows, code, fullTime, overLoad);
        TermPlan plan = new TermPlan(
                code, "full-term", "first-half", "second-half", "", "", examDays, saturdays, FIRST_GENERATED);
        halvermere(rows, plan, dice, size, false);
        return rows.build();
    }

    private void halvermere(Rows rows, TermPlan plan, Dice dice, int size, boolean withKernel) {
        List<SubjectWords> subjects = Vocabulary.subjects("halvermere.txt");
        addSubjects(rows, subjects);
        // The catalogue is the same in every term, whatever is offered of it.
        List<Catalogue.Draft> drafts = new Catalogue(rows, new Dice(seed), true, "autumn-2031", "spring-2032")
                .make(subjects, Math.max(1, Math.min(12, size / AUTUMN)));
        List<String> codes = subjects.stream().map(SubjectWords::code).toList();
        Timetable timetable = new Timetable(rows, HALVERMERE, dice, size, codes);
        Sections sections = new Sections(rows, HALVERMERE, plan, dice, timetable);
        if (withKernel) {
            timetable.respect(kernel.schedule().sections());
        }
        int twins = size / 200;
        sections.make(drafts, size - twins);
        new Twins(rows, dice, TWIN_ENTRIES).add(Twins.candidates(rows, FIRST_GENERATED), codes, Math.min(twins, 500));
        cancelSome(rows, dice);
    }

    static void addSubjects(Rows rows, List<SubjectWords> subjects) {
        Map<String, String> departments = new LinkedHashMap<>();
        rows.of("departments").forEach(row -> departments.put(row.text("department"), row.text("name")));
        for (SubjectWords subject : subjects) {
            if (!departments.containsKey(subject.department())) {
                departments.put(subject.department(), DEPARTMENTS.get(subject.department()));
                rows.add("departments", subject.department(), DEPARTMENTS.get(subject.department()));
            }
            if (rows.of("subjects").stream()
                    .noneMatch(row -> row.text("subject").equals(subject.code()))) {
                rows.add(
                        "subjects",
                        subject.code(),
                        subject.name(),
                        subject.department(),
                        subject.knownAs().orElse(null));
            }
        }
    }

    /** One in two hundred is cancelled; never one that others depend on. */
    private static void cancelSome(Rows rows, Dice dice) {
        Set<String> bound = rows.bound();
        int cancelled = Rows.column("sections", "cancelled");
        int mark = Rows.column("sections", "status_mark");
        rows.change(
                "sections",
                row -> Integer.parseInt(row.text("entry")) >= FIRST_GENERATED
                        && dice.chance(0.005)
                        && !bound.contains(row.text("entry")),
                cells -> {
                    cells[cancelled] = true;
                    cells[mark] = "C";
                    return cells;
                });
    }

    /** What a term of the same institution has in common with the kernel's. */
    private static Rows withoutSections(BundleTables tables) {
        Rows rows = Rows.of(tables);
        Stream.of(
                        "terms",
                        "calendar_days",
                        "spans",
                        "binding_dates",
                        "openings",
                        "loads",
                        "instructors",
                        "seat_pools",
                        "held_seats",
                        "sections",
                        "section_instructors",
                        "cross_listings",
                        "meetings",
                        "exams",
                        "companions",
                        "wish_rounds",
                        "wish_groups",
                        "wish_group_sections",
                        "wish_criteria")
                .forEach(rows::clear);
        Stream.of("notes", "restrictions")
                .forEach(table ->
                        rows.removeIf(table, row -> row.optionalText("entry").isPresent()));
        return rows;
    }

    static void span(Rows rows, String term, String code, String name, String first, String last, String mark) {
        rows.add("spans", term, code, name, date(first), date(last), mark);
    }

    private static void loads(Rows rows, String term, int fullTime, int overLoad) {
        rows.add("loads", "full-time", term, new BigDecimal(fullTime), null);
        rows.add(
                "loads",
                "over-load",
                term,
                new BigDecimal(overLoad),
                "More than " + overLoad + " credits need an adviser's signature.");
    }

    private static void openings(Rows rows, String term, String first) {
        rows.add("openings", "from-60", term, "60 credits and more", 60, null, date(first), LocalTime.of(8, 0));
        rows.add(
                "openings",
                "from-1",
                term,
                "1 to 59 credits",
                1,
                59,
                date(first).plusDays(3),
                LocalTime.of(8, 0));
        rows.add("openings", "new", term, "New students", 0, 0, date(first).plusDays(7), LocalTime.of(8, 0));
        rows.add(
                "binding_dates",
                "add",
                term,
                null,
                "add",
                "Last day to add",
                "share",
                null,
                new BigDecimal("0.1"),
                null,
                null);
        rows.add(
                "binding_dates",
                "drop",
                term,
                null,
                "drop",
                "Last day to drop without a mark",
                "share",
                null,
                new BigDecimal("0.3"),
                null,
                "Until then the course does not appear on your record.");
    }

    static List<LocalDate> days(String... dates) {
        return Stream.of(dates).map(LocalDate::parse).toList();
    }

    static LocalDate date(String date) {
        return LocalDate.parse(date);
    }
}
