package ample.ledger.web.plan;

import ample.ledger.core.weave.Impossibility;
import ample.ledger.core.weave.Watch;
import ample.ledger.core.weave.Weaver;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * Weaves beside the requests that ask for it, so that a long one can be watched and stopped; the latest results are
 * remembered. One weaving takes no more than {@link #LONGEST}: then the best so far are what it has found.
 */
@Component
class WeaveJobs {

    /** Nobody waits longer for a page than this; nearly all weavings take less. */
    private static final Duration PATIENCE = Duration.ofMillis(400);

    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final int MOST_REMEMBERED = 100;
    private static final int AT_ONCE = 2;

    private final ExecutorService workers = Executors.newFixedThreadPool(AT_ONCE, work -> {
        Thread worker = new Thread(work, "weaving");
        worker.setDaemon(true);
        return worker;
    });

    private final Map<String, Job> jobs = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Job> eldest) {
            if (size() > MOST_REMEMBERED) {
                eldest.getValue().stop();
                return true;
            }
            return false;
        }
    };

    /**
     * What was found.
     *
     * @param counted whether counting has ended; otherwise the count says nothing yet
     * @param why there is no week; empty where there is one
     */
    record Done(Weaver.Woven woven, boolean counted, Optional<Impossibility> why) {}

    /** A weaving that goes on, or is done. */
    static final class Job implements Watch {

        private final long until = System.nanoTime() + LONGEST.toNanos();
        private volatile boolean stopped;
        private volatile double share;
        private volatile Optional<Future<Done>> result = Optional.empty();
        private volatile Optional<Done> early = Optional.empty();

        @Override
        public boolean stopped() {
            return stopped || System.nanoTime() - until > 0;
        }

        @Override
        public void reached(double done) {
            share = done;
        }

        /** How much of it is done: 0 to 1. */
        double share() {
            return share;
        }

        /** Lets those who watch see what there is before all is done. */
        void show(Done some) {
            early = Optional.of(some);
        }

        void stop() {
            stopped = true;
        }

        /** What was found, waiting for it a moment; while it goes on what is shown early, or nothing. */
        Optional<Done> result() {
            try {
                return Optional.of(result.orElseThrow().get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS));
            } catch (TimeoutException goesOn) {
                return early;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return Optional.empty();
            } catch (ExecutionException e) {
                throw new IllegalStateException("Weaving failed", e.getCause());
            }
        }
    }

    /** The weaving under this key, which is begun where there is none. */
    synchronized Job job(String key, Function<Job, Done> weave) {
        Job known = jobs.get(key);
        if (known == null) {
            Job begun = new Job();
            begun.result = Optional.of(workers.submit(() -> weave.apply(begun)));
            jobs.put(key, begun);
            known = begun;
        }
        return known;
    }

    /** Stops the weaving under this key, if there is one. */
    synchronized void stop(String key) {
        Optional.ofNullable(jobs.get(key)).ifPresent(Job::stop);
    }

    @PreDestroy
    void end() {
        workers.shutdownNow();
    }
}
