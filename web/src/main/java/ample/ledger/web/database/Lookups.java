package ample.ledger.web.database;

import ample.ledger.web.LedgerSettings;
import java.time.Duration;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Future;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;

/**
 * Looks up in the database what a page is better with, and can do without: who asks, and what is kept for them. Whoever opens such a page
 * does not wait for it as long as somebody who changes something.
 */
@Component
public class Lookups implements DisposableBean {

    /** As many as may wait for a connection at once; what is more waits for a thread instead. */
    private static final int THREADS = GuardedDataSource.MOST_WAITING;

    private final DatabaseBreaker breaker;
    private final Duration patience;
    private final ThreadPoolExecutor threads;

    @Autowired
    Lookups(DatabaseBreaker breaker, LedgerSettings settings) {
        this(breaker, settings.patience());
    }

    public Lookups(DatabaseBreaker breaker, Duration patience) {
        this.breaker = breaker;
        this.patience = patience;
        CustomizableThreadFactory named = new CustomizableThreadFactory("lookup-");
        named.setDaemon(true);
        threads = new ThreadPoolExecutor(THREADS, THREADS, 30, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), named);
        threads.allowCoreThreadTimeOut(true);
    }

    /**
     * Looks something up, on a thread of its own.
     *
     * @throws QueryTimeoutException where no answer comes in time; others do not wait from then on
     */
    public <T> T soon(Supplier<T> lookup) {
        Future<T> answer = threads.submit(lookup::get);
        try {
            return answer.get(patience.toNanos(), TimeUnit.NANOSECONDS);
        } catch (TimeoutException late) {
            answer.cancel(false);
            breaker.failed(late);
            throw new QueryTimeoutException("No answer within " + patience, late);
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof RuntimeException known) {
                throw known;
            }
            if (failed.getCause() instanceof Error error) {
                throw error;
            }
            throw new IllegalStateException(failed.getCause());
        } catch (InterruptedException stopping) {
            Thread.currentThread().interrupt();
            throw new QueryTimeoutException("The application stops", stopping);
        }
    }

    @Override
    public void destroy() {
        threads.shutdownNow();
    }
}
