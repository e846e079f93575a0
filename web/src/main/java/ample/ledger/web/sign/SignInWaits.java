package ample.ledger.web.sign;

import ample.ledger.web.guard.TooManyException;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.util.List;

/**
 * Lets who fails to sign in wait before they try again: after three failures a second, then twice as long with each. It is counted for
 * the account and the address, each by itself and both together. One account from anywhere waits half a minute at most, so that nobody can lock
 * somebody else out; one address, and one account from one address, a quarter of an hour.
 *
 * <p>Counted by each instance for itself, until an hour after the last failure.
 */
final class SignInWaits {

    private static final int FREE = 3;
    private static final Duration LONGEST = Duration.ofMinutes(15);
    private static final Duration LONGEST_OF_ACCOUNT = Duration.ofSeconds(30);
    private static final Duration FORGOTTEN = Duration.ofHours(1);
    private static final int MOST = 50_000;

    private final Ticker ticker;
    private final Cache<String, Failures> failures;

    /** @param ticker nanoseconds of a clock that is never set */
    SignInWaits(Ticker ticker) {
        this.ticker = ticker;
        this.failures = Caffeine.newBuilder()
                .ticker(ticker)
                .expireAfterWrite(FORGOTTEN)
                .maximumSize(MOST)
                .build();
    }

    private record Failures(int count, long last) {}

    /** Something that is counted. */
    private record Key(String name, int free, Duration longest) {}

    /** Of one address many people sign in, some of whom mistype. */
    private static List<Key> keys(String account, String address) {
        return List.of(
                new Key("both " + account + " " + address, FREE, LONGEST),
                new Key("account " + account, FREE, LONGEST_OF_ACCOUNT),
                new Key("address " + address, 10 * FREE, LONGEST));
    }

    /** @throws TooManyException while it must be waited */
    void check(String account, String address) {
        for (Key key : keys(account, address)) {
            Failures failed = failures.getIfPresent(key.name());
            if (failed != null && failed.count() >= key.free()) {
                Duration wait =
                        wait(failed.count() - key.free(), key.longest()).minusNanos(ticker.read() - failed.last());
                if (!wait.isNegative() && !wait.isZero()) {
                    throw new TooManyException("Signing in has failed too often.", wait);
                }
            }
        }
    }

    private static Duration wait(int beyond, Duration longest) {
        Duration doubled = Duration.ofSeconds(1L << Math.min(beyond, 20));
        return doubled.compareTo(longest) < 0 ? doubled : longest;
    }

    void failed(String account, String address) {
        for (Key key : keys(account, address)) {
            failures.asMap()
                    .merge(
                            key.name(),
                            new Failures(1, ticker.read()),
                            (before, one) -> new Failures(before.count() + 1, one.last()));
        }
    }

    /** Who has signed in need not wait for their own mistakes any longer. */
    void succeeded(String account, String address) {
        keys(account, address).subList(0, 2).forEach(key -> failures.invalidate(key.name()));
    }
}
