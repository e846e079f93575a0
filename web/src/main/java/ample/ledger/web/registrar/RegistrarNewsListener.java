package ample.ledger.web.registrar;

import ample.ledger.core.registrar.DemoClock;
import ample.ledger.core.registrar.Registrar;
import ample.ledger.core.registrar.RegistrarAwayException;
import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.core.registrar.SeatWord;
import ample.ledger.store.SeatWords;
import ample.ledger.store.Telling;
import ample.ledger.store.Visitors;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.TimeGauge;
import io.micrometer.core.instrument.binder.MeterBinder;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;

/**
 * Asks the registrar again and again what has changed, and keeps it. Each question waits at the other side until there is something
 * to say. Every instance of the application asks; what one has heard before another is kept once.
 */
final class RegistrarNewsListener implements SmartLifecycle, MeterBinder {

    /** How long a question may wait. */
    static final Duration WAIT = Duration.ofSeconds(20);

    private static final Logger LOG = LoggerFactory.getLogger(RegistrarNewsListener.class);
    private static final Duration PAUSE = Duration.ofMillis(500);

    /**
     * After a piece of news, so that in a rush what has changed meanwhile comes in one piece: each one is a commit here and makes every open page look
     * again, while a reader does not notice a tenth of a second.
     */
    private static final Duration GATHERING = Duration.ofMillis(100);

    /** Less than this a clock that is asked over a network is never wrong for sure. */
    private static final Duration NOT_MOVED = Duration.ofMillis(300);

    private final Registrar registrar;
    private final SeatWords words;
    private final Telling telling;
    private final Clock clock;
    private final boolean followClock;

    private volatile boolean running;

    /** By the machine's own clock, in nanoseconds. */
    private volatile long heardAt = System.nanoTime();

    private long last;

    RegistrarNewsListener(Registrar registrar, SeatWords words, Telling telling, Clock clock, boolean followClock) {
        this.registrar = registrar;
        this.words = words;
        this.telling = telling;
        this.clock = clock;
        this.followClock = followClock;
    }

    @Override
    public void bindTo(MeterRegistry registry) {
        TimeGauge.builder(
                        "ledger.registrar.silence", this, TimeUnit.NANOSECONDS, own -> System.nanoTime() - own.heardAt)
                .description("Since the registrar's news were heard last")
                .register(registry);
    }

    @Override
    public void start() {
        running = true;
        Thread thread = new Thread(this::listen, "registrar-news");
        thread.setDaemon(true);
        thread.start();
    }

    private void listen() {
        boolean heard = true;
        while (running) {
            try {
                take(registrar.news(last, heard && last > 0 ? WAIT : Duration.ZERO));
                heard = true;
                heardAt = System.nanoTime();
                rest(GATHERING);
            } catch (RegistrarAwayException away) {
                heard = false;
                rest(PAUSE);
            } catch (RuntimeException trouble) {
                LOG.warn("The registrar's news could not be kept; it is asked for again", trouble);
                rest(PAUSE);
            }
        }
    }

    private void take(RegistrarNews news) {
        if (followClock && clock instanceof DemoClock own) {
            boolean moved = Duration.between(clock.instant(), news.now()).abs().compareTo(NOT_MOVED) > 0;
            if (moved) {
                own.moveTo(news.now());
            }
        }
        List<SeatWord> seats =
                news.seats().stream().map(RegistrarNews.Seats::word).toList();
        words.put(seats);
        telling.changed(news.students().stream().map(Visitors::student).toList());
        last = news.last();
    }

    private void rest(Duration pause) {
        try {
            Thread.sleep(pause.toMillis());
        } catch (InterruptedException ending) {
            running = false;
        }
    }

    @Override
    public void stop() {
        running = false;
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
