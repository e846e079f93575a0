package ample.ledger.core.exchange;

import ample.ledger.core.exchange.TableSchema.ForeignKey;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** That no two rows of a table are the same one, and that rows name only rows that are there. */
final class KeyChecks {

    private KeyChecks() {}

    /** Cost: one pass over the table and one over each table it refers to. */
    static List<Fault> faultsOf(BundleTable table, Map<String, BundleTable> all) {
        List<Fault> faults = new ArrayList<>();
        checkPrimaryKey(table, faults);
        table.schema().foreignKeys().forEach(key -> checkForeignKey(table, key, all.get(key.table()), faults));
        return faults;
    }

    private static void checkPrimaryKey(BundleTable table, List<Fault> faults) {
        List<String> primaryKey = table.schema().primaryKey();
        int[] places = table.schema().placesOf(primaryKey);
        Map<Object, Integer> seen = new HashMap<>();
        for (BundleTable.Row row : table.rows()) {
            Integer earlier = seen.putIfAbsent(row.keyAt(places), row.line());
            if (earlier != null) {
                faults.add(row.fault(
                        primaryKey.get(primaryKey.size() - 1),
                        "Row %d has the same %s; each may stand only once."
                                .formatted(earlier, String.join(", ", primaryKey))));
            }
        }
    }

    private static void checkForeignKey(BundleTable table, ForeignKey key, BundleTable target, List<Fault> faults) {
        int[] references = target.schema().placesOf(key.references());
        Set<Object> known = new HashSet<>();
        target.rows().forEach(row -> known.add(row.keyAt(references)));
        int[] places = table.schema().placesOf(key.columns());
        for (BundleTable.Row row : table.rows()) {
            Object named = row.keyAt(places);
            if (named != null && !known.contains(named)) {
                String what =
                        row.key(key.columns()).stream().map(String::valueOf).collect(Collectors.joining(" "));
                faults.add(row.fault(
                        key.columns().get(key.columns().size() - 1),
                        "%s has no row for %s; add it there, or name one that is there."
                                .formatted(target.schema().path(), what)));
            }
        }
    }
}
