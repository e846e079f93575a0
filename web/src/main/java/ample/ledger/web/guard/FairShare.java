package ample.ledger.web.guard;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets one address have only its share of the processors: some of its requests are worked on at once, some wait, and more are told to
 * come again. Without it, who sends a hundred requests at a time leaves everybody else a hundredth. While requests come from other addresses
 * too, the share is half as large.
 */
final class FairShare extends OncePerRequestFilter {

    private static final Duration LONGEST_WAIT = Duration.ofSeconds(10);
    private static final Duration OTHERS_ARE_ABOUT_FOR = Duration.ofSeconds(1);
    private static final String COME_AGAIN = "1";

    /** Of all addresses: each that waits keeps a thread, and there are some two hundred. */
    private static final int MOST_WAITING = 100;

    private final int atOnce;
    private final int waiting;
    private final Map<String, Share> shares = new ConcurrentHashMap<>();
    private final Semaphore waitingPlaces = new Semaphore(MOST_WAITING);
    private final LongSupplier nanos;

    /** Who asked last, and who asked last before them. */
    private volatile Asked latest;

    /**
     * @param address who asked
     * @param at when, as {@link #nanos} counts
     * @param otherAt when another address last did
     */
    private record Asked(String address, long at, long otherAt) {}

    /**
     * @param atOnce how many requests of one address are worked on at once
     * @param waiting how many more may wait for that
     */
    FairShare(int atOnce, int waiting) {
        this(atOnce, waiting, System::nanoTime);
    }

    FairShare(int atOnce, int waiting, LongSupplier nanos) {
        this.atOnce = atOnce;
        this.waiting = waiting;
        this.nanos = nanos;
        long longAgo = nanos.getAsLong() - OTHERS_ARE_ABOUT_FOR.toNanos();
        latest = new Asked("", longAgo, longAgo);
    }

    /**
     * @param half of the places, for while others are about
     * @param present how many requests of the address are here, at work and waiting
     */
    private record Share(Semaphore places, Semaphore half, int present) {

        Share with(int more) {
            return new Share(places, half, present + more);
        }
    }

    /** Files are sent in no time, and each page has some. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().startsWith("/assets/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String address = ClientAddress.of(request);
        Share share = shares.compute(
                address,
                (same, known) -> known == null
                        ? new Share(new Semaphore(atOnce, true), new Semaphore(Math.max(1, atOnce / 2), true), 1)
                        : known.with(1));
        try {
            answer(share, othersAreAbout(address) ? share.half() : share.places(), request, response, chain);
        } finally {
            shares.computeIfPresent(address, (same, known) -> known.present() == 1 ? null : known.with(-1));
        }
        if (response.getStatus() == HttpStatus.TOO_MANY_REQUESTS.value()) {
            LateAnswer.pause();
        }
    }

    /** Two that ask at the same moment may miss each other once, and do no harm. */
    private boolean othersAreAbout(String address) {
        long now = nanos.getAsLong();
        Asked before = latest;
        long otherAt = before.address().equals(address) ? before.otherAt() : before.at();
        latest = new Asked(address, now, otherAt);
        return now - otherAt < OTHERS_ARE_ABOUT_FOR.toNanos();
    }

    private void answer(
            Share share, Semaphore places, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (share.present() > atOnce + waiting || !await(places)) {
            // Who asks too much gets the page that costs least.
            response.setHeader(HttpHeaders.RETRY_AFTER, COME_AGAIN);
            BarePage.write(response, HttpStatus.TOO_MANY_REQUESTS.value());
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            places.release();
        }
    }

    private boolean await(Semaphore places) {
        if (places.tryAcquire()) {
            return true;
        }
        if (!waitingPlaces.tryAcquire()) {
            return false;
        }
        try {
            return places.tryAcquire(LONGEST_WAIT.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        } finally {
            waitingPlaces.release();
        }
    }
}
