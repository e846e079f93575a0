package ample.ledger.core.exchange;

import java.util.List;
import java.util.Map;

/** All tables of a bundle, by name, their cells typed and their references sound. */
public record BundleTables(Map<String, BundleTable> tables) {

    public BundleTables {
        tables = Map.copyOf(tables);
    }

    /** The rows of the table, in the order posted; none for a table that is not there. */
    public List<BundleTable.Row> rows(String table) {
        BundleTable found = tables.get(table);
        return found == null ? List.of() : found.rows();
    }
}
