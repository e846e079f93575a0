package ample.ledger.web;

import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;

/**
 * Requests of one visitor to an application that runs. They come at a steady rate, whether or not the ones before are answered,
 * and are timed from when they were due, so that waiting behind a slow one counts.
 */
final class SteadyRequests {

    static final int A_SECOND = 50;
    static final int SECONDS = 20;

    /** A program that has just been started answers faster from round to round, until all it needs is compiled. */
    private static final int MOST_ROUNDS = 8;

    /** So many rounds in a row that are no faster: one alone may be slow for another reason, while much is still to be compiled. */
    private static final int ENOUGH = 2;

    /** Of the least time of the rounds before: what takes longer than this is no faster. */
    private static final double NO_FASTER = 0.9;

    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    HttpClient client() {
        return client;
    }

    /**
     * What a round of requests came to.
     *
     * @param times of the answers in milliseconds, the shortest first
     * @param putOff how many were not answered with the page: who has too much to do puts some off
     */
    record Round(double[] times, long putOff) {

        double percentile(int percent) {
            return times[Math.min(times.length - 1, times.length * percent / 100)];
        }
    }

    /** Asks for these, mixed, round after round, until they are answered no faster any more. A program that is cold may put some off. */
    void warmUp(List<String> addresses) {
        double least = Double.MAX_VALUE;
        int noFaster = 0;
        for (int round = 0; round < MOST_ROUNDS && noFaster < ENOUGH; round++) {
            double late = ask(addresses).percentile(95);
            noFaster = late > least * NO_FASTER ? noFaster + 1 : 0;
            least = Math.min(least, late);
        }
    }

    /** One round of these, mixed; each answer is timed from when its request was due. */
    Round ask(List<String> addresses) {
        List<String> mixed = new ArrayList<>(addresses);
        Collections.shuffle(mixed, new Random(7));
        AtomicLong putOff = new AtomicLong();
        List<CompletableFuture<Double>> answers = new ArrayList<>();
        long start = System.nanoTime();
        for (int i = 0; i < SECONDS * A_SECOND; i++) {
            long due = start + i * TimeUnit.SECONDS.toNanos(1) / A_SECOND;
            while (System.nanoTime() < due) {
                LockSupport.parkNanos(due - System.nanoTime());
            }
            HttpRequest request = HttpRequest.newBuilder(URI.create(mixed.get(i % mixed.size())))
                    .build();
            // The server may close a connection that it has kept open just when it is used again; the clock goes on
            // meanwhile.
            answers.add(client.sendAsync(request, HttpResponse.BodyHandlers.ofByteArray())
                    .exceptionallyCompose(closed -> client.sendAsync(request, HttpResponse.BodyHandlers.ofByteArray()))
                    .thenApply(response -> {
                        putOff.addAndGet(isPutOff(response) ? 1 : 0);
                        return (System.nanoTime() - due) / 1e6;
                    }));
        }
        return new Round(
                answers.stream().mapToDouble(CompletableFuture::join).sorted().toArray(), putOff.get());
    }

    private static boolean isPutOff(HttpResponse<byte[]> response) {
        if (response.statusCode() != 200 && response.statusCode() != 503) {
            throw new IllegalStateException(response.uri() + " answers " + response.statusCode());
        }
        return response.statusCode() == 503;
    }
}
