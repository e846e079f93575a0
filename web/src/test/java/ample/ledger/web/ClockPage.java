package ample.ledger.web;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The page on which somebody moves the clock of the demo's institution on. */
public final class ClockPage {

    private ClockPage() {}

    /**
     * Moves it on.
     *
     * @param root where the institution answers, whatever the path
     * @param moment on its wall clock: "2031-06-18T08:00"
     */
    public static void moveTo(URI root, String moment) throws IOException, InterruptedException {
        URI page = root.resolve("/clock");
        HttpClient browser =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        String form = browser.send(HttpRequest.newBuilder(page).build(), HttpResponse.BodyHandlers.ofString())
                .body();
        Matcher token = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]*)\"").matcher(form);
        if (!token.find()) {
            throw new IllegalStateException("The page of the clock has no form");
        }
        HttpRequest moving = HttpRequest.newBuilder(page)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(
                        "to=" + moment + "&_csrf=" + URLEncoder.encode(token.group(1), StandardCharsets.UTF_8)))
                .build();
        if (browser.send(moving, HttpResponse.BodyHandlers.discarding()).statusCode() != 302) {
            throw new IllegalStateException("The clock does not move to " + moment);
        }
    }
}
