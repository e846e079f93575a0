package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.BundleFormat;
import ample.ledger.core.exchange.BundleTable;
import ample.ledger.core.exchange.BundleTables;
import ample.ledger.core.exchange.BundleWriter;
import ample.ledger.core.exchange.FaultyBundleException;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.exchange.TableSchema;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.TermCode;
import ample.ledger.demo.DemoBundles;
import java.io.IOException;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class EditionsTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");
    private static final ScheduleBundle KERNEL = Schedules.kernelBundle();

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
        Edition edition = editions.post(KERNEL, "The first", "desk", NOW).edition();
        assertThat(editions.history(edition.term()))
                .extracting(Edition::postedBy)
                .containsExactly("desk");

        assertThat(editions.allCurrent()).containsExactly(edition);
        assertThat(editions.current(new TermCode("autumn-2031"))).contains(edition);
        assertThat(edition.number()).isEqualTo(1);
        assertThat(edition.postedAt()).isEqualTo(NOW);
        assertThat(cells(editions.tables(edition))).isEqualTo(cells(KERNEL.tables()));
        assertThat(editions.schedule(edition).sections())
                .isEqualTo(Schedules.kernelSchedule().sections());
    }

    /** Bundle, database, bundle: nothing is lost or added on the way. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13})
    void aGeneratedBundleComesOutAsItWentIn(long seed) {
        ScheduleBundle made = ScheduleBundle.of(new DemoBundles(Schedules.kernel(), seed).autumn(500));
        Edition edition = editions.post(made, "", "desk", NOW).edition();

        ScheduleBundle out = ScheduleBundle.of(editions.tables(edition));

        assertThat(out.checksum()).isEqualTo(made.checksum());
        assertThat(out.schedule().sections()).isEqualTo(made.schedule().sections());
    }

    @Test
    void theSameTablesAgainChangeNothing() {
        Edition first = editions.post(KERNEL, "The first", "desk", NOW).edition();

        assertThat(editions.post(KERNEL, "The same", "desk", NOW.plusSeconds(60)))
                .isEqualTo(new Editions.Posting(first, false));
    }

    @Test
    void aCorrectionBecomesTheNextEditionAndTheFirstStaysAsItWas() {
        Edition first = editions.post(KERNEL, "The first", "desk", NOW).edition();
        Edition second = editions.post(renamed(KERNEL, "Glacier Studies"), "A correction", "desk", NOW)
                .edition();

        assertThat(second.number()).isEqualTo(2);
        assertThat(editions.current(new TermCode("autumn-2031"))).contains(second);
        assertThat(cells(editions.tables(first))).isEqualTo(cells(KERNEL.tables()));
    }

    @Test
    void aFaultyBundleChangesNothing() {
        Edition first = editions.post(KERNEL, "The first", "desk", NOW).edition();

        assertThatExceptionOfType(FaultyBundleException.class)
                .isThrownBy(() ->
                        editions.post(ScheduleBundle.of(without(KERNEL.tables(), "terms")), "Broken", "desk", NOW))
                .withMessageContaining("terms.csv: It must have exactly one row, and has 0.");
        assertThat(editions.current(new TermCode("autumn-2031"))).contains(first);
    }

    /** A character that the reader would have refused is refused by the database half way through. */
    @Test
    void aPostingThatFailsHalfWayLeavesNoTrace() throws SQLException {
        ScheduleBundle bad = changed(KERNEL, "notes", 4, "a zero: \0");

        assertThatExceptionOfType(RuntimeException.class).isThrownBy(() -> editions.post(bad, "Refused", "desk", NOW));

        assertThat(count("SELECT count(*) FROM edition")).isZero();
        assertThat(count("SELECT count(*) FROM institution")).isZero();
        assertThat(editions.allCurrent()).isEmpty();
    }

    @Test
    void ofPostingsAtOnceOneWinsAndTheOthersAreTold() throws Exception {
        List<Callable<String>> postings = new ArrayList<>();
        var together = new CyclicBarrier(4);
        for (String name : List.of("One", "Two", "Three", "Four")) {
            ScheduleBundle bundle = renamed(KERNEL, name);
            postings.add(() -> {
                together.await();
                try {
                    return editions.post(bundle, name, "desk", NOW).edition().note();
                } catch (PostingUnderWayException told) {
                    assertThat(told).hasMessageContaining("Another posting of autumn-2031 is under way");
                    return "told";
                }
            });
        }
        var threads = Executors.newFixedThreadPool(postings.size());
        List<String> outcomes = new ArrayList<>();
        for (Future<String> posting : threads.invokeAll(postings)) {
            outcomes.add(posting.get());
        }
        threads.shutdown();

        // A thread may come when another has finished already; whoever was not told has posted, and the last one
        // stands.
        List<String> posted =
                outcomes.stream().filter(outcome -> !outcome.equals("told")).toList();
        assertThat(posted).isNotEmpty();
        assertThat(editions.history(new TermCode("autumn-2031")))
                .extracting(Edition::note)
                .containsExactlyInAnyOrderElementsOf(posted);
    }

    @Test
    void aPostingIsToldOfAnotherThatIsUnderWay() throws SQLException {
        try (Connection other = store.dataSource().getConnection();
                Statement sql = other.createStatement()) {
            other.setAutoCommit(false);
            sql.execute("SELECT pg_advisory_xact_lock(hashtextextended('autumn-2031', 0))");

            assertThatExceptionOfType(PostingUnderWayException.class)
                    .isThrownBy(() -> editions.post(KERNEL, "The second", "desk", NOW));
            // Answered, the lock is gone for sure; it is not yet when a connection has only been closed.
            other.rollback();
        }
        assertThat(editions.post(KERNEL, "Now it works", "desk", NOW).posted()).isTrue();
    }

    @Test
    void anEarlierEditionCanBeMadeCurrentAgain() {
        Edition first = editions.post(KERNEL, "The first", "desk", NOW).edition();
        Edition second = editions.post(renamed(KERNEL, "Wrong"), "A mistake", "desk", NOW)
                .edition();

        assertThat(editions.makeCurrent(new TermCode("autumn-2031"), 1)).contains(first);

        assertThat(editions.current(new TermCode("autumn-2031"))).contains(first);
        assertThat(editions.history(new TermCode("autumn-2031"))).containsExactly(second, first);
        assertThat(editions.makeCurrent(new TermCode("autumn-2031"), 7)).isEmpty();
    }

    @Test
    void aTermStaysWithTheInstitutionThatPostedItFirst() {
        editions.post(KERNEL, "The first", "desk", NOW);
        ScheduleBundle another = changed(KERNEL, "institution", 0, "saltern");

        assertThatExceptionOfType(FaultyBundleException.class)
                .isThrownBy(() -> editions.post(another, "", "desk", NOW))
                .withMessageContaining("This is a term of halvermere; every term of the system has a code of its own.");
    }

    @Test
    void newsOfAnEditionTravelsWithoutWaiting() throws Exception {
        var told = new Semaphore(0);
        var news = new News(News.Channel.EDITION, store.dataSource(), Duration.ofMinutes(5), told::release);
        try {
            assertThat(told.tryAcquire(1, 20, TimeUnit.SECONDS))
                    .as("told once at first")
                    .isTrue();
            editions.post(KERNEL, "The first", "desk", NOW);
            assertThat(told.tryAcquire(1, 20, TimeUnit.SECONDS))
                    .as("told of the posting")
                    .isTrue();
        } finally {
            news.destroy();
        }
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
    private static ScheduleBundle renamed(ScheduleBundle bundle, String name) {
        return changed(bundle, "institution", 1, name);
    }

    /** The same tables with another cell in the first row of one. */
    private static ScheduleBundle changed(ScheduleBundle bundle, String name, int column, String value) {
        BundleTable table = bundle.tables().tables().get(name);
        List<BundleTable.Row> rows = new ArrayList<>(table.rows());
        Object[] cells = rows.get(0).cells().clone();
        cells[column] = value;
        rows.set(0, new BundleTable.Row(table.schema(), rows.get(0).line(), cells));
        return ScheduleBundle.of(with(bundle.tables(), new BundleTable(table.schema(), rows)));
    }

    /** A folder with the kernel in which a title is another. */
    static Path corrected(Path folder) throws IOException {
        BundleWriter.toFolder(
                changed(KERNEL, "courses", 2, "How Tides Really Work").tables(), folder);
        return folder;
    }

    private static BundleTables without(BundleTables tables, String name) {
        return with(tables, new BundleTable(tables.tables().get(name).schema(), List.of()));
    }

    private static BundleTables with(BundleTables tables, BundleTable table) {
        Map<String, BundleTable> changed = new HashMap<>(tables.tables());
        changed.put(table.schema().name(), table);
        return new BundleTables(changed);
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
