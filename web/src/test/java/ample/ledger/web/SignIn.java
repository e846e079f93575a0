package ample.ledger.web;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Signing in at the demo's institution, as people do. */
public final class SignIn {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]*)\"");
    private static final int MOST_STEPS = 8;

    private SignIn() {}

    /** In a browser; the page is that to which signing in leads back. */
    static void in(Page page, URI root, String name) {
        page.navigate(root.resolve("/sign-in/begin/institution").toString());
        page.getByLabel("Name").fill(name);
        page.getByLabel("Password").fill(Institution.PASSWORD);
        page.keyboard().press("Enter");
        page.waitForURL(address -> address.startsWith(root.toString()));
    }

    /**
     * Without a browser; {@code client} keeps the cookies.
     *
     * @param back where to go afterwards
     * @return what the application answers in the end
     */
    public static HttpResponse<String> by(HttpClient client, URI root, String name, String back)
            throws IOException, InterruptedException {
        HttpResponse<String> form = upTo(
                client,
                get(client, root.resolve("/sign-in/begin/institution?back=" + encode(back))),
                answer -> ends(answer, root) || answer.statusCode() != 302);
        if (ends(form, root)) {
            // Who is signed in there already is not asked again.
            return form;
        }
        Matcher token = TOKEN.matcher(form.body());
        if (!token.find()) {
            throw new IllegalStateException("No form to sign in: " + form.body());
        }
        HttpRequest filled = HttpRequest.newBuilder(form.uri())
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("username=" + encode(name) + "&password="
                        + encode(Institution.PASSWORD) + "&_csrf=" + encode(token.group(1))))
                .build();
        return upTo(client, client.send(filled, HttpResponse.BodyHandlers.ofString()), answer -> ends(answer, root));
    }

    /** A client that follows by itself stands at the page that signing in leads back to. */
    private static boolean ends(HttpResponse<String> answer, URI root) {
        boolean back = answer.statusCode() == 200 && answer.uri().getAuthority().equals(root.getAuthority());
        return back || answer.uri().getPath().startsWith("/login/oauth2/code/");
    }

    private static HttpResponse<String> get(HttpClient client, URI address) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(address)
                        .header("Accept", "text/html,*/*")
                        .timeout(Duration.ofSeconds(60))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    /** The first of the answers, each of which leads to the next, of which {@code wanted} holds. */
    private static HttpResponse<String> upTo(
            HttpClient client, HttpResponse<String> answer, Predicate<HttpResponse<String>> wanted)
            throws IOException, InterruptedException {
        HttpResponse<String> last = answer;
        for (int step = 0; !wanted.test(last); step++) {
            String next = last.headers().firstValue("Location").orElse("");
            if (next.isEmpty() || step > MOST_STEPS) {
                throw new IllegalStateException(
                        last.uri() + " leads nowhere: " + last.statusCode() + " " + last.body());
            }
            last = get(client, last.uri().resolve(next));
        }
        return last;
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
