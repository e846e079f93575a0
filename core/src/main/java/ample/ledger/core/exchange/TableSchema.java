package ample.ledger.core.exchange;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What one table of the bundle looks like: the part of a Table Schema that this program acts on.
 */
public final class TableSchema {

    private final String name;
    private final String path;
    private final String title;
    private final List<Column> columns;
    private final List<String> primaryKey;
    private final List<ForeignKey> foreignKeys;
    private final List<OneOf> choices;
    private final boolean mayBeLeftOut;
    private final Map<String, Integer> places;

    /**
     * @param title what its rows are
     * @param primaryKey names of the columns that tell its rows apart
     * @param mayBeLeftOut whether a bundle without its file is one whose table has no rows
     */
    TableSchema(
            String name,
            String path,
            String title,
            List<Column> columns,
            List<String> primaryKey,
            List<ForeignKey> foreignKeys,
            List<OneOf> choices,
            boolean mayBeLeftOut) {
        this.name = name;
        this.mayBeLeftOut = mayBeLeftOut;
        this.path = path;
        this.title = title;
        this.columns = List.copyOf(columns);
        this.primaryKey = List.copyOf(primaryKey);
        this.foreignKeys = List.copyOf(foreignKeys);
        this.choices = List.copyOf(choices);
        this.places = IntStream.range(0, columns.size())
                .boxed()
                .collect(
                        Collectors.toUnmodifiableMap(place -> columns.get(place).name(), Function.identity()));
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
     * @param description what it means
     * @param pattern what a whole cell must match
     * @param values the only cells allowed; empty for any
     */
    public record Column(
            String name,
            String description,
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

    /** That a cell of this column is one of these values, or names a row of another table by one of its columns. */
    public record OneOf(String column, List<String> values, String table, String reference) {

        public OneOf {
            values = List.copyOf(values);
        }
    }

    public String name() {
        return name;
    }

    /** The name of its file in a bundle. */
    public String path() {
        return path;
    }

    /** What its rows are, without a full stop. */
    public String title() {
        return title;
    }

    public List<Column> columns() {
        return columns;
    }

    /** The names of the columns that tell its rows apart. */
    public List<String> primaryKey() {
        return primaryKey;
    }

    public List<ForeignKey> foreignKeys() {
        return foreignKeys;
    }

    /** What cells are one of, where another table adds to the values that there are. */
    List<OneOf> choices() {
        return choices;
    }

    /** Whether a bundle may do without its file, as those do that were written before the format gained it. */
    public boolean mayBeLeftOut() {
        return mayBeLeftOut;
    }

    /** Where the column stands, from 0; empty when the table has no such column. */
    public Optional<Integer> indexOf(String column) {
        return Optional.ofNullable(places.get(column));
    }

    /** Where these columns of the table stand, from 0. */
    int[] placesOf(List<String> wanted) {
        return wanted.stream().mapToInt(places::get).toArray();
    }

    public List<String> columnNames() {
        return columns.stream().map(Column::name).toList();
    }
}
