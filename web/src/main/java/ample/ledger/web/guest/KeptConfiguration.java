package ample.ledger.web.guest;

import ample.ledger.store.Retention;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What the store is told. */
@Configuration(proxyBeanMethods = false)
class KeptConfiguration {

    @Bean
    Retention retention(KeptSettings settings) {
        return settings.retention();
    }
}
