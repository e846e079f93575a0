package ample.ledger.web.database;

import io.github.resilience4j.circuitbreaker.CircuitBreaker;
import io.github.resilience4j.circuitbreaker.CircuitBreakerConfig;
import java.sql.SQLTransientConnectionException;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Knows whether the database answers. One who has waited in vain is enough for others not to wait; once in a while one finds out whether
 * it is back.
 */
@Component
public class DatabaseBreaker {

    /** Before the next one finds out whether the database is back. */
    static final Duration PAUSE = Duration.ofSeconds(1);

    private final CircuitBreaker breaker;

    @Autowired
    public DatabaseBreaker() {
        this(Clock.systemUTC());
    }

    DatabaseBreaker(Clock clock) {
        breaker = CircuitBreaker.of(
                "database",
                CircuitBreakerConfig.custom()
                        .slidingWindowSize(2)
                        .minimumNumberOfCalls(1)
                        .failureRateThreshold(50)
                        .waitDurationInOpenState(PAUSE)
                        .permittedNumberOfCallsInHalfOpenState(1)
                        .clock(clock)
                        .build());
    }

    /** Whether it makes sense to ask; who is let through says afterwards how it went. */
    boolean mayAsk() {
        return breaker.tryAcquirePermission();
    }

    /** Whether whoever is let through need only find out. */
    boolean isDoubtful() {
        return breaker.getState() != CircuitBreaker.State.CLOSED;
    }

    void answered() {
        breaker.onSuccess(0, TimeUnit.NANOSECONDS);
    }

    /** Also by who was given a connection, on which no answer came; that somebody was not let through says nothing new. */
    public void failed(Throwable why) {
        for (Throwable cause = why; cause != null; cause = cause.getCause()) {
            if (cause instanceof NotAskedException) {
                return;
            }
        }
        breaker.onError(0, TimeUnit.NANOSECONDS, why);
    }

    /** That the database was not asked, since it does not answer, or too many wait for it. */
    static final class NotAskedException extends SQLTransientConnectionException {

        private static final long serialVersionUID = 1L;

        NotAskedException(String why) {
            super(why);
        }
    }
}
