package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.core.edition.Edition;
import ample.ledger.core.exchange.ScheduleBundle;
import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.TermCode;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * A posting that is cut off in the middle: the old edition stands, nothing of the new one is left, and the next posting
 * works. A lock on one table, taken before, holds the posting up half way, so that it is certain where it is cut off.
 */
@Timeout(180)
class InterruptedPostingTest {

    private static final Instant NOW = Instant.parse("2031-06-17T08:41:00Z");
    private static final ScheduleBundle KERNEL = Schedules.kernelBundle();

    @TempDir
    private Path folder;

    /** Run by the test in a process of its own, to be killed. */
    public static void main(String[] arguments) throws Exception {
        new TestStore(new TestDatabase(arguments[0], arguments[1], arguments[2], ""))
                .editions()
                .post(ScheduleBundle.read(Path.of(arguments[3])), "Killed", "desk", NOW);
    }

    @Test
    void aProcessKilledInTheMiddleLeavesNoTrace() throws Exception {
        TestStore store = new TestStore();
        TestDatabase database = store.database();
        Edition first = store.editions().post(KERNEL, "The first", "desk", NOW).edition();
        Path other = EditionsTest.corrected(folder);
        try (Connection holdUp = database.asOwner().getConnection()) {
            lock(holdUp);
            Process posting = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-cp",
                            System.getProperty("java.class.path"),
                            InterruptedPostingTest.class.getName(),
                            database.url(),
                            database.ownerPassword(),
                            database.appPassword(),
                            other.toString())
                    .inheritIO()
                    .start();
            awaitBlocked(database);
            posting.destroyForcibly();
            assertThat(posting.waitFor(20, TimeUnit.SECONDS)).isTrue();
        }

        assertStands(store, first, ScheduleBundle.read(other));
    }

    @Test
    void aRestartOfPostgresInTheMiddleLeavesNoTrace() throws Exception {
        Path cluster = folder.resolve("postgres");
        TestDatabase.run("start", cluster.toString(), "--throw-away");
        ExecutorService thread = Executors.newSingleThreadExecutor();
        try {
            TestStore store = new TestStore(TestDatabase.create(cluster));
            Edition first =
                    store.editions().post(KERNEL, "The first", "desk", NOW).edition();
            ScheduleBundle other = ScheduleBundle.read(EditionsTest.corrected(folder.resolve("bundle")));
            var told = new Semaphore(0);
            var news = new News(News.Channel.EDITION, store.dataSource(), Duration.ofSeconds(1), told::release);
            Connection holdUp = store.database().asOwner().getConnection();
            lock(holdUp);
            Future<Editions.Posting> posting =
                    thread.submit(() -> store.editions().post(other, "Cut off", "desk", NOW));
            awaitBlocked(store.database());

            TestDatabase.run("stop", cluster.toString());
            TestDatabase.run("start", cluster.toString(), "--throw-away");

            assertThatThrownBy(() -> posting.get(60, TimeUnit.SECONDS)).isNotNull();
            assertStands(store, first, other);
            told.drainPermits();
            assertThat(told.tryAcquire(3, 20, TimeUnit.SECONDS))
                    .as("news go on after the restart")
                    .isTrue();
            news.destroy();
        } finally {
            thread.shutdownNow();
            TestDatabase.run("destroy", cluster.toString());
        }
    }

    private static void assertStands(TestStore store, Edition first, ScheduleBundle next) throws Exception {
        Editions editions = store.editions();
        assertThat(editions.current(new TermCode("autumn-2031"))).contains(first);
        assertThat(editions.history(new TermCode("autumn-2031"))).containsExactly(first);
        assertThat(ScheduleBundle.of(editions.tables(first)).checksum()).isEqualTo(KERNEL.checksum());
        assertThat(number(store.database(), "SELECT count(DISTINCT edition_id) FROM courses"))
                .isEqualTo(1);
        for (int i = 0; i < 50; i++) {
            try {
                assertThat(editions.post(next, "The next", "desk", NOW)
                                .edition()
                                .number())
                        .isEqualTo(2);
                return;
            } catch (PostingUnderWayException serverHasNotNoticedYet) {
                Thread.sleep(200);
            }
        }
        throw new AssertionError("The lock of the posting that was cut off is still there after ten seconds");
    }

    private static void lock(Connection connection) throws SQLException {
        connection.setAutoCommit(false);
        try (Statement sql = connection.createStatement()) {
            sql.execute("LOCK TABLE ledger.meetings IN ACCESS EXCLUSIVE MODE");
        }
    }

    private static void awaitBlocked(TestDatabase database) throws Exception {
        for (int i = 0; i < 600; i++) {
            if (number(database, "SELECT count(*) FROM pg_locks WHERE NOT granted AND relation IS NOT NULL") > 0) {
                return;
            }
            Thread.sleep(100);
        }
        throw new AssertionError("The posting did not come as far as the meetings");
    }

    private static int number(TestDatabase database, String query) throws SQLException {
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement();
                ResultSet result = sql.executeQuery(query)) {
            result.next();
            return result.getInt(1);
        }
    }
}
