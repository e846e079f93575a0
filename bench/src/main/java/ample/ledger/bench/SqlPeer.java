package ample.ledger.bench;

import ample.ledger.bench.Rows.Row;
import ample.ledger.core.browse.brief.Between;
import ample.ledger.core.browse.brief.Brief;
import ample.ledger.core.browse.brief.Closed;
import ample.ledger.core.browse.brief.Condition;
import ample.ledger.core.browse.brief.Dates;
import ample.ledger.core.browse.brief.Having;
import ample.ledger.core.browse.brief.NumberPattern;
import ample.ledger.core.browse.brief.Numbers;
import ample.ledger.core.browse.brief.OnDays;
import ample.ledger.core.browse.brief.Seats;
import ample.ledger.core.browse.brief.Timed;
import ample.ledger.core.browse.brief.Topic;
import ample.ledger.core.browse.index.Facet;
import ample.ledger.core.calendar.ClockTime;
import ample.ledger.core.calendar.WeekHours;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.postgresql.PGConnection;

/**
 * PostgreSQL or DuckDB, given the same rows: facets as bit masks, hours as words of a bitmap, seats counted over
 * companions beforehand. One statement answers a brief; the conditions are looked at once for each row.
 */
final class SqlPeer {

    private static final int WEEK_WORDS = (WeekHours.CELLS + 63) / 64;
    private static final int MOST_CONDITIONS = 8;
    private static final int COLUMNS = 2 * MOST_CONDITIONS + 1;
    private static final Set<Topic> HOURS = Set.of(Topic.DAYS, Topic.TIMES, Topic.CLOSED);

    private final Connection connection;
    private final Rows data;
    private final List<Facet> facets = List.of(Facet.values());
    private final Map<Facet, List<String>> codes = new HashMap<>();

    /** How an engine takes many rows at once. */
    private interface Copy {
        void into(String table, CharSequence csv) throws SQLException, IOException;
    }

    /** PostgreSQL on the cluster of this run, with what a good engineer would set for such questions. */
    static SqlPeer postgres(Rows data, PlainPass plain) throws SQLException, IOException {
        Connection connection = DriverManager.getConnection(
                System.getenv("LEDGER_DATABASE_URL"), "ledger_owner", System.getenv("LEDGER_OWNER_PASSWORD"));
        try (Statement sql = connection.createStatement()) {
            sql.execute("SET search_path TO public, ledger; SET jit TO off; SET work_mem TO '256MB'");
        }
        return new SqlPeer(
                connection,
                data,
                plain,
                (table, csv) -> connection
                        .unwrap(PGConnection.class)
                        .getCopyAPI()
                        .copyIn("COPY " + table + " FROM STDIN (FORMAT csv)", new StringReader(csv.toString())));
    }

    /** DuckDB in this process and in memory. */
    static SqlPeer duckdb(Rows data, PlainPass plain) throws SQLException, IOException {
        Connection connection = DriverManager.getConnection("jdbc:duckdb:");
        return new SqlPeer(connection, data, plain, (table, csv) -> {
            Path file = Files.createTempFile("bench", ".csv");
            try (Statement sql = connection.createStatement()) {
                Files.writeString(file, csv);
                sql.execute("COPY " + table + " FROM '" + file + "' (FORMAT csv, HEADER false)");
            } finally {
                Files.delete(file);
            }
        });
    }

    private SqlPeer(Connection connection, Rows data, PlainPass plain, Copy copy) throws SQLException, IOException {
        this.connection = connection;
        this.data = data;
        facets.forEach(
                facet -> codes.put(facet, List.copyOf(data.places.get(facet).keySet())));
        load(plain, copy);
    }

    private static boolean masked(Facet facet) {
        return !facet.name().equals("INSTRUCTOR");
    }

