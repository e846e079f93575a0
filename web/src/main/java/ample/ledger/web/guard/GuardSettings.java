package ample.ledger.web.guard;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import java.time.Duration;
import java.util.List;
import org.hibernate.validator.constraints.time.DurationMin;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.validation.annotation.Validated;

/**
 * How much one address, or one account, may ask for. Many students can share an address, so that what an address may do in a minute
 * is what a full classroom does; an account is one person, from whatever addresses.
 *
 * @param hosts names under which the application is reached, without a port; empty for any
 * @param atOnce requests that are worked on at once, by address; 0 for as many as there are processors, and at least 2;
 *     half of them while other addresses ask too
 * @param waiting requests that may wait for that, by address
 * @param visits new guests of whom something is kept, by address and minute
 * @param signIns attempts to sign in, by address and minute
 * @param uploads files sent by visitors, by address and minute
 * @param weaves weavings begun, by address and minute
 * @param changes of what is kept, such as plans, by address and minute
 * @param streams streams of seats that are open at once, by address
 * @param allStreams the same in all: pages that ask for more are told to ask again later
 * @param bodies requests with a body that are being sent at once, by address
 * @param bodyTime in which the whole of a visitor's request must have come
 * @param wholeLists lists on one page that are written at once, in all; 0 for half as many as there are processors
 * @param account what somebody may ask for who has signed in, beside what their address may
 */
@ConfigurationProperties("ledger.limits")
@Validated
public record GuardSettings(
        @DefaultValue({}) List<String> hosts,
        @Min(0) @DefaultValue("0") int atOnce,
        @Min(0) @DefaultValue("40") int waiting,
        @Min(1) @DefaultValue("60") int visits,
        @Min(1) @DefaultValue("20") int signIns,
        @Min(1) @DefaultValue("30") int uploads,
        @Min(1) @DefaultValue("60") int weaves,
        @Min(1) @DefaultValue("1200") int changes,
        @Min(1) @DefaultValue("200") int streams,
        @Min(1) @DefaultValue("12000") int allStreams,
        @Min(1) @DefaultValue("32") int bodies,
        @DurationMin(seconds = 1) @DefaultValue("20s") Duration bodyTime,
        @Min(0) @DefaultValue("0") int wholeLists,
        @Valid @DefaultValue Account account) {

    /**
     * How much one account may ask for.
     *
     * @param uploads files sent in a minute
     * @param weaves weavings begun in a minute
     * @param changes of what is kept, such as plans, in a minute
     * @param streams of seats that are open at once
     */
    public record Account(
            @Min(1) @DefaultValue("10") int uploads,
            @Min(1) @DefaultValue("30") int weaves,
            @Min(1) @DefaultValue("120") int changes,
            @Min(1) @DefaultValue("30") int streams) {}

    public GuardSettings {
        wholeLists =
                wholeLists > 0 ? wholeLists : Math.max(1, Runtime.getRuntime().availableProcessors() / 2);
        atOnce = atOnce > 0 ? atOnce : Math.max(2, Runtime.getRuntime().availableProcessors());
    }
}
