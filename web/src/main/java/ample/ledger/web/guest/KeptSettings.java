package ample.ledger.web.guest;

import ample.ledger.store.Retention;
import java.time.Duration;
import org.hibernate.validator.constraints.time.DurationMax;
import org.hibernate.validator.constraints.time.DurationMin;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * For how long something is kept of somebody who does not come any more, in whole days.
 *
 * @param guests from their last visit on: as long as browsers keep a cookie, and no longer
 * @param students from when they signed in or changed something last; zero for as long as they like
 */
@ConfigurationProperties("ledger.kept")
@Validated
record KeptSettings(
        @DurationMin(days = 2) @DurationMax(days = 400) @DefaultValue("60d")
        Duration guests,

        @DurationMin(days = 0) @DefaultValue("0d") Duration students) {

    Retention retention() {
        return new Retention(guests, students);
    }
}
