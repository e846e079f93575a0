package ample.ledger.web.database;

import io.github.resilience4j.bulkhead.Bulkhead;
import io.github.resilience4j.bulkhead.BulkheadConfig;
import io.github.resilience4j.bulkhead.BulkheadFullException;
import io.github.resilience4j.circuitbreaker.CallNotPermittedException;
import io.github.resilience4j.circuitbreaker.CircuitBreaker;
import io.github.resilience4j.circuitbreaker.CircuitBreakerConfig;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Connections for whom it makes sense to wait. While the database does not answer, most who ask are told so at once: only one in a
 * while finds out whether it is back. And never do so many wait for a connection that no thread is left for pages that need none.
 */
final class GuardedDataSource extends DelegatingDataSource {

    /** A pool gives up after two seconds; so many may wait for that at once, of some two hundred threads. */
    private static final int MOST_WAITING = 48;

    /** So many attempts are looked back on. */
    private static final int LATEST = 4;

    /** Before the next one finds out whether the database is back. */
    private static final Duration PAUSE = Duration.ofSeconds(1);

    private final CircuitBreaker breaker = CircuitBreaker.of(
            "database",
            CircuitBreakerConfig.custom()
                    .slidingWindowSize(LATEST)
                    .minimumNumberOfCalls(LATEST / 2)
                    .failureRateThreshold(50)
                    .waitDurationInOpenState(PAUSE)
                    .permittedNumberOfCallsInHalfOpenState(1)
                    .build());

    private final Bulkhead waiting = Bulkhead.of(
            "connections",
            BulkheadConfig.custom()
                    .maxConcurrentCalls(MOST_WAITING)
                    .maxWaitDuration(Duration.ZERO)
                    .build());

    GuardedDataSource(DataSource pool) {
        super(pool);
    }

    /** @throws SQLTransientConnectionException at once, while the database is known to be away or too many wait for it */
    @Override
    public Connection getConnection() throws SQLException {
        if (!waiting.tryAcquirePermission()) {
            throw new SQLTransientConnectionException(
                    "Too many wait for the database", BulkheadFullException.createBulkheadFullException(waiting));
        }
        try {
            if (!breaker.tryAcquirePermission()) {
                throw new SQLTransientConnectionException(
                        "The database is away", CallNotPermittedException.createCallNotPermittedException(breaker));
            }
            return tried();
        } finally {
            waiting.onComplete();
        }
    }

    private Connection tried() throws SQLException {
        long start = System.nanoTime();
        try {
            Connection connection = super.getConnection();
            breaker.onSuccess(System.nanoTime() - start, TimeUnit.NANOSECONDS);
            return connection;
        } catch (SQLException | RuntimeException failed) {
            breaker.onError(System.nanoTime() - start, TimeUnit.NANOSECONDS, failed);
            throw failed;
        }
    }
}
