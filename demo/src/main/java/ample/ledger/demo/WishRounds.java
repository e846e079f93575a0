package ample.ledger.demo;

import ample.ledger.core.exchange.BundleTables;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;

/** The wish rounds of Halvermere's autumn: courses of their own, whose sections nobody has a seat in yet. */
final class WishRounds {

    private static final String TERM = "autumn-2031";
    private static final String SEMINARS = "speaking-seminars";
    private static final String FIELD = "field-courses";
    private static final LocalTime MORNING = LocalTime.of(8, 0);
    private static final LocalTime EVENING = LocalTime.of(18, 0);

    private final Rows rows;

    private WishRounds(Rows rows) {
        this.rows = rows;
    }

    /** The same bundle with the rounds. */
    static BundleTables in(BundleTables bundle) {
        WishRounds rounds = new WishRounds(Rows.of(bundle));
        rounds.seminars();
        rounds.fieldCourses();
        return rounds.rows.build();
    }

    private void round(String code, String name, String rule, boolean even, String meaning) {
        rows.add(
                "wish_rounds",
                code,
                TERM,
                name,
                LocalDate.of(2031, 6, 9),
                MORNING,
                LocalDate.of(2031, 6, 24),
                EVENING,
                rule,
                even,
                true,
                meaning);
    }

    private void seminars() {
        round(
                SEMINARS,
                "Seminar groups of RHET 226",
                "most-placed",
                true,
                "Who gets no place this autumn comes first in spring.");
        rows.add("wish_criteria", SEMINARS, 1, null, "Students in their last year", "level", "4 5 6");
        course(
                "RHET",
                "226",
                "Speaking to a Room",
                "Ten minutes, then five, then one. Each week half the room speaks and half listens, and says what it heard.",
                3,
                2,
                "written-argument");
        instructor("quillon-hale", "Quillon-Hale");
        instructor("marsh-oduya", "Marsh-Oduya");
        seminar("41004", "T1", "tidewall", "tue", "9:30", "12:10", "the Round Room, Plotting House", "quillon-hale");
        seminar("41011", "T2", "tidewall", "wed", "13:30", "16:10", "the Round Room, Plotting House", "quillon-hale");
        seminar("41018", "T3e", "tidewall", "thu", "17:00", "19:40", "the Round Room, Plotting House", "quillon-hale");
        seminar("41025", "F1", "upper-fell", "mon", "10:00", "12:40", "the Long Table, Cairn", "marsh-oduya");
        seminar("41032", "F2", "upper-fell", "thu", "13:00", "15:40", "the Long Table, Cairn", "marsh-oduya");
        seminar("41039", "Y1", "orchard-yard", "fri", "9:00", "11:40", "the Loft, Press Hall", "marsh-oduya");
        group(SEMINARS, "tidewall-tuesday", "Tidewall, Tuesday morning", 24, 6, "41004");
        group(SEMINARS, "tidewall-wednesday", "Tidewall, Wednesday afternoon", 24, 6, "41011");
        group(SEMINARS, "tidewall-evening", "Tidewall, Thursday evening", 24, 6, "41018");
        group(SEMINARS, "upper-fell-monday", "Upper Fell, Monday morning", 20, 6, "41025");
        group(SEMINARS, "upper-fell-thursday", "Upper Fell, Thursday afternoon", 20, 6, "41032");
        group(SEMINARS, "orchard-yard-friday", "Orchard Yard, Friday morning", 18, 6, "41039");
    }

    private void seminar(
            String entry,
            String code,
            String campus,
            String day,
            String starts,
            String ends,
            String place,
            String instructor) {
        section(entry, "RHET", "226", code, "seminar", "S", campus, "full-term", 24);
        MeetingRows.named(rows, entry, 1, "seminar", "weekly", day, null, time(starts), time(ends), place);
        rows.add("section_instructors", entry, instructor);
    }

