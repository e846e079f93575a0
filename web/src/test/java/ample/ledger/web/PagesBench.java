package ample.ledger.web;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Pattern;

/**
 * Measures how soon pages are there at the server's side, of an application that runs: {@code ./ledger bench pages}. Requests
 * come at a steady rate, whether or not the ones before are answered, and are timed from when they were due, so that
 * waiting behind a slow one counts.
 */
public final class PagesBench {

    private static final int A_SECOND = 50;
    private static final int WARM_UP_SECONDS = 20;
    private static final int SECONDS = 20;

    private static final List<String> BRIEFS = List.of(
            "",
            "?subject=glac",
            "?at=tidewall",
            "?at=tidewall&days=only:mon,wed,thu&from=09:00&to=15:30",
            "?days=only:tue,thu&toward=field-practice",
            "?level=2&seats=1",
            "?number=200-299",
            "?from=10:00");

    /** Of My week: all of term, one week of it, a section selected, another one. */
    private static final List<String> WEEKS = List.of("", "?week=2031-09-15", "?at=%s", "?week=2031-12-15&at=%s");

    /** So many sections are in it. */
    private static final int SECTIONS = 8;

    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();

    private PagesBench() {}

    /** @param arguments where the application answers */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        new PagesBench().measure(arguments[0]);
    }

    private void measure(String root) throws IOException, InterruptedException {
        String term = root + "/autumn-2031/";
        String list = client.send(
                        request(root + "/lists/v1/autumn-2031/sections.csv"), HttpResponse.BodyHandlers.ofString())
                .body();
        List<String> sheets = Pattern.compile("(?m)^[0-9]+")
                .matcher(list)
                .results()
                .map(line -> term + "section/" + line.group())
                .toList();
        System.out.printf(
                "%n%,d sections posted; %d requests a second, %d s each%n%n", sheets.size(), A_SECOND, SECONDS);
        System.out.println("| page | median, ms | 95th percentile, ms | longest, ms | meanwhile |");
        System.out.println("|---|---|---|---|---|");
        print("sheet", sheets);
        print(
                "Browse, first view",
                BRIEFS.stream().map(brief -> term + "browse" + brief).toList());
        List<String> kept = new ArrayList<>(sheets);
        Collections.shuffle(kept, new Random(8));
        List<String> entries = kept.stream()
                .limit(SECTIONS)
                .map(sheet -> sheet.replaceAll(".*/", ""))
                .toList();
        keep(term + "week/add", String.join(",", entries));
        print(
                "My week, of " + SECTIONS + " sections",
                entries.stream()
                        .flatMap(entry -> WEEKS.stream().map(week -> term + "week" + week.formatted(entry)))
                        .toList());
    }

    private void print(String page, List<String> addresses) {
        ask(addresses, WARM_UP_SECONDS);
        StolenTime stolen = new StolenTime();
        double[] times = ask(addresses, SECONDS);
        Arrays.sort(times);
        System.out.println(String.format(
                Locale.ENGLISH,
                "| %s | %.1f | %.1f | %.1f | %s |",
                page,
                times[times.length / 2],
                times[times.length * 95 / 100],
                times[times.length - 1],
                stolen.inWords()));
    }

    /** The time of each answer, in milliseconds from when it was due. */
    private double[] ask(List<String> addresses, int seconds) {
        List<String> mixed = new ArrayList<>(addresses);
        Collections.shuffle(mixed, new Random(7));
        List<CompletableFuture<Double>> answers = new ArrayList<>();
        long start = System.nanoTime();
        for (int i = 0; i < seconds * A_SECOND; i++) {
            long due = start + i * TimeUnit.SECONDS.toNanos(1) / A_SECOND;
            while (System.nanoTime() < due) {
                LockSupport.parkNanos(due - System.nanoTime());
            }
            answers.add(client.sendAsync(request(mixed.get(i % mixed.size())), HttpResponse.BodyHandlers.ofByteArray())
                    .thenApply(response -> timeOf(response, due)));
        }
        return answers.stream().mapToDouble(CompletableFuture::join).toArray();
    }

    private static double timeOf(HttpResponse<byte[]> response, long due) {
        if (response.statusCode() != 200) {
            throw new IllegalStateException(response.uri() + " answers " + response.statusCode());
        }
        return (System.nanoTime() - due) / 1e6;
    }

    private void keep(String address, String entries) throws IOException, InterruptedException {
        client.send(
                HttpRequest.newBuilder(URI.create(address))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .POST(HttpRequest.BodyPublishers.ofString("line=" + entries))
                        .build(),
                HttpResponse.BodyHandlers.discarding());
    }

    private static HttpRequest request(String address) {
        return HttpRequest.newBuilder(URI.create(address)).build();
    }
}
