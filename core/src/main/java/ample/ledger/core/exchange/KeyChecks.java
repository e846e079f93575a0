package ample.ledger.core.exchange;

import ample.ledger.core.exchange.TableSchema.ForeignKey;
import ample.ledger.core.exchange.TableSchema.OneOf;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * That no two rows of a table are the same one, and that rows name only rows that are there. What a row of its own fault
 * made unreadable is not complained of a second time.
 */
final class KeyChecks {

    private final Map<String, TableReading> readings;
    private final Consumer<Fault> report;
    private final Map<String, BundleTable> sound = new LinkedHashMap<>();

    private KeyChecks(Collection<TableReading> readings, Consumer<Fault> report) {
        this.readings = readings.stream()
                .collect(Collectors.toMap(reading -> reading.table().schema().name(), reading -> reading));
        this.report = report;
    }

    /**
     * Reports every fault, and gives the tables without the rows that have one or that name such a row.
     *
     * @param readings each after those that it refers to
     */
    static Map<String, BundleTable> check(Collection<TableReading> readings, Consumer<Fault> report) {
        KeyChecks checks = new KeyChecks(readings, report);
        readings.forEach(checks::check);
        return checks.sound;
    }

    /** Cost: one pass over the table and one over each table it refers to. */
    private void check(TableReading reading) {
        BundleTable table = reading.table();
        Set<BundleTable.Row> unsound = new HashSet<>();
        primaryKey(reading, unsound);
        table.schema().foreignKeys().forEach(key -> foreignKey(table, key, unsound));
        table.schema().choices().forEach(choice -> oneOf(table, choice, unsound));
        sound.put(
                table.schema().name(),
                unsound.isEmpty()
                        ? table
                        : new BundleTable(
                                table.schema(),
                                table.rows().stream()
                                        .filter(row -> !unsound.contains(row))
                                        .toList()));
    }

    private void primaryKey(TableReading reading, Set<BundleTable.Row> unsound) {
        List<String> primaryKey = reading.table().schema().primaryKey();
        int[] places = reading.table().schema().placesOf(primaryKey);
        Map<Object, Integer> seen = new HashMap<>();
        for (BundleTable.Row row : reading.table().rows()) {
            Integer earlier = seen.putIfAbsent(row.keyAt(places), row.line());
            if (earlier != null) {
                unsound.add(row);
                report.accept(row.fault(
                        primaryKey.get(primaryKey.size() - 1),
                        "Row %d has the same %s; each may appear only once."
                                .formatted(earlier, String.join(", ", primaryKey))));
            }
        }
    }

    private void foreignKey(BundleTable table, ForeignKey key, Set<BundleTable.Row> unsound) {
        TableReading target = Objects.requireNonNull(readings.get(key.table()));
        int[] references = target.table().schema().placesOf(key.references());
        int[] places = table.schema().placesOf(key.columns());
        Set<Object> known = keys(Objects.requireNonNull(sound.get(key.table())).rows().stream(), references);
        List<BundleTable.Row> dangling = new ArrayList<>();
        for (BundleTable.Row row : table.rows()) {
            Object named = row.keyAt(places);
            if (named != null && !known.contains(named)) {
                dangling.add(row);
            }
        }
        if (dangling.isEmpty()) {
            return;
        }
        unsound.addAll(dangling);
        Set<Object> faulty = keys(Stream.concat(target.faulty().stream(), target.table().rows().stream()), references);
        boolean unreadable = target.faulty().stream().anyMatch(row -> row.keyAt(references) == null) || !target.whole();
        if (!unreadable) {
            dangling.stream()
                    .filter(row -> !faulty.contains(row.keyAt(places)))
                    .forEach(row -> report.accept(row.fault(
                            key.columns().get(key.columns().size() - 1),
                            "%s has no row for %s; add it there, or name one that is there."
                                    .formatted(
                                            target.table().schema().path(),
                                            row.key(key.columns()).stream()
                                                    .map(String::valueOf)
                                                    .collect(Collectors.joining(" "))))));
        }
    }

    private void oneOf(BundleTable table, OneOf choice, Set<BundleTable.Row> unsound) {
        TableReading other = Objects.requireNonNull(readings.get(choice.table()));
        int[] references = other.table().schema().placesOf(List.of(choice.reference()));
        int[] places = table.schema().placesOf(List.of(choice.column()));
        Set<Object> named = keys(Stream.concat(other.faulty().stream(), other.table().rows().stream()), references);
        for (BundleTable.Row row : table.rows()) {
            Object cell = row.keyAt(places);
            if (cell != null && !choice.values().contains(cell) && !named.contains(cell)) {
                unsound.add(row);
                if (other.sound()) {
                    report.accept(row.fault(
                            choice.column(),
                            "It must be one of: %s, or a %s that %s has."
                                    .formatted(
                                            String.join(", ", choice.values()),
                                            choice.reference(),
                                            other.table().schema().path())));
                }
            }
        }
    }

    private static Set<Object> keys(Stream<BundleTable.Row> rows, int[] places) {
        Set<Object> keys = new HashSet<>();
        rows.forEach(row -> {
            Object key = row.keyAt(places);
            if (key != null) {
                keys.add(key);
            }
        });
        return keys;
    }
}
