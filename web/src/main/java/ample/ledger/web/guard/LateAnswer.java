package ample.ledger.web.guard;

import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/**
 * Keeps who asked too much waiting a little for the refusal, after giving back their share of the processors. A program that asks
 * again at once, whatever it hears, would otherwise take the processors of everybody else with refusals alone.
 */
final class LateAnswer {

    private static final Duration PAUSE = Duration.ofMillis(500);

    /** Of all addresses: each that waits keeps a thread, and there are some two hundred. Beyond them nobody waits. */
    private static final Semaphore PLACES = new Semaphore(24);

    private LateAnswer() {}

    static void pause() {
        if (!PLACES.tryAcquire()) {
            return;
        }
        try {
            TimeUnit.MILLISECONDS.sleep(PAUSE.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            PLACES.release();
        }
    }
}
