package ample.ledger.demo;

import ample.ledger.core.exchange.BundleTable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Posts some seminars under a second subject too: cross-listed, one class in one pool. */
final class Twins {

    private final Rows rows;
    private final Dice dice;
    private final Map<String, BundleTable.Row> courses = new HashMap<>();

    /** The rows of what goes with a section, by table and entry number. */
    private final Map<String, Map<String, List<BundleTable.Row>>> byEntry = new HashMap<>();

    private int nextEntry;

    /** @param firstEntry the lowest entry number to give out */
    Twins(Rows rows, Dice dice, int firstEntry) {
        this.rows = rows;
        this.dice = dice;
        this.nextEntry = firstEntry;
        rows.of("courses").forEach(this::know);
        for (String table : List.of("meetings", "section_instructors")) {
            byEntry.put(table, rows.of(table).stream().collect(Collectors.groupingBy(row -> row.text("entry"))));
        }
    }

    private void know(BundleTable.Row course) {
        courses.put(course.text("subject") + " " + course.text("number"), course);
    }

    /** Gives so many of the sections {@code homes} a twin in another subject; one a course. */
    void add(List<BundleTable.Row> homes, List<String> subjects, int count) {
        List<String> courses = new ArrayList<>();
        for (BundleTable.Row home : homes) {
            String course = home.text("subject") + " " + home.text("number");
            String other = dice.of(subjects);
            if (courses.size() < count && !courses.contains(course) && !other.equals(home.text("subject"))) {
                if (twin(home, other)) {
                    courses.add(course);
                }
            }
        }
    }

    private boolean twin(BundleTable.Row home, String subject) {
        String number = home.text("number");
        Optional<BundleTable.Row> course = courseOf(home.text("subject"), number);
        if (courseOf(subject, number).isPresent() || course.isEmpty()) {
            return false;
        }
        String here = home.text("subject") + " " + number;
        rows.add(
                "courses",
                subject,
                number,
                course.get().text("title"),
                "The twin of %s, where its description stands.".formatted(here),
                course.get().number("credits"),
                course.get().integer("level"));
        know(rows.last("courses"));
        equivalent(home.text("subject"), number, subject);
        equivalent(subject, number, home.text("subject"));
        String entry = String.valueOf(nextEntry++);
        Object[] cells = home.cells().clone();
        cells[Rows.column("sections", "entry")] = entry;
        cells[Rows.column("sections", "subject")] = subject;
        rows.add("sections", cells);
        copy("meetings", home.text("entry"), entry);
        copy("section_instructors", home.text("entry"), entry);
        String listing = "C-" + home.text("entry");
        rows.add("cross_listings", listing, home.text("entry"), true);
        rows.add("cross_listings", listing, entry, false);
        return true;
    }

    private void equivalent(String subject, String number, String other) {
        rows.add(
                "equivalents",
                subject,
                number,
                other,
                number,
                "stands-for",
                "The twin of %s %s; credit is given once.".formatted(other, number));
    }

    private void copy(String table, String from, String to) {
        for (BundleTable.Row row : Objects.requireNonNull(byEntry.get(table)).getOrDefault(from, List.of())) {
            Object[] cells = row.cells().clone();
            cells[Rows.column(table, "entry")] = to;
            rows.add(table, cells);
        }
    }

    private Optional<BundleTable.Row> courseOf(String subject, String number) {
        return Optional.ofNullable(courses.get(subject + " " + number));
    }

    /** Sections that can have a twin: seminars over the whole term, with nothing of their own attached. */
    static List<BundleTable.Row> candidates(Rows rows, int firstEntry) {
        Set<String> attached = new HashSet<>();
        for (String table : List.of("exams", "restrictions", "notes", "held_seats")) {
            rows.of(table)
                    .forEach(row -> row.optionalText(table.equals("held_seats") ? "pool" : "entry")
                            .ifPresent(attached::add));
        }
        return rows.of("sections").stream()
                .filter(row ->
                        row.text("kind").equals("seminar") && row.text("span").equals("full-term"))
                .filter(row ->
                        Integer.parseInt(row.text("entry")) >= firstEntry && !attached.contains(row.text("entry")))
                .toList();
    }
}
