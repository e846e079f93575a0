package ample.ledger.web.attack;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Collectors;

/** Everybody else, at an address of their own: they browse at a steady rate, with a cookie, whatever is going on. */
final class Others {

    private static final int A_SECOND = 10;

    private static final List<String> PAGES = List.of(
            "/autumn-2031/browse",
            "/autumn-2031/browse?subject=glac",
            "/autumn-2031/browse?at=tidewall",
            "/autumn-2031/browse?level=2&seats=1",
            "/autumn-2031/browse?from=10:00");

    private final HttpClient client = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    private final URI root;

    Others(URI root) {
        this.root = root;
    }

    /**
     * How they fared.
     *
     * @param times of the answers, ascending, in milliseconds from when a request was due
     * @param failed answers that were no page
     */
    record Seen(List<Double> times, int failed) {

        /** @param times in any order; not a number for an answer that was no page */
        static Seen of(List<Double> times) {
            List<Double> good =
                    times.stream().filter(time -> !time.isNaN()).sorted().toList();
            return new Seen(good, times.size() - good.size());
        }

        double median() {
            return percentile(50);
        }

        /** The 95th percentile. */
        double late() {
            return percentile(95);
        }

        private double percentile(int percent) {
            return times.isEmpty() ? Double.NaN : times.get(times.size() * percent / 100);
        }
    }

    /** Begins with something to keep. */
    void arrive() throws IOException, InterruptedException {
        HttpRequest add = HttpRequest.newBuilder(root.resolve("/autumn-2031/week/notes"))
                .header("Sec-Fetch-Site", "same-origin")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("notes=ours&back=/preferences"))
                .build();
        client.send(add, HttpResponse.BodyHandlers.discarding());
    }

    Seen browse(Duration time) {
        List<CompletableFuture<Double>> answers = new ArrayList<>();
        long start = System.nanoTime();
        for (int i = 0; i < time.toSeconds() * A_SECOND; i++) {
            long due = start + i * TimeUnit.SECONDS.toNanos(1) / A_SECOND;
            while (System.nanoTime() < due) {
                LockSupport.parkNanos(due - System.nanoTime());
            }
            HttpRequest request = HttpRequest.newBuilder(root.resolve(PAGES.get(i % PAGES.size())))
                    .timeout(Duration.ofSeconds(20))
                    .build();
            answers.add(client.sendAsync(request, HttpResponse.BodyHandlers.ofString())
                    .handle((response, failure) -> failure == null
                                    && response.statusCode() == 200
                                    && response.body().contains("</html>")
                            ? (System.nanoTime() - due) / 1e6
                            : Double.NaN));
        }
        return Seen.of(answers.stream().map(CompletableFuture::join).toList());
    }

    /** How long a plain weaving takes them, in milliseconds; NaN where none comes within half a minute. */
    double weave(List<String> courses, int variant) throws IOException, InterruptedException {
        long start = System.nanoTime();
        String wanted = courses.stream()
                .map(code -> URLEncoder.encode(code, StandardCharsets.UTF_8))
                .collect(Collectors.joining(","));
        String address = "/autumn-2031/week?weave=1&want=" + wanted + "&closed=mon+" + (8 + variant % 4) + ":00-"
                + (13 + variant) + ":00";
        while (System.nanoTime() - start < TimeUnit.SECONDS.toNanos(30)) {
            HttpResponse<String> page = client.send(
                    HttpRequest.newBuilder(root.resolve(address)).build(), HttpResponse.BodyHandlers.ofString());
            if (page.statusCode() == 200 && !page.body().contains("data-again")) {
                return (System.nanoTime() - start) / 1e6;
            }
            Thread.sleep(100);
        }
        return Double.NaN;
    }
}
