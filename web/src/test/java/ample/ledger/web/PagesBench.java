package ample.ledger.web;

import ample.ledger.core.fixtures.StolenTime;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.regex.Pattern;

/**
 * Measures how soon pages are there at the server's side, of an application that runs: {@code ./ledger bench pages}. Each
 * page is asked for until it is answered no faster than before, and then measured.
 */
public final class PagesBench {

    static final List<String> BRIEFS = List.of(
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

    /** In the second year of Glaciology, with 46 credits. */
    static final String STUDENT = "maris";

    /** So many sections are in it. */
    private static final int SECTIONS = 8;

    /** With more of the processors' working time for others, in percent, it is measured again. */
    private static final double DISTURBED = 5;

    private static final int MOST_TRIES = 6;

    private final SteadyRequests requests = new SteadyRequests();

    private final String words;

    private PagesBench(String words) {
        this.words = words;
    }

    /** @param arguments where the application answers, and words of the pages that are measured; without them all are */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        new PagesBench(arguments.length > 1 ? arguments[1] : "").measure(arguments[0]);
    }

    private void measure(String root) throws IOException, InterruptedException {
        String term = root + "/autumn-2031/";
        List<String> sheets = sheets(requests.client(), root);
        System.out.printf(
                "%n%,d sections posted; %d requests a second, %d s each%n%n",
                sheets.size(), SteadyRequests.A_SECOND, SteadyRequests.SECONDS);
        System.out.println("| page | median, ms | 95th percentile, ms | longest, ms | put off | meanwhile |");
        System.out.println("|---|---|---|---|---|---|");
        pages("a guest", term, sheets);
        SignIn.by(requests.client(), URI.create(root), STUDENT, "/");
        pages("a student", term, sheets);
    }

    /** The addresses of all sheets of the demo's term. */
    static List<String> sheets(HttpClient client, String root) throws IOException, InterruptedException {
        HttpRequest list = HttpRequest.newBuilder(URI.create(root + "/lists/v1/autumn-2031/sections.csv"))
                .build();
        return Pattern.compile("(?m)^[0-9]+")
                .matcher(client.send(list, HttpResponse.BodyHandlers.ofString()).body())
                .results()
                .map(line -> root + "/autumn-2031/section/" + line.group())
                .toList();
    }

    private void pages(String who, String term, List<String> sheets) throws IOException, InterruptedException {
        print("sheet, " + who, sheets);
        print(
                "Browse, first view, " + who,
                BRIEFS.stream().map(brief -> term + "browse" + brief).toList());
        List<String> kept = new ArrayList<>(sheets);
        Collections.shuffle(kept, new Random(8));
        List<String> entries = kept.stream()
                .limit(SECTIONS)
                .map(sheet -> sheet.replaceAll(".*/", ""))
                .toList();
        post(term + "week/add", "line=" + String.join(",", entries));
        print(
                "My week, of " + SECTIONS + " sections, " + who,
                entries.stream()
                        .flatMap(entry -> WEEKS.stream().map(week -> term + "week" + week.formatted(entry)))
                        .toList());
        print("Readiness, of the same sections, " + who, List.of(term + "ready"));
    }

    private void print(String page, List<String> addresses) {
        if (!page.contains(words)) {
            return;
        }
        requests.warmUp(addresses);
        for (int tries = 1; ; tries++) {
            try (StolenTime stolen = new StolenTime()) {
                SteadyRequests.Round round = requests.ask(addresses);
                boolean disturbed = stolen.percent() > DISTURBED;
                if (!disturbed || tries == MOST_TRIES) {
                    System.out.println(String.format(
                            Locale.ENGLISH,
                            "| %s | %.1f | %.1f | %.1f | %d | %s |",
                            page,
                            round.percentile(50),
                            round.percentile(95),
                            round.percentile(100),
                            round.putOff(),
                            stolen.inWords()));
                    return;
                }
            }
        }
    }

    private void post(String address, String form) throws IOException, InterruptedException {
        requests.client()
                .send(
                        HttpRequest.newBuilder(URI.create(address))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .header("Sec-Fetch-Site", "same-origin")
                                .POST(HttpRequest.BodyPublishers.ofString(form))
                                .build(),
                        HttpResponse.BodyHandlers.discarding());
    }
}
