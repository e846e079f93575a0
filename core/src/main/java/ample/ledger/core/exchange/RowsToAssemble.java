package ample.ledger.core.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The rows of a bundle's tables, being made into something else one by one. A row that turns out {@link Unfit} becomes a
 * fault, and the work goes on with the next.
 */
final class RowsToAssemble {

    private final BundleTables tables;
    private final Set<String> incomplete;
    private final List<Fault> faults = new ArrayList<>();

    /** @param incomplete the names of tables that lack rows, which had faults of their own */
    RowsToAssemble(BundleTables tables, Set<String> incomplete) {
        this.tables = tables;
        this.incomplete = Set.copyOf(incomplete);
    }

    /** Whether every row of these tables is here, so that it can be judged what they say together. */
    boolean complete(String... names) {
        return Stream.of(names).noneMatch(incomplete::contains);
    }

    /** Every fault met so far. */
    List<Fault> faults() {
        return faults;
    }

    /** As they are. */
    List<BundleTable.Row> of(String table) {
        return tables.rows(table);
    }

    /** The rows of the table under the key of each; rows without one are left out. */
    <K> Map<K, List<BundleTable.Row>> grouped(String table, Function<BundleTable.Row, Optional<K>> key) {
        return tables.rows(table).stream()
                .filter(row -> key.apply(row).isPresent())
                .collect(Collectors.groupingBy(row -> key.apply(row).orElseThrow()));
    }

    /** What the only row of the table becomes; nothing, and a fault, where there is not exactly one. */
    <T> Optional<T> only(String table, Function<BundleTable.Row, T> read) {
        List<BundleTable.Row> rows = tables.rows(table);
        if (rows.size() != 1) {
            faults.add(Fault.of(table + ".csv", "It must have exactly one row, and has " + rows.size() + "."));
            return Optional.empty();
        }
        return collect(rows, read).stream().findFirst();
    }

    /** What each row of the table becomes. */
    <T> List<T> each(String table, Function<BundleTable.Row, T> read) {
        return collect(tables.rows(table), read);
    }

    /** What each row of the table becomes, under its key, in the order posted. */
    <K, T> Map<K, T> byKey(String table, Function<BundleTable.Row, K> key, Function<BundleTable.Row, T> read) {
        Map<K, T> map = new LinkedHashMap<>();
        for (BundleTable.Row row : tables.rows(table)) {
            attempt(row, read).ifPresent(value -> map.put(key.apply(row), value));
        }
        return map;
    }

    /** What each of these rows becomes. */
    <T> List<T> collect(List<BundleTable.Row> rows, Function<BundleTable.Row, T> read) {
        return rows.stream().flatMap(row -> attempt(row, read).stream()).toList();
    }

    /** What {@code read} makes of the row, or a fault noted and nothing. */
    <T> Optional<T> attempt(BundleTable.Row row, Function<BundleTable.Row, T> read) {
        try {
            return Optional.of(read.apply(row));
        } catch (Unfit unfit) {
            faults.add(row.fault(unfit.column(), unfit.sentence()));
        } catch (DependsOnFault alreadyReported) {
            // The row it names has a fault of its own, which is reported there.
        }
        return Optional.empty();
    }

    /** The cells of one column in the rows under {@code key}. */
    static <K> List<String> texts(Map<K, List<BundleTable.Row>> byKey, K key, String column) {
        return byKey.getOrDefault(key, List.of()).stream()
                .map(row -> row.text(column))
                .toList();
    }

    /** What stands under {@code key}; a row that names something faulty is passed over, since that is reported there. */
    static <K, T> T named(Map<K, T> map, K key) {
        @Nullable T value = map.get(key);
        if (value == null) {
            throw dependsOnFault();
        }
        return value;
    }

    /** Thrown of a row that names something faulty, which is reported there. */
    static RuntimeException dependsOnFault() {
        return new DependsOnFault();
    }

    /** That a row names another that could not be read. */
    private static final class DependsOnFault extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }
}
