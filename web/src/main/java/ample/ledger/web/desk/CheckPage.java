package ample.ledger.web.desk;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the page of an uploaded bundle.
 *
 * @param says what comes next, in a sentence
 * @param facts what the bundle holds; empty when it has faults
 */
record CheckPage(
        String id,
        String fileName,
        boolean sound,
        String title,
        String says,
        List<Fact> facts,
        List<FaultRow> faults,
        List<WarningGroup> warnings) {

    /** A line of the small account of what it holds. */
    record Fact(String label, String value) {}

    /** @param row empty where the whole file is meant */
    record FaultRow(
            String file,
            String row,
            String column,
            @Nullable String value,
            String sentence) {}

    /** The warnings of one kind. */
    record WarningGroup(String label, String why, String count, List<WarningRow> rows) {}

    /** @param where "sections.csv, rows 12 and 15" */
    record WarningRow(String about, String sentence, String where) {}
}
