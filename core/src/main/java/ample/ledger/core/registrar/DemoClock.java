package ample.ledger.core.registrar;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneId;
import java.util.concurrent.atomic.AtomicReference;

/** A clock that starts at a chosen moment, runs on from there, and can be moved. */
public final class DemoClock extends Clock {

    private final InstantSource source;
    private final ZoneId zone;

    /** How far this clock is ahead of its source; one for the clock in all zones. */
    private final AtomicReference<Duration> ahead;

    private DemoClock(InstantSource source, AtomicReference<Duration> ahead, ZoneId zone) {
        this.source = source;
        this.ahead = ahead;
        this.zone = zone;
    }

    /** A clock that shows {@code start} now and runs as {@code source} does. */
    public static DemoClock startingAt(Instant start, InstantSource source, ZoneId zone) {
        return new DemoClock(source, new AtomicReference<>(Duration.between(source.instant(), start)), zone);
    }

    /** Shows {@code moment} now, in every zone, and runs on from there. */
    public void moveTo(Instant moment) {
        ahead.set(Duration.between(source.instant(), moment));
    }

    @Override
    public ZoneId getZone() {
        return zone;
    }

    @Override
    public Clock withZone(ZoneId other) {
        return new DemoClock(source, ahead, other);
    }

    @Override
    public Instant instant() {
        return source.instant().plus(ahead.get());
    }
}
