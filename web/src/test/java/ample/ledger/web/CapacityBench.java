package ample.ledger.web;

import ample.ledger.core.fixtures.StolenTime;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Measures how many pages a second an instance answers when somebody always waits for one, and what memory it has in use: {@code ./ledger bench capacity}. A
 * third of the pages are Browse, with briefs of all kinds; the others are sheets.
 */
public final class CapacityBench {

    private static final int AT_ONCE = 8;
    private static final long ROUND_NANOS = TimeUnit.SECONDS.toNanos(15);
    private static final int MOST_ROUNDS = 12;

    /** Of the best round before: with less it has become no faster. */
    private static final double FASTER = 1.05;

    private static final int ENOUGH = 2;

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private final AtomicInteger next = new AtomicInteger();
    private final List<String> pages = new ArrayList<>();

    private CapacityBench() {}

    /** @param arguments where the application answers, and its process */
    public static void main(String[] arguments) throws Exception {
        new CapacityBench().measure(arguments[0], new ServerProcess(arguments[1]));
    }

    private void measure(String root, ServerProcess server) throws Exception {
        List<String> sheets = new ArrayList<>(PagesBench.sheets(client, root));
        Collections.shuffle(sheets, new Random(7));
        for (int i = 0; i < sheets.size(); i++) {
            pages.add(sheets.get(i));
            if (i % 2 == 1) {
                pages.add(root + "/autumn-2031/browse" + PagesBench.BRIEFS.get(i / 2 % PagesBench.BRIEFS.size()));
            }
        }
        List<Double> best = List.of();
        String meanwhile = "";
        ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE);
        for (int round = 0, without = 0; round < MOST_ROUNDS && without < ENOUGH; round++) {
            try (StolenTime stolen = new StolenTime()) {
                List<Double> times = round(threads);
                without = times.size() > best.size() * FASTER ? 0 : without + 1;
                if (times.size() > best.size()) {
                    best = times;
                    meanwhile = stolen.inWords();
                }
            }
        }
        threads.shutdown();
        System.out.printf(
                Locale.ENGLISH,
                "| %,d | %.0f | %.0f | %,d | %s |%n",
                sheets.size(),
                best.size() / (double) TimeUnit.NANOSECONDS.toSeconds(ROUND_NANOS),
                best.get(best.size() * 95 / 100),
                server.heap() / 1024,
                meanwhile);
    }

    /** How long each page took, in milliseconds, the shortest first. */
    private List<Double> round(ExecutorService threads) throws Exception {
        long end = System.nanoTime() + ROUND_NANOS;
        Callable<List<Double>> asking = () -> ask(end);
        List<Double> times = new ArrayList<>();
        for (Future<List<Double>> one : threads.invokeAll(Collections.nCopies(AT_ONCE, asking))) {
            times.addAll(one.get());
        }
        Collections.sort(times);
        return times;
    }

    private List<Double> ask(long end) throws IOException, InterruptedException {
        List<Double> times = new ArrayList<>();
        while (System.nanoTime() < end) {
            String page = pages.get(next.getAndIncrement() % pages.size());
            long begun = System.nanoTime();
            int status = client.send(
                            HttpRequest.newBuilder(URI.create(page)).build(), HttpResponse.BodyHandlers.discarding())
                    .statusCode();
            if (status != 200) {
                throw new IllegalStateException(page + " answers " + status);
            }
            times.add((System.nanoTime() - begun) / 1e6);
        }
        return times;
    }
}