    private void load(PlainPass plain, Copy copy) throws SQLException, IOException {
        List<String> columns = new ArrayList<>(List.of(
                "c",
                "section",
                "rank",
                "digits",
                "days",
                "set_days",
                "set_start",
                "set_end",
                "first_day",
                "last_day",
                "weeks",
                "spread",
                "spread_unqueued",
                "least_open",
                "most_waiting"));
        facets.stream()
                .filter(SqlPeer::masked)
                .forEach(facet -> columns.add("f_" + facet.name().toLowerCase(Locale.ROOT)));
        IntStream.range(0, WEEK_WORDS).forEach(word -> columns.add("w" + word));
        try (Statement sql = connection.createStatement()) {
            sql.execute("DROP TABLE IF EXISTS candidate");
            sql.execute("DROP TABLE IF EXISTS candidate_value");
            sql.execute("DROP TABLE IF EXISTS section_cell");
            sql.execute("CREATE TABLE candidate (" + String.join(" bigint, ", columns) + " bigint)");
            sql.execute("CREATE TABLE candidate_value (c int, facet int, value int)");
            sql.execute("CREATE TABLE section_cell (section int, cell int)");
        }
        StringBuilder candidates = new StringBuilder();
        StringBuilder values = new StringBuilder();
        for (int c = 0; c < data.rows.size(); c++) {
            Row row = data.rows.get(c);
            line(candidates, cells(c, row));
            for (Facet facet : facets) {
                Set<Integer> has = data.values(facet, row);
                if (facet.scope() != Facet.Scope.SET || has.size() == 1) {
                    for (int each : has) {
                        line(values, List.of((long) c, (long) facets.indexOf(facet), (long) each));
                    }
                }
            }
        }
        StringBuilder halves = new StringBuilder();
        for (int section = 0; section < data.sections.size(); section++) {
            for (int half : plain.halfHours(section).stream().toArray()) {
                line(halves, List.of((long) section, (long) half));
            }
        }
        copy.into("candidate", candidates);
        copy.into("candidate_value", values);
        copy.into("section_cell", halves);
        try (Statement sql = connection.createStatement()) {
            sql.execute("CREATE UNIQUE INDEX candidate_c ON candidate (c)");
            sql.execute("CREATE INDEX candidate_section ON candidate (section)");
            sql.execute("CREATE INDEX value_c ON candidate_value (c)");
            sql.execute("CREATE INDEX cell_section ON section_cell (section)");
            sql.execute("ANALYZE");
        }
    }

    private static void line(StringBuilder csv, List<Long> cells) {
        csv.append(cells.stream().map(String::valueOf).collect(Collectors.joining(",")))
                .append('\n');
    }

    private List<Long> cells(int c, Row row) {
        List<Long> cells = new ArrayList<>();
        for (int number : new int[] {
            c,
            row.section(),
            data.rank[row.section()],
            data.sections.get(row.section()).course().code().digits(),
            row.itself().days(),
            row.set().days(),
            row.set().start(),
            row.set().end(),
            row.set().first(),
            row.set().last(),
            row.set().weeks(),
            data.spread[row.section()],
            data.spreadOfUnqueued[row.section()],
            row.leastOpen(),
            row.mostWaiting()
        }) {
            cells.add((long) number);
        }
        for (Facet facet : facets) {
            if (masked(facet)) {
                cells.add(mask(data.values(facet, row)));
            }
        }
        for (long word : row.set().hours().words()) {
            cells.add(word);
        }
        return cells;
    }

    private static long mask(Set<Integer> values) {
        return values.stream().mapToLong(value -> 1L << value).reduce(0, (one, other) -> one | other);
    }

    Answer answer(Brief brief) throws SQLException {
        Map<String, Map<String, Integer>> counts = new TreeMap<>();
        facets.forEach(facet -> counts.put(facet.name(), new TreeMap<>()));
        List<Integer> left = new ArrayList<>();
        List<Integer> onlyThis = new ArrayList<>();
        int[] fitting = new int[Answer.CELLS];
        int[] open = new int[Answer.CELLS];
        Map<Integer, String> first = new TreeMap<>();
        int conditions = brief.conditions().size();
        try (Statement sql = connection.createStatement();
                ResultSet rows = sql.executeQuery(statement(brief))) {
            while (rows.next()) {
                switch (rows.getInt(1)) {
                    case 0 -> {
                        for (int i = 0; i <= conditions; i++) {
                            left.add(rows.getInt(2 + i));
                        }
                        for (int i = 0; i < conditions; i++) {
                            onlyThis.add(rows.getInt(2 + conditions + 1 + i) - left.get(conditions));
                        }
                    }
                    case 1 -> {
                        Facet facet = facets.get(rows.getInt(2));
                        counts.get(facet.name()).put(codes.get(facet).get(rows.getInt(3)), rows.getInt(4));
                    }
                    case 2 -> fitting[rows.getInt(2)] = rows.getInt(3);
                    case 3 -> open[rows.getInt(2)] = rows.getInt(3);
                    default ->
                        first.put(
                                rows.getInt(3),
                                data.sections.get(rows.getInt(2)).entry().digits());
                }
            }
        }
        return new Answer(left, onlyThis, counts, fitting, open, List.copyOf(first.values()));
    }

