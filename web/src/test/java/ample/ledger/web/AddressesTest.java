package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger.Ledger;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import nu.validator.client.EmbeddedValidator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.xml.sax.SAXException;

/** What every address answers, over HTTP. */
@ExtendWith(RunningLedger.class)
class AddressesTest {

    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    @ParameterizedTest
    @CsvSource({
        "/, /autumn-2031/browse",
        "/autumn-2031, /autumn-2031/browse",
        "/autumn-2031/browse?from=&to=&subject=, /autumn-2031/browse",
        "'/autumn-2031/browse?at=tidewall&at=upper-fell', '/autumn-2031/browse?at=tidewall,upper-fell'",
        "'/autumn-2031/browse?days=any:&days=wed&days=mon', '/autumn-2031/browse?days=any:mon,wed'",
        "'/autumn-2031/browse?from=9&number=2xx', '/autumn-2031/browse?number=200-299&from=09:00'",
    })
    void longWaysOfSayingItLeadToTheShortAddress(String asked, String short_, Ledger ledger) throws Exception {
        HttpResponse<String> response = get(ledger, asked);

        assertThat(response.statusCode()).isEqualTo(302);
        assertThat(response.headers().firstValue("Location")).contains(ledger.root() + short_);
    }

    /** Whatever is on a page comes from memory; only a visit, once it keeps something, is looked up: never a query for each section. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "browse",
                "browse?whole=yes",
                "browse?subject=glac&seats=1",
                "browse/leaf?page=2",
                "section/40220",
                "section/40220/calendar.ics",
                "course/NUMB-112",
                "line-up?line=40220,40176,40101"
            })
    void pagesCauseNoStatementsBesideThoseOfTheVisit(String page, Ledger ledger) throws Exception {
        HttpClient visitor =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        assertThat(ledger.statements().getAsInt()).as("counted until now").isNotNegative();
        assertThat(visitor.send(to(ledger.page(page)).build(), HttpResponse.BodyHandlers.ofString())
                        .statusCode())
                .isEqualTo(200);
        assertThat(ledger.statements().getAsInt()).isZero();

        visitor.send(
                to(ledger.page("week/add"))
                        .header("Content-Type", "application/x-www-form-urlencoded")
                        .header("Sec-Fetch-Site", "same-origin")
                        .POST(HttpRequest.BodyPublishers.ofString("line=40176"))
                        .build(),
                HttpResponse.BodyHandlers.discarding());
        assertThat(ledger.statements().getAsInt()).as("counted until now").isNotNegative();
        visitor.send(to(ledger.page(page)).build(), HttpResponse.BodyHandlers.discarding());
        assertThat(ledger.statements().getAsInt())
                .as("the guest's document, and that they have come back")
                .isLessThanOrEqualTo(2);
    }

    /** Each of these was answered with a failure of ours. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/autumn-2031/week?weave=1&want=TIDE+214&brief=/x?text=%25zz  | 200 | cannot be read. Save it again in Browse.",
                "/autumn-2031/week?weave=1&want=TIDE+214&brief=https://a:bad/ | 200 | cannot be read. Save it again in Browse.",
                "/autumn-2031/week?week=%2B999999999-12-31                    | 200 | My week",
                "/autumn-2031/browse?heard=%00                                | 302 | ''",
            })
    void whatMadeThePageFailIsSaidOrPassedOver(String address, int status, String says, Ledger ledger)
            throws Exception {
        HttpResponse<String> response = get(ledger, address);

        assertThat(response.statusCode()).isEqualTo(status);
        assertThat(response.body()).contains(says);
    }

    @Test
    void whatIsGoneBackToIsAnAddressOfOursAsItStands(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        for (String back : List.of("/x{foo}", "/x%7Bfoo%7D")) {
            assertThat(visitor.post("/preferences", "back", back).headers().firstValue("Location"))
                    .hasValueSatisfying(address -> assertThat(address).endsWith(back));
        }
        for (String back : List.of(
                "/" + "x".repeat(10_000), "//elsewhere.example/", "/\\elsewhere.example/", "javascript:alert(1)")) {
            assertThat(visitor.post("/preferences", "back", back).headers().firstValue("Location"))
                    .hasValue(ledger.root() + "/");
        }
    }

    /** A NUL in notes made every page of a student fail. */
    @Test
    void controlCharactersAreNotKept(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        student.signIn("tamsin");
        student.post("/autumn-2031/week/notes", "notes", "ask\u0000 about\u0007\r\nit", "back", "/");
        student.post("/briefs/save", "name", "morn\u0000ings", "back", "/autumn-2031/browse?to=12:00");

        assertThat(student.get("/autumn-2031/week/plan.json").body()).contains("\"ask about\\nit\"");
        assertThat(student.get("/autumn-2031/browse").body()).contains("mornings");
        assertThat(student.post("/autumn-2031/week/withdraw", "token", "\u0000").statusCode())
                .isEqualTo(302);
    }

