package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import ample.ledger.store.SeatWords;
import ample.ledger.store.Telling;
import ample.ledger.web.term.Places;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;

/** The registrar that the settings name. */
@Configuration(proxyBeanMethods = false)
class RegistrarConfiguration {

    /** Asked each time, by what has to know what is new. */
    @Bean
    Registrar freshRegistrar(RegistrarSettings settings, Clock clock) {
        return settings.address().isBlank() ? new NoRegistrar() : new HttpRegistrar(settings, clock);
    }

    @Bean
    @Primary
    Registrar registrar(@Qualifier("freshRegistrar") Registrar fresh, RegistrarSettings settings, Places places) {
        return settings.address().isBlank()
                ? fresh
                : new RememberedStudents(
                        fresh, settings.fresh(), () -> places.schedules().all());
    }

    @Bean
    @ConditionalOnWebApplication
    @ConditionalOnProperty("ledger.registrar.address")
    RegistrarNewsListener registrarNews(
            Registrar registrar, SeatWords words, Telling telling, Clock clock, RegistrarSettings settings) {
        return new RegistrarNewsListener(registrar, words, telling, clock, settings.followClock());
    }
}
