package ample.ledger.web.guard;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** How often an address may do what costs much: at once as often as in a minute, and then as often as it is given back. */
@Component
public class Limits {

    /** An address that has been quiet for so long has all its tries back. */
    private static final Duration FORGOTTEN = Duration.ofMinutes(10);

    private static final int MOST_ADDRESSES = 50_000;

    private final Map<Act, LoadingCache<String, Bucket>> buckets = new EnumMap<>(Act.class);

    /** What is counted. */
    public enum Act {
        VISIT("Too many new visitors come from your address at once."),
        SIGN_IN("Somebody at your address has tried to sign in too often."),
        UPLOAD("Too many files come from your address at once."),
        WEAVE("Too many weeks are being woven for your address.");

        private final String sentence;

        Act(String sentence) {
            this.sentence = sentence;
        }
    }

    Limits(GuardSettings settings) {
        buckets.put(Act.VISIT, aMinute(settings.visits()));
        buckets.put(Act.SIGN_IN, aMinute(settings.signIns()));
        buckets.put(Act.UPLOAD, aMinute(settings.uploads()));
        buckets.put(Act.WEAVE, aMinute(settings.weaves()));
    }

    private static LoadingCache<String, Bucket> aMinute(int often) {
        return Caffeine.newBuilder()
                .expireAfterAccess(FORGOTTEN)
                .maximumSize(MOST_ADDRESSES)
                .build(address -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(often).refillGreedy(often, Duration.ofMinutes(1)))
                        .build());
    }

    /**
     * Counts one.
     *
     * @throws TooManyException when that is one too many
     */
    public void count(Act act, HttpServletRequest request) {
        ConsumptionProbe probe = Objects.requireNonNull(buckets.get(act))
                .get(ClientAddress.of(request))
                .tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new TooManyException(act.sentence, Duration.ofNanos(probe.getNanosToWaitForRefill()));
        }
    }
}
