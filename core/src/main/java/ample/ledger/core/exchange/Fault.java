package ample.ledger.core.exchange;

/**
 * One thing in a bundle that keeps it from being posted.
 *
 * @param file the file it is in
 * @param row the line of the file, counting the head as 1; 0 where the whole file is meant
 * @param column the column; empty where the whole row is meant
 * @param value what stands there; may be empty
 * @param sentence what is wrong and what would be right
 */
public record Fault(String file, int row, String column, String value, String sentence) {

    /** A fault of a whole file. */
    public static Fault of(String file, String sentence) {
        return new Fault(file, 0, "", "", sentence);
    }

    /** "sections.csv, row 12, column kind, “lecure”: …". */
    @Override
    public String toString() {
        var text = new StringBuilder(file);
        if (row > 0) {
            text.append(", row ").append(row);
        }
        if (!column.isEmpty()) {
            text.append(", column ").append(column);
        }
        if (!value.isEmpty()) {
            text.append(", “").append(value).append("”");
        }
        return text.append(": ").append(sentence).toString();
    }
}
