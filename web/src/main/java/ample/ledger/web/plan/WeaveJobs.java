package ample.ledger.web.plan;

import ample.ledger.core.weave.Impossibility;
import ample.ledger.core.weave.Watch;
import ample.ledger.core.weave.Weaver;
import ample.ledger.web.guard.TooManyException;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * Weaves beside the requests that ask for it, so that a long one can be watched and stopped; the latest results are
 * remembered. One weaving takes no more than {@link #LONGEST} from when it begins: then the best so far are what it has found.
 *
 * <p>Each visitor has one weaving under way and one in the line behind it; a newer one takes the place of that which waits. So
 * a visitor who asks for many hard ones keeps nobody else waiting for more than one of them.
 */
@Component
class WeaveJobs {

    /** Nobody waits longer for a page than this; nearly all weavings take less. */
    private static final Duration PATIENCE = Duration.ofMillis(400);

    private static final Duration LONGEST = Duration.ofSeconds(30);
    private static final int MOST_REMEMBERED = 100;
    private static final int AT_ONCE = 2;

    /** Of as many visitors. Who comes then would wait for minutes. */
    private static final int LONGEST_LINE = 40;

    private final ExecutorService workers = Executors.newFixedThreadPool(AT_ONCE, work -> {
        Thread worker = new Thread(work, "weaving");
        worker.setDaemon(true);
        return worker;
    });

    private final List<Job> line = new ArrayList<>();
    private final List<Job> underWay = new ArrayList<>();

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
     * Who asks for a weaving.
     *
     * @param visitor tells one from another
     * @param begins is called before a weaving is put in the line; may refuse it
     */
    record Asker(String visitor, Runnable begins) {}

    /**
     * What was found.
     *
     * @param counted whether counting has ended; otherwise the count says nothing yet
     * @param why there is no week; empty where there is one
     */
    record Done(Weaver.Woven woven, boolean counted, Optional<Impossibility> why) {}

    /** A weaving that waits, goes on, or is done. */
    static final class Job implements Watch {

        private final String key;
        private final String visitor;
        private final Function<Job, Done> weave;
        private final CompletableFuture<Done> result = new CompletableFuture<>();
        private volatile long until;
        private volatile boolean begun;
        private volatile boolean stopped;
        private volatile double share;
        private volatile Optional<Done> early = Optional.empty();

        private Job(String key, String visitor, Function<Job, Done> weave) {
            this.key = key;
            this.visitor = visitor;
            this.weave = weave;
        }

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

        /** Whether it waits for others to end. */
        boolean waits() {
            return !begun;
        }

        /** Lets those who watch see what there is before all is done. */
        void show(Done some) {
            early = Optional.of(some);
        }

        void stop() {
            stopped = true;
        }

        private void run() {
            until = System.nanoTime() + LONGEST.toNanos();
            begun = true;
            try {
                result.complete(weave.apply(this));
            } catch (RuntimeException | Error e) {
                result.completeExceptionally(e);
            }
        }

        /** What was found, waiting for it a moment; while it goes on what is shown early, or nothing. */
        Optional<Done> result() {
            try {
                return Optional.of(result.get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS));
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

    /**
     * The weaving under this key, which is begun, or put in the line, where there is none.
     *
     * @throws TooManyException when the line is full
     */
    synchronized Job job(String key, Asker asker, Function<Job, Done> weave) {
        Job known = jobs.get(key);
        if (known != null) {
            return known;
        }
        asker.begins().run();
        Job begun = new Job(key, asker.visitor(), weave);
        line.stream()
                .filter(waiting -> waiting.visitor.equals(begun.visitor))
                .findFirst()
                .ifPresent(older -> {
                    line.remove(older);
                    jobs.remove(older.key);
                });
        if (line.size() >= LONGEST_LINE) {
            throw new TooManyException("Many weeks are being woven just now.", LONGEST);
        }
        jobs.put(key, begun);
        line.add(begun);
        begin();
        return begun;
    }

    /** Begins as many of those in the line as can go on at once, each of another visitor. */
    private synchronized void begin() {
        Iterator<Job> waiting = line.iterator();
        while (underWay.size() < AT_ONCE && waiting.hasNext()) {
            Job next = waiting.next();
            if (underWay.stream().noneMatch(job -> job.visitor.equals(next.visitor))) {
                waiting.remove();
                underWay.add(next);
                workers.execute(() -> {
                    next.run();
                    end(next);
                });
            }
        }
    }

    private synchronized void end(Job job) {
        underWay.remove(job);
        begin();
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
