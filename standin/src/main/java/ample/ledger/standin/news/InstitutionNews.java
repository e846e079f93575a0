package ample.ledger.standin.news;

import ample.ledger.core.registrar.RegistrarNews;
import ample.ledger.standin.clock.InstitutionClock;
import java.time.Duration;
import java.util.List;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What has changed at the institution, in the order in which it did. Whoever asks can wait until something does. */
@Component
public class InstitutionNews {

    private final SeatsMapper mapper;
    private final InstitutionClock clock;

    private final Object changed = new Object();

    /** How often those who wait were told to look again. */
    private long tellings;

    private boolean closed;

    InstitutionNews(SeatsMapper mapper, InstitutionClock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * What came after a change.
     *
     * @param known the number of that change; 0 for everything, and so is a number that was never given
     * @param patience how long to wait for something
     */
    public RegistrarNews after(long known, Duration patience) throws InterruptedException {
        long seen = tellings();
        long last = mapper.last();
        long after = known > last ? 0 : known;
        if (last == after) {
            await(seen, patience);
            last = mapper.last();
        }
        return last == after
                ? new RegistrarNews(after, clock.now(), List.of(), List.of())
                : new RegistrarNews(
                        last,
                        clock.now(),
                        mapper.seats(after, last).stream()
                                .map(SeatsMapper.Row::seats)
                                .toList(),
                        mapper.students(after, last));
    }

    private long tellings() {
        synchronized (changed) {
            return tellings;
        }
    }

    private void await(long seen, Duration patience) throws InterruptedException {
        long end = System.nanoTime() + patience.toNanos();
        synchronized (changed) {
            long left = patience.toMillis();
            while (tellings == seen && !closed && left > 0) {
                changed.wait(left);
                left = (end - System.nanoTime()) / 1_000_000;
            }
        }
    }

    /** Whoever waits for something to change looks again. */
    public void tell() {
        synchronized (changed) {
            tellings++;
            changed.notifyAll();
        }
    }

    /** Whoever waits is answered with the moment that the clock shows now. */
    @EventListener(InstitutionClock.Moved.class)
    void clockMoved() {
        tell();
    }

    @EventListener(ContextClosedEvent.class)
    void close() {
        synchronized (changed) {
            closed = true;
            changed.notifyAll();
        }
    }
}
