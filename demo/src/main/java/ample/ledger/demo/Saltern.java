package ample.ledger.demo;

import static ample.ledger.demo.DemoBundles.addSubjects;
import static ample.ledger.demo.DemoBundles.date;
import static ample.ledger.demo.DemoBundles.days;
import static ample.ledger.demo.DemoBundles.span;

import ample.ledger.core.exchange.BundleTables;
import ample.ledger.demo.House.CampusPlan;
import ample.ledger.demo.Vocabulary.SubjectWords;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;

/** The sister college beside the pans: another calendar, another code key, one campus. */
final class Saltern {

    private static final int SALTERN = 300;

    /** The last days of the quarter. */
    private static final List<LocalDate> EXAMS = days("2031-12-03", "2031-12-04", "2031-12-05");

    private Saltern() {}

    /** The college's quarter, with the requirements that the kernel names. */
    static BundleTables quarter(BundleTables kernel, Dice dice) {
        Rows rows = new Rows();
        String term = "quarter-autumn-2031";
        rows.add(
                "institution",
                "saltern",
                "Saltern College",
                "Atlantic/Madeira",
                "en",
                "hyphen",
                "slash",
                null,
                null,
                "quarter",
                null);
        rows.add(
                "terms",
                term,
                "Autumn quarter 2031",
                date("2031-09-29"),
                date("2031-12-05"),
                "autumn-2031",
                "Autumn 2031");
        rows.add("calendar_days", term, date("2031-11-11"), null, "Day of the Pans");
        EXAMS.forEach(day -> rows.add("calendar_days", term, day, null, "Exams"));
        span(rows, term, "quarter", "The quarter", "2031-09-29", "2031-12-02", "Q");
        span(rows, term, "first-five", "First five weeks", "2031-09-29", "2031-10-31", "Q1");
        span(rows, term, "last-five", "Last five weeks", "2031-11-03", "2031-12-02", "Q2");
        rows.add("binding_dates", "add", term, null, "add", "Last day to add", "days", 4, null, null, null);
        rows.add(
                "binding_dates",
                "drop",
                term,
                null,
                "drop",
                "Last day to drop without a mark",
                "share",
                null,
                new BigDecimal("0.25"),
                null,
                "If you drop later, your record shows it.");
        rows.add("openings", "everybody", term, "Everybody", 0, null, date("2031-09-01"), LocalTime.of(9, 0));
        rows.add("campuses", "pans", "The Pans", false);
        rows.add("campuses", "anywhere", "Anywhere", true);
        rows.add(
                "buildings",
                "drying-shed",
                "pans",
                "Drying Shed",
                new BigDecimal("47.0311"),
                new BigDecimal("-14.8210"));
        rows.add(
                "buildings",
                "brine-house",
                "pans",
                "Brine House",
                new BigDecimal("47.0305"),
                new BigDecimal("-14.8188"));
        rows.add("journeys", "pans", "tidewall", 30, "ferry");
        rows.add("journeys", "pans", "orchard-yard", 45, "ferry and shuttle");
        rows.add("journeys", "pans", "upper-fell", 90, "ferry and shuttle");
        rows.add("loads", "full-time", term, new BigDecimal(8), null);
        salternKey(rows);
        List<SubjectWords> subjects = Vocabulary.subjects("saltern.txt");
        requirements(kernel, rows, subjects);
        addSubjects(rows, subjects);
        List<Catalogue.Draft> drafts = new Catalogue(rows, dice, false, term, "").make(subjects, 1);
        House house = new House(
                List.of(new CampusPlan("pans", "P", List.of("drying-shed", "brine-house"))),
                "anywhere",
                House.SALTERN,
                List.of());
        TermPlan plan = new TermPlan(
                term,
                "quarter",
                "first-five",
                "last-five",
                "",
                "",
                EXAMS,
                days("2031-10-11", "2031-10-25", "2031-11-22"),
                70_000);
        List<String> codes = subjects.stream().map(SubjectWords::code).toList();
        new Sections(rows, house, plan, dice, new Timetable(rows, house, dice, SALTERN, codes)).make(drafts, SALTERN);
        return rows.build();
    }

    private static void salternKey(Rows rows) {
        String[][] key = {
            {"course", "1", "[0-9]{2}", "department", "one", "{subject}"},
            {"course", "2", "-", "hyphen", "one", null},
            {"course", "3", "1", "level", "one", "first year"},
            {"course", "3", "2", "level", "one", "second year"},
            {"course", "3", "3", "level", "one", "third year"},
            {"course", "4", "[0-9]{2}", "number", "one", "course {value} of its year"},
            {"section", "1", "A", "kind", "one", "lecture"},
            {"section", "1", "B", "kind", "one", "practice"},
            {"section", "1", "C", "kind", "one", "conversation"},
            {"section", "1", "D", "kind", "one", "workshop"},
            {"section", "2", "[.]", "dot", "one", null},
            {"section", "3", "[0-9]{1,3}", "section", "one", "section {value} of its kind"},
            {"section", "4", "[+]", "plus", "optional", null},
            {"section", "5", "e", "flag", "any", "in the evening"},
            {"section", "5", "o", "flag", "any", "online, at set hours"},
            {"section", "5", "n", "flag", "any", "no set hours"},
            {"section", "5", "m", "flag", "any", "partly online"},
            {"section", "5", "k", "flag", "any", "kept for some students"},
            {"span", "1", "Q", "weeks", "one", "the quarter"},
            {"span", "2", "[12]", "half", "optional", "half {value}"},
        };
        for (String[] entry : key) {
            rows.add("code_key", entry[0], Integer.valueOf(entry[1]), entry[2], entry[3], entry[4], entry[5]);
        }
    }

    /** Those of the kernel that these subjects count toward. */
    private static void requirements(BundleTables kernel, Rows rows, List<SubjectWords> subjects) {
        kernel.rows("requirements").stream()
                .filter(row ->
                        subjects.stream().anyMatch(subject -> subject.toward().contains(row.text("requirement"))))
                .forEach(row -> rows.add("requirements", row.cells()));
    }
}
