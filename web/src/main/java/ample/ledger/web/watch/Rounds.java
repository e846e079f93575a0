package ample.ledger.web.watch;

import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;

/** Does something again and again while the application runs, in a thread of its own: nobody waits for it. */
abstract class Rounds implements SmartLifecycle {

    private final Logger log = LoggerFactory.getLogger(getClass());
    private final String name;
    private final long pause;
    private volatile boolean running;
    private @Nullable Thread thread;

    /** @param pause between two rounds, in milliseconds */
    Rounds(String name, long pause) {
        this.name = name;
        this.pause = pause;
    }

    /** One round; what it throws is noted, and does not end the rounds. */
    abstract void round();

    private void run() {
        while (running) {
            attempt(this::round);
            try {
                Thread.sleep(pause);
            } catch (InterruptedException ending) {
                running = false;
            }
        }
    }

    /** What cannot be done now is done in a later round: what is to be done is kept in the database. */
    final void attempt(Runnable part) {
        try {
            part.run();
        } catch (RuntimeException trouble) {
            log.warn("The {} could not do all; it is tried again: {}", name, trouble.toString());
            log.debug("In full", trouble);
        }
    }

    @Override
    public void start() {
        running = true;
        Thread fresh = new Thread(this::run, name);
        fresh.setDaemon(true);
        fresh.start();
        thread = fresh;
    }

    @Override
    public void stop() {
        running = false;
        Thread busy = thread;
        if (busy != null) {
            busy.interrupt();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
