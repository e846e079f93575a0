package ample.ledger.core.exchange;

import ample.ledger.core.exchange.TableSchema.Column;
import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Reads one table from CSV after RFC 4180, with any line ends, the last one optional. Lines come one by one; only rows that
 * are sound are kept. The CSV library refuses a field or a line of absurd size before it is held whole.
 */
final class TableReader {

    /** What spreadsheets write instead of commas. */
    private static final Map<String, String> SEPARATORS =
            Map.of(";", "semicolons", "\t", "tabs", "|", "upright strokes");

    private final TableSchema schema;
    private final Progress progress;
    private final Consumer<Fault> report;
    private final List<BundleTable.Row> faulty = new ArrayList<>();
    private int reported;

    TableReader(TableSchema schema, Progress progress, Consumer<Fault> report) {
        this.schema = schema;
        this.progress = progress;
        this.report = fault -> {
            reported++;
            report.accept(fault);
        };
    }

    /** @throws IOException when the file cannot be read on, bad encoding included */
    TableReading read(Reader csv) throws IOException {
        TableBuilder rows = new TableBuilder(schema);
        boolean whole = false;
        OpenQuotation quotation = new OpenQuotation(csv);
        try (CsvReader<CsvRecord> reader = CsvReader.builder()
                .commentStrategy(CommentStrategy.NONE)
                .skipEmptyLines(true)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .ofCsvRecord(quotation)) {
            List<String> head = List.of();
            int @Nullable [] places = null;
            int lines = 0;
            for (CsvRecord line : reader) {
                if (isUnclosed(quotation, line)) {
                    break;
                }
                if (places == null) {
                    head = line.getFields();
                    places = places(head);
                    if (places == null) {
                        break;
                    }
                } else {
                    row(head, places, line, rows);
                    if (++lines % Progress.STEP == 0) {
                        progress.read(schema.path(), lines);
                    }
                }
            }
            whole = places != null && quotation.line() == 0;
            if (places == null && reported == 0) {
                report.accept(Fault.of(
                        schema.path(),
                        "It is empty; its first row must name its columns: " + String.join(",", schema.columnNames())
                                + "."));
            }
        } catch (CsvParseException e) {
            if (e.getCause() instanceof IOException unreadable) {
                throw unreadable;
            }
            whole = false;
            report.accept(Fault.of(schema.path(), "It cannot be read as CSV after RFC 4180: " + e.getMessage() + "."));
        } catch (UncheckedIOException e) {
            throw e.getCause();
        }
        return new TableReading(rows.build(), faulty, whole);
    }

    /** Whether a quotation mark that is never closed stands in {@code line}, which then goes on to the end of the file. */
    private boolean isUnclosed(OpenQuotation quotation, CsvRecord line) {
        if (quotation.line() < line.getStartingLineNumber()) {
            return false;
        }
        report.accept(
                new Fault(
                        schema.path(),
                        quotation.line(),
                        "",
                        "",
                        "A quotation mark opens in this row and never closes, so that nothing after it can be read; close it, or leave it out."));
        return true;
    }

    /** For each column of the schema its place in the file, or −1 for one left out; null when the head has faults. */
    private int @Nullable [] places(List<String> head) {
        int before = reported;
        Optional<String> otherSeparator = SEPARATORS.entrySet().stream()
                .filter(separator -> head.size() == 1 && head.get(0).contains(separator.getKey()))
                .map(Map.Entry::getValue)
                .findFirst();
        if (otherSeparator.isPresent()) {
            report.accept(Fault.of(
                    schema.path(),
                    "Its cells are separated by %s; save it with commas between them."
                            .formatted(otherSeparator.get())));
            return null;
        }
        Set<String> seen = new HashSet<>();
        for (String name : head) {
            if (schema.indexOf(name).isEmpty()) {
                report.accept(new Fault(
                        schema.path(),
                        1,
                        name,
                        "",
                        "The format has no such column here; it has " + String.join(", ", schema.columnNames()) + "."));
            } else if (!seen.add(name)) {
                report.accept(new Fault(schema.path(), 1, name, "", "This column appears twice."));
            }
        }
        for (Column column : schema.columns()) {
            // What may be empty may be left out, so that a column that the format gains breaks no exporter.
            if (column.required() && !head.contains(column.name())) {
                report.accept(new Fault(schema.path(), 1, column.name(), "", "This column is missing."));
            }
        }
        return reported > before
                ? null
                : schema.columns().stream()
                        .mapToInt(column -> head.indexOf(column.name()))
                        .toArray();
    }

    private void row(List<String> head, int[] places, CsvRecord line, TableBuilder rows) {
        int number = (int) line.getStartingLineNumber();
        if (line.getFieldCount() != head.size()) {
            report.accept(new Fault(
                    schema.path(),
                    number,
                    "",
                    "",
                    "It has %d cells where the head has %d.".formatted(line.getFieldCount(), head.size())));
            faulty.add(new BundleTable.Row(schema, number, new Object[places.length]));
            return;
        }
        @Nullable Object[] cells = new Object[places.length];
        int before = reported;
        for (int i = 0; i < places.length; i++) {
            Column column = schema.columns().get(i);
            String text = places[i] < 0 ? "" : line.getField(places[i]);
            CellReader.Reading reading = CellReader.read(column, text);
            cells[i] = reading.value();
            reading.fault()
                    .ifPresent(sentence ->
                            report.accept(new Fault(schema.path(), number, column.name(), shortened(text), sentence)));
        }
        if (reported == before) {
            rows.add(number, cells);
        } else {
            faulty.add(new BundleTable.Row(schema, number, cells));
        }
    }

    private static String shortened(String text) {
        String plain = text.replaceAll("\\p{Cntrl}", "·");
        return plain.length() <= 40 ? plain : plain.substring(0, 40) + "…";
    }
}
