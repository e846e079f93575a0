package ample.ledger.web;

import ample.ledger.core.registrar.DemoClock;
import java.time.Clock;
import java.time.InstantSource;
import java.time.ZoneOffset;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one clock of the application. Each institution's own zone is applied where its times are shown. */
@Configuration(proxyBeanMethods = false)
class ClockConfiguration {

    @Bean
    Clock clock(LedgerSettings settings) {
        return settings.clock() == null
                ? Clock.systemUTC()
                : DemoClock.startingAt(settings.clock(), InstantSource.system(), ZoneOffset.UTC);
    }
}
