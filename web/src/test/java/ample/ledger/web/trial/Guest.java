package ample.ledger.web.trial;

import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.json.JsonMapper;

/** Somebody who has not signed in, with a browser's cookies. */
final class Guest {

    private static final Duration PATIENCE = Duration.ofSeconds(30);
    private static final String COOKIE = "ledger-guest";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final URI root;
    private final String term;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient browser = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    /** @param term whose week they plan */
    Guest(URI root, String term) {
        this.root = root;
        this.term = term;
    }

    /** Whoever has this secret in the cookie of a guest. */
    Guest(URI root, String term, String secret) {
        this(root, term);
        boolean byTls = root.getScheme().equals("https");
        HttpCookie cookie = new HttpCookie(byTls ? "__Host-" + COOKIE : COOKIE, secret);
        cookie.setPath("/");
        cookie.setVersion(0);
        cookie.setSecure(byTls);
        cookies.getCookieStore().add(root, cookie);
    }

    /** What they are known by. */
    String secret() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().endsWith(COOKIE))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElseThrow();
    }

    /** @throws IOException where the page is not there whole */
    void read(String address) throws IOException, InterruptedException {
        whole(send(HttpRequest.newBuilder(root.resolve(address))));
    }

    /**
     * Adds sections to the week, or removes them.
     *
     * @param how "add" or "remove"
     * @throws IOException where that is not confirmed
     */
    void plan(String how, String section) throws IOException, InterruptedException {
        whole(send(HttpRequest.newBuilder(root.resolve("/" + term + "/week/" + how))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Sec-Fetch-Site", "same-origin")
                .POST(HttpRequest.BodyPublishers.ofString("line=" + section + "&back=/preferences"))));
    }

    /** The sections of their week, as the application gives it in a file. */
    Set<String> planned() throws IOException, InterruptedException {
        HttpResponse<String> answer = send(HttpRequest.newBuilder(root.resolve("/" + term + "/week/plan.json")));
        if (answer.statusCode() != 200) {
            throw new IOException(answer.uri() + " answers " + answer.statusCode());
        }
        Set<String> sections = new TreeSet<>();
        JSON.readTree(answer.body())
                .path("sections")
                .forEach(section -> sections.add(section.path("entry").asString()));
        return sections;
    }

    /** A stream of seats, open until it ends. */
    InputStream stream() throws IOException, InterruptedException {
        HttpResponse<InputStream> answer = browser.send(
                HttpRequest.newBuilder(root.resolve("/" + term + "/seats"))
                        .header("Accept", "text/event-stream")
                        .timeout(PATIENCE)
                        .build(),
                HttpResponse.BodyHandlers.ofInputStream());
        if (answer.statusCode() != 200) {
            throw new IOException(answer.uri() + " answers " + answer.statusCode());
        }
        return answer.body();
    }

    private HttpResponse<String> send(HttpRequest.Builder request) throws IOException, InterruptedException {
        return browser.send(
                request.header("Accept", "text/html, */*").timeout(PATIENCE).build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static void whole(HttpResponse<@Nullable String> answer) throws IOException {
        String page = answer.body();
        if (answer.statusCode() != 200 || page == null || !page.contains("</html>")) {
            throw new IOException(answer.uri() + " answers " + answer.statusCode());
        }
    }
}