    /** Who is given the address of a plan does not read what its owner noted for themselves. */
    @Test
    void aShownPlanShowsNotesOnlyIfItsOwnerSaysSo(Ledger ledger) throws Exception {
        Visitor owner = new Visitor(ledger.root());
        owner.post("/autumn-2031/week/add", "line", "40176", "back", "/");
        owner.post("/autumn-2031/week/notes", "notes", "my private note", "back", "/");
        owner.post("/autumn-2031/week/share", "purpose", "reading");
        owner.post("/autumn-2031/week/share", "purpose", "reading", "notes", "true");
        owner.post("/autumn-2031/week/notes", "notes", "my other note", "back", "/");
        List<String> shown = Pattern.compile("href=\"(/shared/[^\"]+)\"")
                .matcher(owner.get("/autumn-2031/week").body())
                .results()
                .map(found -> found.group(1))
                .toList();

        Visitor adviser = new Visitor(ledger.root());
        assertThat(shown).hasSize(2);
        assertThat(adviser.get(shown.get(0)).body()).contains("GLAC 120").doesNotContain("note");
        assertThat(adviser.get(shown.get(1)).body()).contains("GLAC 120", "my other note");
    }

    private static HttpRequest.Builder to(String address) {
        return HttpRequest.newBuilder(URI.create(address));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "/spring-1999/browse             | Nothing is posted for a term “spring-1999”. | Browse Autumn 2031",
                "/autumn-2031/section/49999      | Autumn 2031 has no section with the entry number “49999”. | Browse Autumn 2031",
                "/autumn-2031/section/abc?at=tidewall | no section with the entry number “abc” | href=\"/autumn-2031/browse?at=tidewall\"",
                "/autumn-2031/course/GLAC-999    | Autumn 2031 posts no course “GLAC-999”. | Browse Autumn 2031",
                "/autumn-2031/nothing/here       | There is no page at this address. | Browse the schedule",
                "/assets/nothing.css             | There is no page at this address. | Browse the schedule",
                "/error                          | There is no page at this address. | Browse the schedule",
            })
    void whatIsNotThereSaysSoAndOffersTheWayOn(String address, String says, String wayOn, Ledger ledger)
            throws Exception {
        HttpResponse<String> response = get(ledger, address);

        assertThat(response.statusCode()).isEqualTo(404);
        assertThat(response.body()).contains(says, wayOn);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "browse?subject=zzzz&seats=3 | Not understood: subject=zzzz. The subjects of Autumn 2031 are cart",
                "browse?seats=3&from=99:99   | Not understood: from=99:99.",
                "browse?seats=3&colour=blue  | Not understood: colour=blue. There is no condition of that name.",
                "browse?seats=3&at=%3Cb%3E   | Not understood: at=&lt;b&gt;.",
            })
    void aValueThatMakesNoSenseIsNamedAndTheRestOfTheBriefStands(String page, String says, Ledger ledger)
            throws Exception {
        HttpResponse<String> response = get(ledger, "/autumn-2031/" + page);

        assertThat(response.statusCode()).isEqualTo(400);
        assertThat(response.body()).contains(says, "3 or more seats", "href=\"/autumn-2031/browse?seats=3\"");
    }

    @Test
    void pagesLoadNothingFromElsewhereAndHoldNoScriptOrStyleInside(Ledger ledger) throws Exception {
        HttpResponse<String> response = get(ledger, "/autumn-2031/browse?at=tidewall");

        assertThat(response.headers().firstValue("Content-Security-Policy").orElse(""))
                .contains("default-src 'none'", "script-src 'self'", "style-src 'self'", "frame-ancestors 'none'")
                .doesNotContain("unsafe");
        assertThat(response.body())
                .doesNotContain(" style=", "<style", " onclick=", "https://")
                .doesNotContainPattern("<script(?![^>]* src=)");
        assertThat(response.headers().map()).doesNotContainKey("set-cookie");
    }

    @ParameterizedTest
    @ValueSource(strings = {"POST", "PUT", "DELETE"})
    void whatIsOnlyReadTakesNothingIn(String method, Ledger ledger) throws Exception {
        var request = HttpRequest.newBuilder(URI.create(ledger.page("browse")))
                .header("Sec-Fetch-Site", "same-origin")
                .method(method, HttpRequest.BodyPublishers.ofString("x"))
                .build();

        assertThat(CLIENT.send(request, HttpResponse.BodyHandlers.ofString()).statusCode())
                .isEqualTo(404);
    }

    /** The Nu Html Checker, which the W3C runs too, finds no error. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "/autumn-2031/browse",
                "/autumn-2031/browse?at=tidewall,upper-fell&days=only:mon,wed,thu&from=09:00&to=15:30&seats=3&waiting=0",
                "/autumn-2031/browse?subject=glac&days=only:fri&to=09:00&untimed=no&seats=60",
                "/autumn-2031/browse?at=moon",
                "/autumn-2031/browse?subject=tide&line=40101&look=40101&edit=days",
                "/autumn-2031/browse?days=only:mon&from=09:00&edit=times&heard=mon+blorp",
                "/autumn-2031/browse?order=meeting&page=2&edit=more",
                "/autumn-2031/line-up?line=40101,40220",
                "/autumn-2031/week",
                "/preferences",
                "/record",
                "/autumn-2031/section/40220",
                "/autumn-2031/course/numb-112",
                "/autumn-2031/section/40406?subject=limn",
                "/spring-1999/browse",
            })
    void pagesAreValidHtml(String address, Ledger ledger) throws Exception {
        assertThat(errorsIn(get(ledger, address).body())).isEmpty();
    }

    @Test
    void pagesWhereOneRegistersAreValidHtml(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        student.signIn("student-96");
        student.post("/autumn-2031/week/add", "line", "40274,40169,40108", "back", "/");
        for (String page : List.of("ready", "ready?arrange=yes", "registration")) {
            assertThat(errorsIn(student.get("/autumn-2031/" + page).body()))
                    .as(page)
                    .isEmpty();
        }
    }

    /** Its errors and warnings; that it would leave out the slash of an empty element is a matter of taste. */
    private static List<String> errorsIn(String html) throws IOException, SAXException {
        var validator = new EmbeddedValidator();
        validator.setOutputFormat(EmbeddedValidator.OutputFormat.GNU);
        return validator
                .validate(new ByteArrayInputStream(html.getBytes(StandardCharsets.UTF_8)))
                .lines()
                .filter(line -> !line.contains(": info: Trailing slash"))
                .toList();
    }

    private static HttpResponse<String> get(Ledger ledger, String address) throws IOException, InterruptedException {
        var request = HttpRequest.newBuilder(URI.create(ledger.root() + address))
                .header("Accept", "text/html")
                .build();
        return CLIENT.send(request, HttpResponse.BodyHandlers.ofString());
    }
}
