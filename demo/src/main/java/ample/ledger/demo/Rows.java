package ample.ledger.demo;

import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.TableSchema;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** The rows of a bundle that is being made. */
final class Rows {

    private final Map<String, List<BundleTable.Row>> tables = new LinkedHashMap<>();

    Rows() {
        BundleFormat.current().tables().forEach(schema -> tables.put(schema.name(), new ArrayList<>()));
    }

    /** A copy of what is there already. */
    static Rows of(BundleTables start) {
        Rows rows = new Rows();
        rows.tables.forEach((name, list) -> list.addAll(start.rows(name)));
        return rows;
    }

    /** Adds a row; the cells stand in the order of the columns, null for an empty one. */
    @SuppressWarnings("NullAway") // Java 17 does not read from compiled classes that a row's cells may be null.
    void add(String table, @Nullable Object... cells) {
        TableSchema schema = schema(table);
        if (cells.length != schema.columns().size()) {
            throw new IllegalArgumentException("%s has %d columns, not %d"
                    .formatted(table, schema.columns().size(), cells.length));
        }
        of(table).add(new BundleTable.Row(schema, 0, cells));
    }

    List<BundleTable.Row> of(String table) {
        return Objects.requireNonNull(tables.get(table));
    }

    BundleTable.Row last(String table) {
        List<BundleTable.Row> rows = of(table);
        return rows.get(rows.size() - 1);
    }

    /** The next number of a table whose rows are numbered in its first column. */
    int next(String table) {
        return of(table).isEmpty()
                ? 1
                : (int) Objects.requireNonNull(last(table).cells()[0]) + 1;
    }

    void clear(String table) {
        of(table).clear();
    }

    void removeIf(String table, Predicate<BundleTable.Row> unwanted) {
        of(table).removeIf(unwanted);
    }

    /** Puts in the place of each row what {@code change} makes of a copy of its cells. */
    @SuppressWarnings("NullAway") // As above.
    void change(String table, Predicate<BundleTable.Row> which, UnaryOperator<@Nullable Object[]> change) {
        of(table)
                .replaceAll(row -> which.test(row)
                        ? new BundleTable.Row(
                                row.schema(), 0, change.apply(row.cells().clone()))
                        : row);
    }

    /** The entry numbers of sections that others depend on: companions, those they go with, and twins. */
    Set<String> bound() {
        Set<String> bound = new HashSet<>();
        of("companions").forEach(row -> {
            bound.add(row.text("entry"));
            row.optionalText("bound_to").ifPresent(bound::add);
        });
        of("cross_listings").forEach(row -> bound.add(row.text("entry")));
        return bound;
    }

    /** Where a column stands, to change a cell of it. */
    static int column(String table, String column) {
        return schema(table).indexOf(column).orElseThrow();
    }

    BundleTables build() {
        Map<String, BundleTable> built = new LinkedHashMap<>();
        tables.forEach((name, rows) -> built.put(name, new BundleTable(schema(name), rows)));
        return new BundleTables(built);
    }

    private static TableSchema schema(String table) {
        return BundleFormat.current().tables().stream()
                .filter(schema -> schema.name().equals(table))
                .findFirst()
                .orElseThrow();
    }
}
