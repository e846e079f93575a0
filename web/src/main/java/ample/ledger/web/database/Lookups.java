package ample.ledger.web.database;

import ample.ledger.web.LedgerSettings;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;

/**
 * Looks up in the database what a page is better with, and can do without: who asks, and what is kept for them. Whoever opens such a page
 * does not wait for it as long as somebody who changes something; and once one has waited in vain, nobody waits any more, those who
 * wait already neither. Once a second something is looked up that nobody waits for; the first of these that is answered in time ends it.
 */
@Component
public class Lookups implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Lookups.class);

    private static final String JUST_NOW = "The database did not answer in time just now";

    /** As many as may wait for a connection at once; what is more waits for a thread instead. */
    private static final int THREADS = GuardedDataSource.MOST_WAITING;

    /** Whether the database answers at all. */
    private final DatabaseBreaker database;

    /** Whether it answers in time. */
    private final DatabaseBreaker inTime;

    private final Duration patience;
    private final ThreadPoolExecutor threads;

    /** Which request waits, and for what. */
    private final Map<Thread, CompletableFuture<?>> waiting = new ConcurrentHashMap<>();

    @Autowired
    Lookups(DatabaseBreaker database, LedgerSettings settings) {
        this(database, settings.patience());
    }

    public Lookups(DatabaseBreaker database, Duration patience) {
        this(database, new DatabaseBreaker(), patience);
    }

    Lookups(DatabaseBreaker database, DatabaseBreaker inTime, Duration patience) {
        this.database = database;
        this.inTime = inTime;
        this.patience = patience;
        CustomizableThreadFactory named = new CustomizableThreadFactory("lookup-");
        named.setDaemon(true);
        threads = new ThreadPoolExecutor(THREADS, THREADS, 30, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), named);
        threads.allowCoreThreadTimeOut(true);
    }

    /**
     * Looks something up, on a thread of its own.
     *
     * @throws QueryTimeoutException where no answer comes in time, or none came in time just now
     */
    public <T> T soon(Supplier<T> lookup) {
        return soon(lookup, patience);
    }

    <T> T soon(Supplier<T> lookup, Duration longest) {
        boolean doubtful = inTime.isDoubtful();
        boolean mayAsk = inTime.mayAsk();
        if (doubtful && mayAsk) {
            findOut(lookup);
        }
        if (doubtful || !mayAsk) {
            throw new QueryTimeoutException(JUST_NOW);
        }
        CompletableFuture<T> answer = CompletableFuture.supplyAsync(() -> watched(lookup), threads);
        waiting.put(Thread.currentThread(), answer);
        try {
            T found = answer.get(longest.toNanos(), TimeUnit.NANOSECONDS);
            inTime.answered();
            return found;
        } catch (TimeoutException late) {
            inTime.failed(late);
            waiting.values().forEach(each -> each.completeExceptionally(late));
            throw new QueryTimeoutException("No answer within " + longest, late);
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof TimeoutException ofAnother) {
                throw new QueryTimeoutException(JUST_NOW, ofAnother);
            }
            inTime.answered();
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
        } finally {
            waiting.remove(Thread.currentThread());
        }
    }

    private void findOut(Supplier<?> lookup) {
        long begun = System.nanoTime();
        threads.execute(() -> {
            boolean answered = false;
            try {
                watched(lookup);
                answered = System.nanoTime() - begun <= patience.toNanos();
            } catch (RuntimeException known) {
                // Also where it was not asked at all, since others have waited in vain.
                LOG.debug("Asked in vain: {}", known.getMessage());
            }
            if (answered) {
                inTime.answered();
            } else {
                inTime.failed(new TimeoutException("No answer within " + patience));
            }
        });
    }

    private <T> T watched(Supplier<T> lookup) {
        try {
            return lookup.get();
        } catch (DataAccessException | TransactionException away) {
            database.failed(away);
            throw away;
        }
    }

    @Override
    public void destroy() {
        threads.shutdownNow();
    }
}
