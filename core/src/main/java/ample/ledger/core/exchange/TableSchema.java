package ample.ledger.core.exchange;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/**
 * What one table of the bundle looks like: the part of a Table Schema that this program acts on.
 *
 * @param primaryKey names of the columns that tell its rows apart
 */
public record TableSchema(
        String name, String path, List<Column> columns, List<String> primaryKey, List<ForeignKey> foreignKeys) {

    public TableSchema {
        columns = List.copyOf(columns);
        primaryKey = List.copyOf(primaryKey);
        foreignKeys = List.copyOf(foreignKeys);
    }

    /** The types of cells, as Table Schema names them. */
    public enum Type {
        STRING,
        INTEGER,
        NUMBER,
        DATE,
        TIME,
        BOOLEAN
    }

    /**
     * One column.
     *
     * @param pattern what a whole cell must match
     * @param values the only cells allowed; empty for any
     */
    public record Column(
            String name,
            Type type,
            boolean required,
            @Nullable Pattern pattern,
            List<String> values,
            @Nullable BigDecimal minimum,
            @Nullable BigDecimal maximum,
            String example) {

        public Column {
            values = List.copyOf(values);
        }
    }

    /** That these columns, where none is empty, name a row of another table. */
    public record ForeignKey(List<String> columns, String table, List<String> references) {

        public ForeignKey {
            columns = List.copyOf(columns);
            references = List.copyOf(references);
        }
    }

    /** Where the column stands, from 0; empty when the table has no such column. */
    public Optional<Integer> indexOf(String column) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).name().equals(column)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    public List<String> columnNames() {
        return columns.stream().map(Column::name).toList();
    }
}
