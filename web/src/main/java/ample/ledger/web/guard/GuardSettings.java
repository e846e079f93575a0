package ample.ledger.web.guard;

import java.time.Duration;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * How much one visitor, or one address, may ask for. Many students can share an address, so that what an address may do in a minute
 * is what a full classroom does.
 *
 * @param hosts names under which the application is reached, without a port; empty for any
 * @param atOnce requests that are worked on at once, by address; 0 for as many as there are processors, and at least 2;
 *     half of them while other addresses ask too
 * @param waiting requests that may wait for that, by address
 * @param visits new guests of whom something is kept, by address and minute
 * @param signIns attempts to sign in, by address and minute
 * @param uploads files sent by visitors, by address and minute
 * @param weaves weavings begun, by address and minute
 * @param streams streams of seats that are open at once, by address
 * @param allStreams the same in all: pages that ask for more are told to ask again later
 * @param bodies requests with a body that are being sent at once, by address
 * @param bodyTime in which the whole of a visitor's request must have come
 * @param wholeLists lists on one page that are written at once, in all; 0 for half as many as there are processors
 */
@ConfigurationProperties("ledger.limits")
public record GuardSettings(
        @DefaultValue({}) List<String> hosts,
        @DefaultValue("0") int atOnce,
        @DefaultValue("40") int waiting,
        @DefaultValue("60") int visits,
        @DefaultValue("20") int signIns,
        @DefaultValue("30") int uploads,
        @DefaultValue("60") int weaves,
        @DefaultValue("200") int streams,
        @DefaultValue("12000") int allStreams,
        @DefaultValue("32") int bodies,
        @DefaultValue("20s") Duration bodyTime,
        @DefaultValue("0") int wholeLists) {

    public GuardSettings {
        wholeLists =
                wholeLists > 0 ? wholeLists : Math.max(1, Runtime.getRuntime().availableProcessors() / 2);
        atOnce = atOnce > 0 ? atOnce : Math.max(2, Runtime.getRuntime().availableProcessors());
    }
}
