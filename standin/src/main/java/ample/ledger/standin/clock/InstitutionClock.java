package ample.ledger.standin.clock;

import ample.ledger.core.registrar.DemoClock;
import ample.ledger.standin.StandinSettings;
import java.time.Clock;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** The institution's clock. It runs while the program runs, goes on where it stopped, and can be moved on. */
@Component
public class InstitutionClock implements DisposableBean {

    private final DemoClock clock;
    private final ClockMapper mapper;
    private final ApplicationEventPublisher events;

    InstitutionClock(StandinSettings settings, ClockMapper mapper, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.events = events;
        Instant shows = mapper.shows();
        this.clock =
                DemoClock.startingAt(shows == null ? settings.clock() : shows, InstantSource.system(), ZoneOffset.UTC);
    }

    /** The clock has been moved: whoever follows it has to hear of it. */
    public record Moved() {}

    public Instant now() {
        return clock.instant();
    }

    /** As whoever needs a clock takes it. */
    public Clock clock() {
        return clock;
    }

    /**
     * Moves the clock on to {@code moment}.
     *
     * @throws IllegalArgumentException for a moment that is over
     */
    public void moveTo(Instant moment) {
        if (moment.isBefore(now())) {
            throw new IllegalArgumentException("The clock moves on, not back: what has happened stays so.");
        }
        clock.moveTo(moment);
        keep();
        events.publishEvent(new Moved());
    }

    @Scheduled(fixedRate = 5_000)
    void keep() {
        mapper.keep(now());
    }

    @Override
    public void destroy() {
        keep();
    }
}
