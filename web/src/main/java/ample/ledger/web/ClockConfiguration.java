package ample.ledger.web;

import ample.ledger.standin.DemoClock;
import java.time.Clock;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock of the application. Each institution's own zone is applied where its times are shown. */
@Configuration(proxyBeanMethods = false)
class ClockConfiguration {

    /** @param start where the clock begins, as in {@code 2031-06-17T09:41:00Z}; empty for the present */
    @Bean
    Clock clock(@Value("${ledger.clock}") String start) {
        return start.isBlank()
                ? Clock.systemUTC()
                : DemoClock.startingAt(Instant.parse(start), InstantSource.system(), ZoneOffset.UTC);
    }
}
