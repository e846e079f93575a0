package ample.ledger.core.registrar;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

class DemoClockTest {

    @Test
    void startsAtItsMomentAndRunsOnFromThere() {
        Instant today = Instant.parse("2026-02-01T10:00:00Z");
        var real = new AtomicReference<>(today);
        Instant start = Instant.parse("2031-06-17T09:41:00Z");

        Clock clock = DemoClock.startingAt(start, real::get, ZoneOffset.UTC);

        assertThat(clock.instant()).isEqualTo(start);
        real.set(today.plus(Duration.ofMinutes(20)));
        assertThat(clock.instant()).isEqualTo(start.plus(Duration.ofMinutes(20)));
        assertThat(clock.withZone(ZoneOffset.ofHours(1)).instant()).isEqualTo(clock.instant());
    }
}