    private void fieldCourses() {
        round(FIELD, "Field courses in ice and fungi", "by-priority", false, "Boots and a coat are lent.");
        rows.add(
                "wish_criteria",
                FIELD,
                1,
                null,
                "Students of Glaciology and of Mycology",
                "programme",
                "glaciology mycology");
        rows.add("wish_criteria", FIELD, 2, "snow-line", "Students at home on Upper Fell", "campus", "upper-fell");
        rows.add("wish_criteria", FIELD, 3, null, "Third year and later", "level", "3 4 5 6");
        course(
                "GLAC",
                "146m",
                "The Snow Line",
                "Where it lay, where it lies, and how to tell: four days above the road with poles, tape and notebook.",
                2,
                1,
                "field-practice",
                "natural-world");
        course(
                "GLAC",
                "247m",
                "Ice from Below",
                "Caves under the small glacier while they can still be entered: their walls, their air and their water.",
                2,
                2,
                "field-practice",
                "natural-world");
        course(
                "MYCO",
                "147m",
                "Fungi of the Birch Wood",
                "What grows with birch, and what only beside it. Lists that another class can check.",
                2,
                1,
                "field-practice",
                "natural-world");
        course(
                "MYCO",
                "248m",
                "The Wood by Night",
                "Fungi that glow, and who comes for them. Three nights and two mornings in the Long Spinney.",
                2,
                2,
                "field-practice",
                "natural-world");
        instructor("tarnwick", "Tarnwick");
        instructor("sorrell-nkemi", "Sorrell-Nkemi");
        fieldDays("41053", "GLAC", "146m", "F1", "upper-fell", 12, "tarnwick", "the Upper Fell car park", 9, 13, 20);
        fieldDays("41060", "GLAC", "146m", "F2", "upper-fell", 10, "tarnwick", "the Upper Fell car park", 10, 11, 18);
        fieldDays("41067", "GLAC", "247m", "F1", "upper-fell", 8, "tarnwick", "the hut below the ice", 9, 14, 28);
        fieldDays(
                "41074",
                "MYCO",
                "147m",
                "Y1",
                "orchard-yard",
                14,
                "sorrell-nkemi",
                "the gate of Long Spinney",
                9,
                13,
                27);
        fieldDays(
                "41081",
                "MYCO",
                "147m",
                "F1",
                "upper-fell",
                10,
                "sorrell-nkemi",
                "the Upper Fell car park",
                10,
                12,
                19);
        fieldDays(
                "41088",
                "MYCO",
                "248m",
                "Y1",
                "orchard-yard",
                12,
                "sorrell-nkemi",
                "the gate of Long Spinney",
                9,
                21,
                28);
        group(FIELD, "ice-from-below", "Ice from below", 8, 0, "41067");
        group(FIELD, "wood-by-night", "The wood by night", 12, 6, "41088");
        group(FIELD, "snow-line", "The snow line, September", 12, 0, "41053");
        group(FIELD, "birch-wood", "Fungi of the birch wood, September", 14, 6, "41074");
        group(FIELD, "snow-and-birch", "Snow line and birch wood, October", 10, 8, "41060", "41081");
    }

    private void fieldDays(
            String entry,
            String subject,
            String number,
            String code,
            String campus,
            int capacity,
            String instructor,
            String place,
            int month,
            int... days) {
        section(entry, subject, number, code, "field-day", "G", campus, "first-half", capacity);
        int meeting = 1;
        for (int day : days) {
            MeetingRows.named(
                    rows,
                    entry,
                    meeting++,
                    "field-day",
                    "once",
                    null,
                    LocalDate.of(2031, month, day),
                    LocalTime.of(9, 0),
                    LocalTime.of(16, 0),
                    place);
        }
        rows.add("section_instructors", entry, instructor);
    }

    private void course(
            String subject,
            String number,
            String title,
            String description,
            int credits,
            int level,
            String... requirements) {
        rows.add("courses", subject, number, title, description, BigDecimal.valueOf(credits), level);
        for (String requirement : requirements) {
            rows.add("course_requirements", subject, number, requirement);
        }
    }

    private void instructor(String code, String name) {
        rows.add("instructors", code, name);
    }

    private void section(
            String entry,
            String subject,
            String number,
            String code,
            String kind,
            String mark,
            String campus,
            String span,
            int capacity) {
        rows.add("seat_pools", entry, capacity, 6, 0, 0, 0);
        rows.add(
                "sections",
                entry,
                TERM,
                subject,
                number,
                code,
                kind,
                campus,
                "on-site",
                span,
                entry,
                false,
                null,
                false,
                mark,
                null,
                null);
    }

    private void group(String round, String code, String name, int places, int least, String... entries) {
        rows.add("wish_groups", round, code, name, places, least);
        for (String entry : entries) {
            rows.add("wish_group_sections", round, code, entry);
        }
    }

    private static LocalTime time(String text) {
        return LocalTime.parse(text.length() == 4 ? "0" + text : text);
    }
}
