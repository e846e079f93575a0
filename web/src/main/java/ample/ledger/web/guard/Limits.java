package ample.ledger.web.guard;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * How often an address, and an account, may do what costs much: at once as often as in a minute, and then as often as it is
 * given back. Who has not signed in counts by the address alone.
 */
@Component
public class Limits {

    /** Who has been quiet for so long has all tries back. */
    private static final Duration FORGOTTEN = Duration.ofMinutes(10);

    private static final int MOST_REMEMBERED = 50_000;

    private final Map<Act, LoadingCache<String, Bucket>> byAddress = new EnumMap<>(Act.class);
    private final Map<Act, LoadingCache<String, Bucket>> byAccount = new EnumMap<>(Act.class);

    /** What is counted. */
    public enum Act {
        VISIT("Too many new visitors come from %s at once."),
        SIGN_IN("Somebody at %s has tried to sign in too often."),
        UPLOAD("Too many files come from %s at once."),
        WEAVE("Too many weeks are being woven for %s."),
        CHANGE("Too many changes come from %s at once.");

        private final String sentence;

        Act(String sentence) {
            this.sentence = sentence;
        }
    }

    Limits(GuardSettings settings) {
        byAddress.put(Act.VISIT, aMinute(settings.visits()));
        byAddress.put(Act.SIGN_IN, aMinute(settings.signIns()));
        byAddress.put(Act.UPLOAD, aMinute(settings.uploads()));
        byAddress.put(Act.WEAVE, aMinute(settings.weaves()));
        byAddress.put(Act.CHANGE, aMinute(settings.changes()));
        byAccount.put(Act.UPLOAD, aMinute(settings.account().uploads()));
        byAccount.put(Act.WEAVE, aMinute(settings.account().weaves()));
        byAccount.put(Act.CHANGE, aMinute(settings.account().changes()));
    }

    private static LoadingCache<String, Bucket> aMinute(int often) {
        return Caffeine.newBuilder()
                .expireAfterAccess(FORGOTTEN)
                .maximumSize(MOST_REMEMBERED)
                .build(who -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(often).refillGreedy(often, Duration.ofMinutes(1)))
                        .build());
    }

    /**
     * Counts one, of the account first: one student who asks too often does not use up what others at the address may.
     *
     * @throws TooManyException when that is one too many
     */
    public void count(Act act, HttpServletRequest request) {
        String account = request.getRemoteUser();
        if (account != null) {
            count(act, byAccount.get(act), "you", account);
        }
        count(act, byAddress.get(act), "your address", ClientAddress.of(request));
    }

    private static void count(Act act, @Nullable LoadingCache<String, Bucket> buckets, String what, String who) {
        if (buckets == null) {
            return;
        }
        ConsumptionProbe probe = buckets.get(who).tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new TooManyException(act.sentence.formatted(what), Duration.ofNanos(probe.getNanosToWaitForRefill()));
        }
    }
}
