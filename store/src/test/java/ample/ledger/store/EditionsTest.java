package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.core.fixtures.Schedules;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EditionsTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");
    private static final BundleTables DEMO = Schedules.demoTables();

    private static TestStore store;
    private static Editions editions;

    @BeforeAll
    static void openTheStore() throws Exception {
        store = new TestStore();
        editions = store.editions();
    }

    @BeforeEach
    void beginWithoutEditions() throws SQLException {
        store.forgetEverything();
    }

    @Test
    void whatIsPostedReadsBackAsItWas() {
        Edition edition = editions.post(DEMO, "The first", NOW).edition();

        assertThat(editions.terms()).containsExactly("autumn-2031");
        assertThat(editions.current("autumn-2031")).contains(edition);
        assertThat(edition.number()).isEqualTo(1);
        assertThat(edition.postedAt()).isEqualTo(NOW);
        assertThat(cells(editions.tables(edition))).isEqualTo(cells(DEMO));
        assertThat(editions.schedule(edition).sections())
                .isEqualTo(Schedules.demo().sections());
    }

    @Test
    void theSameTablesAgainChangeNothing() {
        Edition first = editions.post(DEMO, "The first", NOW).edition();

        assertThat(editions.post(DEMO, "The same", NOW.plusSeconds(60))).isEqualTo(new Editions.Posting(first, false));
    }

    @Test
    void aCorrectionBecomesTheNextEditionAndTheFirstStaysAsItWas() {
        Edition first = editions.post(DEMO, "The first", NOW).edition();
        Edition second = editions.post(renamed(DEMO, "Glacier Studies"), "A correction", NOW)
                .edition();

        assertThat(second.number()).isEqualTo(2);
        assertThat(editions.current("autumn-2031")).contains(second);
        assertThat(cells(editions.tables(first))).isEqualTo(cells(DEMO));
    }

    @Test
    void aFaultyBundleChangesNothing() {
        Edition first = editions.post(DEMO, "The first", NOW).edition();

        assertThatExceptionOfType(FaultyBundleException.class)
                .isThrownBy(() -> editions.post(without(DEMO, "terms"), "Broken", NOW))
                .withMessageContaining("terms.csv: It must have exactly one row, and has 0.");
        assertThat(editions.current("autumn-2031")).contains(first);
    }

    /** Rows that stand twice, which the reader would have refused, are refused by the database half way through. */
    @Test
    void aPostingThatFailsHalfWayLeavesNoTrace() throws SQLException {
        assertThatExceptionOfType(RuntimeException.class)
                .isThrownBy(() ->
                        editions.post(with(DEMO, duplicated(DEMO.tables().get("notes"))), "Refused", NOW));

        assertThat(count("SELECT count(*) FROM edition")).isZero();
        assertThat(count("SELECT count(*) FROM institution")).isZero();
        assertThat(editions.terms()).isEmpty();
    }

    @Test
    void postingsAtOnceFollowEachOther() throws Exception {
        List<Callable<Integer>> postings = new ArrayList<>();
        for (String name : List.of("One", "Two", "Three", "Four")) {
            postings.add(() ->
                    editions.post(renamed(DEMO, name), name, NOW).edition().number());
        }
        var threads = Executors.newFixedThreadPool(postings.size());
        List<Integer> numbers = new ArrayList<>();
        for (Future<Integer> posting : threads.invokeAll(postings)) {
            numbers.add(posting.get());
        }
        threads.shutdown();

        assertThat(numbers).containsExactlyInAnyOrder(1, 2, 3, 4);
    }

    /** The application's role can add and read; what it need not do it may not. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "UPDATE sections SET cancelled = true",
                "DELETE FROM edition",
                "TRUNCATE notes",
                "DROP TABLE meetings",
                "CREATE TABLE mine (id integer)",
                "SELECT * FROM flyway_schema_history",
            })
    void theApplicationsRoleMayNotAlterWhatIsPosted(String statement) {
        assertThatExceptionOfType(SQLException.class)
                .isThrownBy(() -> execute(statement))
                .matches(e -> e.getSQLState().equals("42501"), "says: insufficient privilege, or not owner");
    }

    @Test
    void everyTableOfTheFormatHasItsColumnsInTheDatabase() throws SQLException {
        for (TableSchema schema : BundleFormat.current().tables()) {
            assertThat(count("SELECT count(*) FROM information_schema.columns WHERE table_schema = 'ledger'"
                            + " AND table_name = '" + schema.name() + "' AND column_name IN ('"
                            + String.join("', '", schema.columnNames()) + "')"))
                    .as(schema.name())
                    .isEqualTo(schema.columns().size());
        }
    }

    private static Map<String, List<List<Object>>> cells(BundleTables tables) {
        Map<String, List<List<Object>>> cells = new HashMap<>();
        tables.tables()
                .forEach((name, table) -> cells.put(
                        name,
                        table.rows().stream()
                                .map(row -> Arrays.asList(row.cells()))
                                .toList()));
        return cells;
    }

    /** The same tables with another name for the institution. */
    private static BundleTables renamed(BundleTables tables, String name) {
        BundleTable institution = tables.tables().get("institution");
        BundleTable.Row row = institution.rows().get(0);
        Object[] cells = row.cells().clone();
        cells[1] = name;
        return with(
                tables,
                new BundleTable(
                        institution.schema(), List.of(new BundleTable.Row(institution.schema(), row.line(), cells))));
    }

    private static BundleTables without(BundleTables tables, String name) {
        return with(tables, new BundleTable(tables.tables().get(name).schema(), List.of()));
    }

    private static BundleTables with(BundleTables tables, BundleTable table) {
        Map<String, BundleTable> changed = new HashMap<>(tables.tables());
        changed.put(table.schema().name(), table);
        return new BundleTables(changed);
    }

    private static BundleTable duplicated(BundleTable table) {
        List<BundleTable.Row> rows = new ArrayList<>(table.rows());
        rows.addAll(table.rows());
        return new BundleTable(table.schema(), rows);
    }

    private void execute(String statement) throws SQLException {
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }

    private int count(String query) throws SQLException {
        try (Connection connection = store.dataSource().getConnection();
                Statement sql = connection.createStatement();
                var result = sql.executeQuery(query)) {
            result.next();
            return result.getInt(1);
        }
    }
}
