package ample.ledger.web.database;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.database.DatabaseBreaker.NotAskedException;
import java.sql.SQLException;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;

/** When it makes sense to ask the database. */
class DatabaseBreakerTest {

    private final AtomicReference<Instant> now = new AtomicReference<>(Instant.EPOCH);
    private final DatabaseBreaker breaker = new DatabaseBreaker(((InstantSource) now::get).withZone(ZoneOffset.UTC));

    @Test
    void oneWhoWaitedInVainIsEnough() throws Exception {
        assertThat(breaker.mayAsk()).isTrue();
        breaker.answered();
        breaker.failed(new SQLException("no answer"));
        assertThat(breaker.mayAsk()).isFalse();

        now.set(now.get().plus(DatabaseBreaker.PAUSE).plusMillis(1));
        assertThat(breaker.mayAsk()).as("one finds out").isTrue();
        assertThat(breaker.mayAsk()).as("and only one").isFalse();
        breaker.answered();
        assertThat(breaker.mayAsk()).isTrue();
    }

    /** Otherwise those who are refused would keep the database away that has come back. */
    @Test
    void whoWasNotLetThroughSaysNothingNew() {
        breaker.failed(new DataAccessResourceFailureException("refused", new NotAskedException("away")));

        assertThat(breaker.mayAsk()).isTrue();
    }
}
