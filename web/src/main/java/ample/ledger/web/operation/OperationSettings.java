package ample.ledger.web.operation;

import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How the application is run.
 *
 * @param accessLog whether a line is written for each request, without anything about who asks
 * @param warm for how long the application may answer requests of its own before it is ready; zero for not at all
 */
@ConfigurationProperties("ledger.operation")
public record OperationSettings(
        @DefaultValue("false") boolean accessLog,
        @DefaultValue("0s") Duration warm) {

    /** @throws IllegalArgumentException for a time below zero or above ten minutes */
    public OperationSettings {
        if (warm.isNegative() || warm.compareTo(Duration.ofMinutes(10)) > 0) {
            throw new IllegalArgumentException(
                    "ledger.operation.warm is " + warm + "; it is from 0s to 10m, as in 60s.");
        }
    }
}
