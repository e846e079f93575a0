package ample.ledger.core.exchange;

import ample.ledger.core.exchange.TableSchema.Column;
import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Reads a schedule bundle from a folder: every table of the format, as CSV after RFC 4180 in UTF-8, with or without a
 * byte-order mark, with any line ends, the last one optional.
 *
 * <p>Reports every fault it can find in one go, and gives tables only where there is none.
 */
public final class BundleReader {

    private final BundleFormat format = BundleFormat.current();
    private final List<Fault> faults = new ArrayList<>();

    private BundleReader() {}

    /**
     * The tables of the bundle in {@code folder}.
     *
     * @throws FaultyBundleException naming every fault
     * @throws UncheckedIOException when a file is there but cannot be read at all
     */
    public static BundleTables read(Path folder) {
        return new BundleReader().readFolder(folder);
    }

    private BundleTables readFolder(Path folder) {
        if (!Files.isDirectory(folder)) {
            throw new FaultyBundleException(List.of(Fault.of(
                    folder.toString(),
                    "There is no such folder. A bundle is a folder with a " + BundleFormat.DESCRIPTOR
                            + " and its CSV files.")));
        }
        text(folder, BundleFormat.DESCRIPTOR).ifPresent(descriptor -> faults.addAll(format.faultsOf(descriptor)));
        stopIfFaulty();
        Map<String, BundleTable> tables = new LinkedHashMap<>();
        for (TableSchema schema : format.tables()) {
            text(folder, schema.path()).ifPresent(csv -> tables.put(schema.name(), table(schema, csv)));
        }
        stopIfFaulty();
        tables.values().forEach(table -> faults.addAll(KeyChecks.faultsOf(table, tables)));
        stopIfFaulty();
        return new BundleTables(tables);
    }

    private void stopIfFaulty() {
        if (!faults.isEmpty()) {
            throw new FaultyBundleException(faults);
        }
    }

    private Optional<String> text(Path folder, String file) {
        try {
            String text = Files.readString(folder.resolve(file), StandardCharsets.UTF_8);
            return Optional.of(text.startsWith("\uFEFF") ? text.substring(1) : text);
        } catch (NoSuchFileException e) {
            faults.add(Fault.of(file, "The bundle has no such file; a table without rows still has its head."));
        } catch (CharacterCodingException e) {
            faults.add(Fault.of(file, "It is not UTF-8 text; save it in that encoding."));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Optional.empty();
    }

    private BundleTable table(TableSchema schema, String csv) {
        List<BundleTable.Row> rows = new ArrayList<>();
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .commentStrategy(CommentStrategy.NONE)
                .skipEmptyLines(true)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .ofCsvRecord(csv)) {
            int @Nullable [] places = null;
            for (CsvRecord line : reader) {
                if (places == null) {
                    places = places(schema, line.getFields());
                    if (places == null) {
                        break;
                    }
                } else {
                    row(schema, places, line).ifPresent(rows::add);
                }
            }
            if (places == null && faults.isEmpty()) {
                faults.add(Fault.of(
                        schema.path(),
                        "It is empty; its first row must name its columns: " + String.join(",", schema.columnNames())
                                + "."));
            }
        } catch (CsvParseException e) {
            faults.add(Fault.of(schema.path(), "It cannot be read as CSV after RFC 4180: " + e.getMessage() + "."));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new BundleTable(schema, rows);
    }

    /** For each column of the schema its place in the file; null when the head has faults. */
    private int @Nullable [] places(TableSchema schema, List<String> head) {
        int before = faults.size();
        Set<String> seen = new HashSet<>();
        for (String name : head) {
            if (schema.indexOf(name).isEmpty()) {
                faults.add(new Fault(
                        schema.path(),
                        1,
                        name,
                        "",
                        "The format has no such column here; it has " + String.join(", ", schema.columnNames()) + "."));
            } else if (!seen.add(name)) {
                faults.add(new Fault(schema.path(), 1, name, "", "This column stands twice."));
            }
        }
        for (Column column : schema.columns()) {
            if (!head.contains(column.name())) {
                faults.add(new Fault(schema.path(), 1, column.name(), "", "This column is missing."));
            }
        }
        return faults.size() > before
                ? null
                : schema.columns().stream()
                        .mapToInt(column -> head.indexOf(column.name()))
                        .toArray();
    }

    private Optional<BundleTable.Row> row(TableSchema schema, int[] places, CsvRecord line) {
        int number = (int) line.getStartingLineNumber();
        if (line.getFieldCount() != places.length) {
            faults.add(new Fault(
                    schema.path(),
                    number,
                    "",
                    "",
                    "It has %d cells where the head has %d.".formatted(line.getFieldCount(), places.length)));
            return Optional.empty();
        }
        @Nullable Object[] cells = new Object[places.length];
        int before = faults.size();
        for (int i = 0; i < places.length; i++) {
            Column column = schema.columns().get(i);
            String text = line.getField(places[i]);
            CellReader.Reading reading = CellReader.read(column, text);
            cells[i] = reading.value();
            reading.fault()
                    .ifPresent(sentence ->
                            faults.add(new Fault(schema.path(), number, column.name(), shortened(text), sentence)));
        }
        return faults.size() > before ? Optional.empty() : Optional.of(new BundleTable.Row(schema, number, cells));
    }

    private static String shortened(String text) {
        String plain = text.replaceAll("\\p{Cntrl}", "·");
        return plain.length() <= 40 ? plain : plain.substring(0, 40) + "…";
    }
}
