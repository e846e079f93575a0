package ample.ledger.web.operation;

import java.time.Duration;
import org.hibernate.validator.constraints.time.DurationMax;
import org.hibernate.validator.constraints.time.DurationMin;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * How the application is run.
 *
 * @param accessLog whether a line is written for each request, without anything about who asks
 * @param warm for how long the application may answer requests of its own before it is ready; zero for not at all, ten minutes at most
 */
@ConfigurationProperties("ledger.operation")
@Validated
public record OperationSettings(
        @DefaultValue("false") boolean accessLog,

        @DurationMin(seconds = 0) @DurationMax(minutes = 10) @DefaultValue("0s")
        Duration warm) {}
