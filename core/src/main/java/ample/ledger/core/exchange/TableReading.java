package ample.ledger.core.exchange;

import java.util.List;

/**
 * What came of one file.
 *
 * @param table its sound rows
 * @param faulty rows with a fault, their unreadable cells left empty
 * @param whole false when the file is missing or could not be read to its end, so that nobody knows what it lacks
 */
record TableReading(BundleTable table, List<BundleTable.Row> faulty, boolean whole) {

    /** Nothing could be read. */
    static TableReading none(TableSchema schema) {
        return new TableReading(new BundleTable(schema, List.of()), List.of(), false);
    }

    /** The table has no rows. */
    static TableReading empty(TableSchema schema) {
        return new TableReading(new BundleTable(schema, List.of()), List.of(), true);
    }

    boolean sound() {
        return whole && faulty.isEmpty();
    }
}