    private String statement(Brief brief) {
        List<Condition> conditions = brief.conditions();
        int all = (1 << conditions.size()) - 1;
        int hours = 0;
        StringBuilder asked = new StringBuilder();
        for (int i = 0; i < conditions.size(); i++) {
            hours |= HOURS.contains(conditions.get(i).topic()) ? 1 << i : 0;
            int others = all & ~(1 << i);
            Topic topic = conditions.get(i).topic();
            for (int facet = 0; facet < facets.size(); facet++) {
                if (Topic.of(facets.get(facet)) == topic) {
                    asked.append(" WHEN ").append(facet).append(" THEN ").append(others);
                }
            }
        }
        String perFacet = asked.isEmpty() ? String.valueOf(all) : "CASE v.facet" + asked + " ELSE " + all + " END";
        List<String> fits = new ArrayList<>();
        for (int i = 0; i <= conditions.size(); i++) {
            fits.add("bool_or(mask & " + ((1 << i) - 1) + " = 0)");
        }
        for (int i = 0; i < conditions.size(); i++) {
            fits.add("bool_or(mask & " + (all & ~(1 << i)) + " = 0)");
        }
        String flags = IntStream.range(0, fits.size())
                .mapToObj(i -> fits.get(i) + " AS a" + i)
                .collect(Collectors.joining(", "));
        String figures = IntStream.range(0, COLUMNS)
                .mapToObj(i -> i < fits.size() ? "count(*) FILTER (WHERE a" + i + ")" : "0")
                .collect(Collectors.joining(", "));
        String mask = IntStream.range(0, conditions.size())
                .mapToObj(i -> "CASE WHEN " + predicate(conditions.get(i)) + " THEN 0 ELSE " + (1 << i) + " END")
                .collect(Collectors.joining(" + "));
        return "WITH t AS MATERIALIZED (SELECT c, section, rank, " + mask + " AS mask FROM candidate),"
                + " s AS MATERIALIZED (SELECT section, min(rank) AS rank, " + flags + " FROM t GROUP BY section)"
                + " SELECT 0 AS kind, " + figures + " FROM s"
                + " UNION ALL SELECT 1, v.facet, v.value, count(DISTINCT t.section)" + zeros(3)
                + " FROM t JOIN candidate_value v ON v.c = t.c WHERE t.mask & (" + perFacet + ") = 0"
                + " GROUP BY v.facet, v.value"
                + " UNION ALL SELECT 2, x.cell, count(*)" + zeros(2)
                + " FROM s JOIN section_cell x ON x.section = s.section"
                + " WHERE s.a" + conditions.size() + " GROUP BY x.cell"
                + " UNION ALL SELECT 3, x.cell, count(*)" + zeros(2)
                + " FROM (SELECT DISTINCT section FROM t WHERE mask & " + (all & ~hours) + " = 0) o"
                + " JOIN section_cell x ON x.section = o.section GROUP BY x.cell"
                + " UNION ALL SELECT * FROM (SELECT 4, section, rank" + zeros(2) + " FROM s WHERE a" + conditions.size()
                + " ORDER BY rank LIMIT " + Answer.LINES + ") f";
    }

    private static String zeros(int filled) {
        return ", 0".repeat(COLUMNS - filled);
    }

    private String predicate(Condition condition) {
        if (condition instanceof Having having) {
            long wanted = mask(data.places(having.facet(), having.codes()));
            return having.facet().scope() == Facet.Scope.SET
                    ? column(having.facet()) + " & " + ~wanted + " = 0"
                    : column(having.facet()) + " & " + wanted + " <> 0";
        }
        if (condition instanceof Numbers numbers) {
            NumberPattern only = numbers.numbers().get(0);
            return "digits BETWEEN " + only.low() + " AND " + only.high();
        }
        if (condition instanceof OnDays days) {
            int asked = days.days().mask();
            String rule = switch (days.rule()) {
                case ONLY -> "%s & " + (127 & ~asked) + " = 0";
                case ALL -> "%s & " + asked + " = " + asked;
                case ANY -> "%s & " + asked + " <> 0";
                case NONE -> "%s & " + asked + " = 0";
            };
            return "(days = 0 OR " + rule.formatted("days") + ") AND (set_days = 0 OR " + rule.formatted("set_days")
                    + ")";
        }
        if (condition instanceof Between between) {
            return "set_start >= " + between.from().map(ClockTime::minuteOfDay).orElse(0) + " AND set_end <= "
                    + between.to().map(ClockTime::minuteOfDay).orElse(24 * 60);
        }
        if (condition instanceof Closed closed) {
            long[] words = closed.hours().words();
            return IntStream.range(0, WEEK_WORDS)
                    .filter(word -> words[word] != 0)
                    .mapToObj(word -> "w" + word + " & " + words[word] + " = 0")
                    .collect(Collectors.joining(" AND "));
        }
        if (condition instanceof Dates dates) {
            return dates.startsFrom()
                            .map(date -> "first_day >= " + date.toEpochDay())
                            .orElse("true")
                    + dates.endsBy()
                            .map(date -> " AND last_day <= " + date.toEpochDay())
                            .orElse("")
                    + (dates.mostWeeks().isPresent()
                            ? " AND weeks <= " + dates.mostWeeks().getAsInt()
                            : "");
        }
        if (condition instanceof Timed) {
            return "days <> 0";
        }
        Seats seats = (Seats) condition;
        return (seats.waitingAtMost().isPresent() ? "most_waiting <= 0 AND spread_unqueued" : "spread") + " >= "
                + seats.atLeast() + " AND least_open >= " + Math.min(1, seats.atLeast());
    }

    private static String column(Facet facet) {
        return "f_" + facet.name().toLowerCase(Locale.ROOT);
    }
}
