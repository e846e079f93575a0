package ample.ledger.web.database;

import ample.ledger.web.database.DatabaseBreaker.NotAskedException;
import io.github.resilience4j.bulkhead.Bulkhead;
import io.github.resilience4j.bulkhead.BulkheadConfig;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Connections for whom it makes sense to wait. While the database does not answer, most who ask are told so at once: only one in a
 * while finds out whether it is back. Only some requests may wait for a connection at once, so that threads are left for pages that need none.
 */
final class GuardedDataSource extends DelegatingDataSource {

    /** Of some two hundred threads. The pool lets each wait for two seconds. */
    static final int MOST_WAITING = 48;

    private final DatabaseBreaker breaker;

    private final Bulkhead waiting = Bulkhead.of(
            "connections",
            BulkheadConfig.custom()
                    .maxConcurrentCalls(MOST_WAITING)
                    .maxWaitDuration(Duration.ZERO)
                    .build());

    GuardedDataSource(DataSource pool, DatabaseBreaker breaker) {
        super(pool);
        this.breaker = breaker;
    }

    /** @throws NotAskedException at once, while the database is known to be away or too many wait for it */
    @Override
    public Connection getConnection() throws SQLException {
        if (!waiting.tryAcquirePermission()) {
            throw new NotAskedException("Too many wait for the database");
        }
        try {
            if (!breaker.mayAsk()) {
                throw new NotAskedException("The database is away");
            }
            return tried();
        } finally {
            waiting.onComplete();
        }
    }

    private Connection tried() throws SQLException {
        try {
            Connection connection = super.getConnection();
            breaker.answered();
            return connection;
        } catch (SQLException | RuntimeException failed) {
            breaker.failed(failed);
            throw failed;
        }
    }
}
