package ample.ledger.standin;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneId;

/** A clock that starts at a chosen moment and runs on from there. Each application that starts begins at that moment. */
public final class DemoClock extends Clock {

    private final InstantSource source;
    private final Duration ahead;
    private final ZoneId zone;

    private DemoClock(InstantSource source, Duration ahead, ZoneId zone) {
        this.source = source;
        this.ahead = ahead;
        this.zone = zone;
    }

    /** A clock that shows {@code start} now and runs as {@code source} does. */
    public static DemoClock startingAt(Instant start, InstantSource source, ZoneId zone) {
        return new DemoClock(source, Duration.between(source.instant(), start), zone);
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
        return source.instant().plus(ahead);
    }
}
