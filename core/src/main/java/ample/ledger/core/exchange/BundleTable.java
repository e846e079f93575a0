package ample.ledger.core.exchange;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The rows of one table, each cell of the type that the schema gives its column: {@link String}, {@link Integer},
 * {@link BigDecimal}, {@link LocalDate}, {@link LocalTime}, {@link Boolean}, or null where it is empty.
 */
public record BundleTable(TableSchema schema, List<Row> rows) {

    public BundleTable {
        rows = List.copyOf(rows);
    }

    /**
     * One row.
     *
     * @param line where it stands in its file, for messages; 0 when it comes from elsewhere
     */
    public record Row(
            TableSchema schema, int line, @Nullable Object[] cells) {

        /** The cell of a column of text that is never empty. */
        public String text(String column) {
            return required(column, String.class);
        }

        /** The cell of a column of text that may be empty. */
        public Optional<String> optionalText(String column) {
            return optional(column, String.class);
        }

        public int integer(String column) {
            return required(column, Integer.class);
        }

        public BigDecimal number(String column) {
            return required(column, BigDecimal.class);
        }

        public boolean yes(String column) {
            return required(column, Boolean.class);
        }

        public LocalDate date(String column) {
            return required(column, LocalDate.class);
        }

        /** The cell of a column that may be empty, read as {@code type}. */
        public <T> Optional<T> optional(String column, Class<T> type) {
            return Optional.ofNullable(cell(column)).map(type::cast);
        }

        /** The cells of these columns, in their order. */
        public List<@Nullable Object> key(List<String> columns) {
            return columns.stream()
                    .map(this::cell)
                    .<@Nullable Object>map(cell -> cell)
                    .toList();
        }

        /** What the cells at these places say together: equal for rows that agree in them; null where one is empty. */
        @Nullable Object keyAt(int[] places) {
            if (places.length == 1) {
                return cells[places[0]];
            }
            Object[] key = new Object[places.length];
            for (int i = 0; i < places.length; i++) {
                Object cell = cells[places[i]];
                if (cell == null) {
                    return null;
                }
                key[i] = cell;
            }
            return List.of(key);
        }

        /** A fault that points at one cell of this row. */
        public Fault fault(String column, String sentence) {
            Object cell = cell(column);
            return new Fault(schema.path(), line, column, cell == null ? "" : cell.toString(), sentence);
        }

        private <T> T required(String column, Class<T> type) {
            return optional(column, type)
                    .orElseThrow(() -> new NoSuchElementException(schema.name() + "." + column + " is empty"));
        }

        private @Nullable Object cell(String column) {
            return cells[
                    schema.indexOf(column)
                            .orElseThrow(() -> new NoSuchElementException(schema.name() + " has no column " + column))];
        }
    }
}
