package ample.ledger.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import ample.ledger.store.Visitors.Change;
import ample.ledger.store.Visitors.Found;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** What is kept for visitors, in the real PostgreSQL. */
class VisitorsTest {

    private static TestStore store;
    private static Visitors visitors;

    @BeforeAll
    static void openTheStore() throws Exception {
        store = new TestStore();
        visitors = store.visitors();
    }

    @Test
    void whatIsKeptComesBackAndChangesBeginWithIt() {
        assertThat(visitors.find("student:wren")).isEmpty();
        assertThat(keep("student:wren", "{\"a\": 1}")).isEmpty();
        assertThat(keep("student:wren", "{\"b\": 1}")).hasValue("{\"a\": 1}");
        assertThat(visitors.find("student:wren")).hasValue(new Found("{\"b\": 1}", false, List.of()));
    }

    @Test
    void whereNothingIsToBeKeptNothingIsBegun() {
        assertThat(visitors.<String>change("guest:idle", none -> new Change<>(Optional.empty(), "seen")))
                .isEqualTo("seen");
        assertThat(visitors.find("guest:idle")).isEmpty();
        assertThatThrownBy(() -> visitors.change("guest:idle", none -> {
                    throw new IllegalStateException("refused");
                }))
                .hasMessage("refused");
        assertThat(visitors.find("guest:idle")).isEmpty();
    }

    /** Twenty-four at once, on as many connections as there are: none is lost, and none has to be tried again. */
    @Test
    void ofManyChangesAtOnceAllAreKept() throws Exception {
        ExecutorService windows = Executors.newFixedThreadPool(24);
        try {
            List<Callable<String>> all = IntStream.range(0, 24)
                    .<Callable<String>>mapToObj(i -> () -> visitors.change(
                            "guest:busy",
                            before -> new Change<>(Optional.of("{\"n\": " + (number(before) + 1) + "}"), "done")))
                    .toList();
            for (Future<String> one : windows.invokeAll(all)) {
                assertThat(one.get()).isEqualTo("done");
            }
        } finally {
            windows.shutdownNow();
        }
        assertThat(visitors.find("guest:busy")).map(Found::content).hasValue("{\"n\": 24}");
    }

    @Test
    void aGuestIsKeptForAnHourAndOnceTheyComeBackForSixtyDays() throws Exception {
        keep("guest:new", "{}");
        assertThat(secondsLeft("guest:new")).isBetween(3_500L, 3_600L);
        assertThat(visitors.cameBack("guest:new")).isFalse();

        assertThat(visitors.find("guest:new")).map(Found::renewed).hasValue(true);
        assertThat(visitors.cameBack("guest:new")).isTrue();
        assertThat(secondsLeft("guest:new")).isBetween(60 * 86_400L - 100, 60 * 86_400L);
        assertThat(visitors.find("guest:new")).map(Found::renewed).hasValue(false);

        as("UPDATE ledger.visitor SET expires_at = now() + interval '40 days' WHERE owner = 'guest:new'");
        assertThat(visitors.find("guest:new")).map(Found::renewed).hasValue(true);
        keep("student:maris", "{}");
        assertThat(visitors.cameBack("student:maris")).isTrue();
    }

    @Test
    void whoStaysAwayIsForgottenAndStudentsAreNot() throws Exception {
        keep("guest:away", "{}");
        keep("student:odo", "{}");
        as("UPDATE ledger.visitor SET expires_at = now() - interval '1 second' WHERE owner = 'guest:away'");

        assertThat(visitors.find("guest:away")).isEmpty();
        assertThat(visitors.sweep()).isEqualTo(1);
        assertThat(visitors.sweep()).isZero();
        assertThat(visitors.find("student:odo")).isPresent();
    }

    private static Optional<String> keep(String owner, String content) {
        return visitors.change(owner, before -> new Change<>(Optional.of(content), before));
    }

    private static int number(Optional<String> content) {
        return content.map(text -> Integer.parseInt(text.replaceAll("[^0-9]", "")))
                .orElse(0);
    }

    private static long secondsLeft(String owner) throws SQLException {
        try (Connection connection = store.database().asOwner().getConnection();
                Statement sql = connection.createStatement();
                var row = sql.executeQuery(
                        "SELECT extract(epoch FROM expires_at - now()) FROM ledger.visitor WHERE owner = '" + owner
                                + "'")) {
            row.next();
            return row.getLong(1);
        }
    }

    private static void as(String statement) throws SQLException {
        try (Connection connection = store.database().asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }
}
