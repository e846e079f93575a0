package ample.ledger.core.edition;

import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.schedule.Course;
import ample.ledger.core.schedule.Requirement;
import ample.ledger.core.schedule.SeatPool;
import ample.ledger.core.schedule.Section;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Something in a posting that is probably not meant, and does not keep it from being posted.
 *
 * @param table the table whose rows it is found in
 * @param keys the primary keys of those rows, their cells separated by blanks
 * @param about what it is found in: sections, a course, a pool or a requirement, as people name them
 * @param sentence what was found
 */
public record Warning(Kind kind, String table, List<String> keys, String about, String sentence) {

    public Warning {
        keys = List.copyOf(keys);
    }

    /** What is found, and why it matters. */
    public enum Kind {
        ROOM_TWICE("Two sections in one room at once", "Two classes are to meet in this room at the same time."),
        PERSON_TWICE("One person in two places at once", "One of the classes will have nobody to teach it."),
        EXAM_CLASH("Exams at once that go together", "A student of the course cannot sit both."),
        CLASS_DURING_EXAM(
                "A class during an exam of its own", "Students miss the class, or go to a class that is not held."),
        EXAM_FAR_OFF(
                "An exam far outside its term", "Students will have gone; probably a year or a month is mistyped."),
        COMPANION_OUT_OF_REACH(
                "A companion that clashes with everything it goes with",
                "Nobody can take it, and its seats stay empty."),
        DELIVERY_CONTRADICTED(
                "Declared delivery against the meetings", "Students who filter by delivery are shown the meetings."),
        CODE_NOT_EXPLAINED("A code that the key does not explain", "Students cannot tell what the letter means."),
        OUTSIDE_SPAN(
                "A meeting outside the dates of its span",
                "Students easily miss it, and dates that bind do not count it."),
        HELD_BEYOND_CAPACITY("More seats held than there are", "No seat will show as open to anybody."),
        REQUIREMENT_NOT_OFFERED(
                "A requirement that nothing counts toward", "Students who still owe it find nothing this term."),
        PREREQUISITE_UNKNOWN("A prerequisite that is not a course here", "Nobody can be seen to meet it."),
        PREREQUISITE_CIRCLE("Courses that need each other first", "Nobody can take any of them.");

        private final String label;
        private final String why;

        Kind(String label, String why) {
            this.label = label;
            this.why = why;
        }

        /** What is found, as a heading. */
        public String label() {
            return label;
        }

        /** Why it matters to students. */
        public String why() {
            return why;
        }
    }

    static Warning ofSections(Kind kind, String sentence, Section... sections) {
        return new Warning(
                kind,
                "sections",
                Arrays.stream(sections).map(section -> section.entry().digits()).toList(),
                Arrays.stream(sections).map(Section::toString).collect(Collectors.joining(" and ")),
                sentence);
    }

    static Warning ofCourses(Kind kind, String sentence, List<Course> courses) {
        return new Warning(
                kind,
                "courses",
                courses.stream().map(course -> course.code().toString()).toList(),
                courses.stream().map(Course::written).collect(Collectors.joining(", ")),
                sentence);
    }

    static Warning ofPool(Kind kind, String sentence, SeatPool pool) {
        return new Warning(kind, "seat_pools", List.of(pool.code()), "Pool " + pool.code(), sentence);
    }

    static Warning ofRequirement(Kind kind, String sentence, Requirement requirement) {
        return new Warning(kind, "requirements", List.of(requirement.code()), requirement.name(), sentence);
    }

    /** The lines of its rows in the files of the bundle that it was found in. Cost: one pass over the table. */
    public List<Integer> lines(BundleTables tables) {
        Set<String> wanted = Set.copyOf(keys);
        return tables.rows(table).stream()
                .filter(row -> wanted.contains(row.key(row.schema().primaryKey()).stream()
                        .map(Objects::toString)
                        .collect(Collectors.joining(" "))))
                .map(row -> row.line())
                .toList();
    }

    /** Those rows in words: "sections.csv, rows 12 and 15"; by their keys where the rows of a stored edition have no lines. */
    public String where(BundleTables tables) {
        List<Integer> lines = lines(tables);
        if (lines.contains(0)) {
            return "%s.csv, %s".formatted(table, String.join(" and ", keys));
        }
        return "%s.csv, %s %s"
                .formatted(
                        table,
                        lines.size() == 1 ? "row" : "rows",
                        lines.stream().map(String::valueOf).collect(Collectors.joining(" and ")));
    }
}
