package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.store.SeatWords;
import ample.ledger.web.term.Places;
import java.time.Clock;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The registrar that the settings name. */
@Configuration(proxyBeanMethods = false)
class RegistrarConfiguration {

    @Bean
    Registrar registrar(RegistrarSettings settings, Clock clock, Places places) {
        return settings.address().isBlank()
                ? new NoRegistrar()
                : new RememberedStudents(
                        new HttpRegistrar(settings, clock),
                        settings.fresh(),
                        () -> places.schedules().all());
    }

    @Bean
    @ConditionalOnWebApplication
    @ConditionalOnProperty("ledger.registrar.address")
    RegistrarNewsListener registrarNews(Registrar registrar, SeatWords words, Clock clock, RegistrarSettings settings) {
        return new RegistrarNewsListener(registrar, words, clock, settings.followClock());
    }
}
