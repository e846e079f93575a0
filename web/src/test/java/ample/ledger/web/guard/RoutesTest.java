package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Route;
import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Who may ask for what, over all routes: whatever is added is decided on by name. */
@ExtendWith(RunningLedger.class)
class RoutesTest {

    /** What changes something for a visitor, or for who has signed in. */
    private static final Set<String> VISITORS = Set.of(
            "/sign-out",
            "/preferences",
            "/preferences/home",
            "/record",
            "/record/forget",
            "/record/offered",
            "/briefs/save",
            "/briefs/forget",
            "/briefs/watch",
            "/notices/seen",
            "/notices/letters",
            "/notices/feed",
            "/{term}/watch",
            "/{term}/unwatch",
            "/{term}/week/add",
            "/{term}/week/remove",
            "/{term}/week/standing",
            "/{term}/week/swap",
            "/{term}/week/notes",
            "/{term}/week/plans",
            "/{term}/week/undo",
            "/{term}/week/busy",
            "/{term}/week/free",
            "/{term}/week/calendar",
            "/{term}/week/bring",
            "/{term}/week/share",
            "/{term}/week/withdraw",
            "/{term}/week/stop",
            "/{term}/ready/submit",
            "/{term}/rounds/{code}/wishes",
            "/kept/delete");

    private static final Set<String> DESK = Set.of(
            "/desk/bundles",
            "/desk/bundles/{id}/post",
            "/desk/bundles/{id}/put-away",
            "/desk/terms/{term}/editions/{number}/current");

    /** Changed by whoever knows the secret in the address, from wherever: RFC 8058. */
    private static final List<String> BY_SECRET = List.of("/letters/stop/{token}");

    /** What other sites, and neighbours on another port or sub-domain, can make a visitor's browser send. */
    private static final List<List<String>> FROM_ELSEWHERE = List.of(
            List.of("Sec-Fetch-Site", "cross-site"),
            List.of("Sec-Fetch-Site", "same-site"),
            List.of("Origin", "http://elsewhere.example"),
            List.of("Origin", "http://127.0.0.1:1"),
            List.of("Origin", "null"),
            List.of("Sec-Fetch-Site", "cross-site", "Origin", "ours"),
            List.of("X-Requested-With", "XMLHttpRequest"));

    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    @Test
    void everyRouteThatChangesSomethingIsKnownByName(Ledger ledger) {
        Set<String> sent = ledger.routes().stream()
                .filter(route -> !route.method().equals("GET"))
                .map(Route::pattern)
                .filter(pattern -> !pattern.contains("error"))
                .collect(Collectors.toCollection(TreeSet::new));
        Set<String> known = new TreeSet<>(VISITORS);
        known.addAll(DESK);
        known.addAll(BY_SECRET);

        assertThat(sent).isEqualTo(known);
    }

    @Test
    void noOtherSiteChangesAnything(Ledger ledger) throws Exception {
        List<String> through = new ArrayList<>();
        for (String pattern : changing()) {
            for (List<String> headers : FROM_ELSEWHERE) {
                HttpResponse<String> answer = send(ledger, pattern, headers);
                boolean refused = answer.statusCode() == 403
                        && answer.body().contains("sent by another site, and nothing was changed")
                        && answer.headers()
                                .firstValue("Content-Security-Policy")
                                .isPresent()
                        && answer.headers().firstValue("Set-Cookie").isEmpty();
                if (!refused) {
                    through.add(pattern + " with " + headers + ": " + answer.statusCode());
                }
            }
        }
        assertThat(through).isEmpty();
    }

    /** By what a browser says of our own pages, or, of an older one, by the origin alone. */
    @Test
    void ourOwnPagesAreNotRefused(Ledger ledger) throws Exception {
        String own = ledger.root().toString();
        for (String pattern : changing()) {
            for (List<String> headers : List.of(
                    List.of("Sec-Fetch-Site", "same-origin"),
                    List.of("Sec-Fetch-Site", "none"),
                    List.of("Origin", own))) {
                assertThat(send(ledger, pattern, headers).statusCode())
                        .as(pattern + " with " + headers)
                        .isNotEqualTo(403);
            }
        }
    }

    @Test
    void theDeskIsTheDesksAlone(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        assertThat(student.signIn("maris").statusCode()).isEqualTo(302);
        List<String> patterns = ledger.routes().stream()
                .map(Route::pattern)
                .filter(pattern -> pattern.startsWith("/desk"))
                .distinct()
                .toList();
        assertThat(patterns).hasSizeGreaterThan(5);
        for (String pattern : patterns) {
            boolean sent = DESK.contains(pattern);
            HttpResponse<String> guests = sent
                    ? new Visitor(ledger.root()).post(path(pattern))
                    : new Visitor(ledger.root()).get(path(pattern));
            HttpResponse<String> students = sent ? student.post(path(pattern)) : student.get(path(pattern));
            assertThat(guests.headers().firstValue("Location").orElse(""))
                    .as(pattern)
                    .contains("/sign-in?back=%2Fdesk");
            assertThat(students.statusCode()).as(pattern).isEqualTo(403);
        }
    }

    @Test
    void onlyPostsChangeSomething(Ledger ledger) throws Exception {
        for (String pattern : changing()) {
            int status = new Visitor(ledger.root()).get(path(pattern)).statusCode();
            boolean alsoAPage = ledger.routes().contains(new Route("GET", pattern));
            assertThat(status).as("GET " + pattern).isIn(alsoAPage ? List.of(200) : List.of(302, 404, 405));
        }
        Visitor student = new Visitor(ledger.root());
        student.signIn("maris");
        student.get("/sign-out");
        assertThat(student.get("/autumn-2031/browse").body()).contains("<b>maris</b>");
    }

    private static Set<String> changing() {
        Set<String> all = new TreeSet<>(VISITORS);
        all.addAll(DESK);
        return all;
    }

    private static String path(String pattern) {
        return pattern.replace("{term}", "autumn-2031")
                .replace("{id}", "x")
                .replace("{number}", "1")
                .replace("{code}", "x");
    }

    private static HttpResponse<String> send(Ledger ledger, String pattern, List<String> headers) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(ledger.root().resolve(path(pattern)))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("line=40176&back=/"));
        for (int i = 0; i < headers.size(); i += 2) {
            String value = headers.get(i + 1).equals("ours") ? ledger.root().toString() : headers.get(i + 1);
            request.header(headers.get(i), value);
        }
        return CLIENT.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }
}
