package ample.ledger.web.registrar;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How the institution's registrar is asked.
 *
 * @param address of its interface, up to and with the version: {@code http://127.0.0.1:8081/registrar/v1}; empty where there is none
 * @param key that it asks for
 * @param patience how long a page waits for it
 * @param fresh how long an answer about a student is used again
 * @param followClock whether its clock is this application's too; for the demo
 */
@ConfigurationProperties("ledger.registrar")
record RegistrarSettings(
        @DefaultValue("") String address,
        @DefaultValue("") String key,
        @DefaultValue("1s") Duration patience,
        @DefaultValue("2s") Duration fresh,
        @DefaultValue("false") boolean followClock) {}
