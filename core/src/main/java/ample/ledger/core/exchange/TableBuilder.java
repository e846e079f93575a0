package ample.ledger.core.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Collects the rows of one table. Equal cells of a column are kept once: most cells of a large bundle say the same few hundred
 * things, names of other rows, hours, kinds, and equal ones share one object.
 */
public final class TableBuilder {

    /** A column with more different values than this is one of unlike cells, and not worth looking up. */
    private static final int MOST_VALUES = 20_000;

    private final TableSchema schema;
    private final List<BundleTable.Row> rows = new ArrayList<>();
    private final List<Map<Object, Object>> values = new ArrayList<>();

    public TableBuilder(TableSchema schema) {
        this.schema = schema;
        schema.columns().forEach(column -> values.add(new HashMap<>()));
    }

    /**
     * Adds a row.
     *
     * @param line where it stands in its file; 0 when it comes from elsewhere
     * @param cells in the order of the columns, each of its column's type; kept, not copied
     */
    public void add(int line, @Nullable Object[] cells) {
        for (int i = 0; i < cells.length; i++) {
            Object cell = cells[i];
            if (cell != null) {
                cells[i] = kept(values.get(i), cell);
            }
        }
        rows.add(new BundleTable.Row(schema, line, cells));
    }

    public BundleTable build() {
        return new BundleTable(schema, rows);
    }

    private static Object kept(Map<Object, Object> known, Object cell) {
        if (known.size() < MOST_VALUES) {
            Object first = known.putIfAbsent(cell, cell);
            return first == null ? cell : first;
        }
        return known.getOrDefault(cell, cell);
    }
}
