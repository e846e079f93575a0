package ample.ledger.core.exchange;

import ample.ledger.core.schedule.Coded;
import ample.ledger.core.schedule.Restriction;
import ample.ledger.core.schedule.StudentGroup;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** Reads the cells that name students by programme, level, campus or cohort. */
final class Groups {

    private static final Pattern LEVEL = Pattern.compile("[1-9]");

    private final RowsToAssemble rows;
    private final Set<String> programmes;
    private final Set<String> campuses;

    /** @param programmes codes of those posted */
    Groups(RowsToAssemble rows, Set<String> programmes, Set<String> campuses) {
        this.rows = rows;
        this.programmes = programmes;
        this.campuses = campuses;
    }

    /** @throws Unfit when the cells do not go together */
    Restriction restriction(BundleTable.Row row) {
        Optional<StudentGroup> group = group(row);
        Optional<String> rule = row.optionalText("rule");
        if (group.isPresent() != rule.isPresent()) {
            throw new Unfit("rule", "The cells rule, about and any_of are all filled, or all empty.");
        }
        return new Restriction(
                group.map(those -> new Restriction.Rule(rule.orElseThrow().equals("include"), those)),
                row.optional("until", LocalDate.class),
                row.text("sentence"));
    }

    /** The students that a row names; empty where it leaves that to people. */
    Optional<StudentGroup> group(BundleTable.Row row) {
        Optional<String> about = row.optionalText("about");
        Optional<String> anyOf = row.optionalText("any_of");
        if (about.isPresent() != anyOf.isPresent()) {
            throw new Unfit("any_of", "The cells about and any_of are both filled, or both empty.");
        }
        return about.map(what -> {
            StudentGroup.About kind =
                    Coded.parse(StudentGroup.About.class, what).orElseThrow();
            List<String> values = List.of(anyOf.orElseThrow().split(" "));
            values.forEach(value -> check(kind, value));
            return new StudentGroup(kind, values);
        });
    }

    private void check(StudentGroup.About about, String value) {
        switch (about) {
            case PROGRAMME -> named(programmes, value, "programmes");
            case CAMPUS -> named(campuses, value, "campuses");
            case LEVEL -> {
                if (!LEVEL.matcher(value).matches()) {
                    throw new Unfit("any_of", "A level is a digit from 1 to 9, not “" + value + "”.");
                }
            }
            case COHORT -> {
                // Cohorts are the registrar's own; no table lists them.
            }
        }
    }

    /** Of a table with faults of its own nobody knows what it lacks. */
    private void named(Set<String> known, String value, String table) {
        if (rows.complete(table) && !known.contains(value)) {
            throw new Unfit("any_of", "%s.csv has no row for %s.".formatted(table, value));
        }
    }
}
