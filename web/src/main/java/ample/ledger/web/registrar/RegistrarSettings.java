package ample.ledger.web.registrar;

import jakarta.validation.constraints.Pattern;
import java.time.Duration;
import org.hibernate.validator.constraints.time.DurationMin;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

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
@Validated
record RegistrarSettings(
        @Pattern(
                regexp = "|https?://.*[^/]",
                message = "an address begins with https:// or http://, and does not end with a slash")
        @DefaultValue("")
        String address,

        @DefaultValue("") String key,
        @DurationMin(millis = 1) @DefaultValue("1s") Duration patience,
        @DurationMin(millis = 0) @DefaultValue("2s") Duration fresh,
        @DefaultValue("false") boolean followClock) {}
