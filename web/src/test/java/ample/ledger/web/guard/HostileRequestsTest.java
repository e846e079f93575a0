package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.store.TestDatabase;
import ample.ledger.web.LedgerInstance;
import ample.ledger.web.LedgerInstance.Visitor;
import java.io.Closeable;
import java.net.InetAddress;
import java.net.Socket;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * What one visitor can make an instance do, as counts of bytes, rows and answers; {@code ./ledger attack} measures how long others wait
 * meanwhile. Each was found by attacking the application, and stopped it, or filled it.
 */
class HostileRequestsTest {

    private static final String PLAN_HEAD =
            "{\"format\":\"ample-ledger-plan\",\"version\":1,\"name\":\"A\",\"season\":\"autumn-2031\",\"busy\":[";

    private static final String STREAM =
            "GET /autumn-2031/seats HTTP/1.1\r\nHost: 127.0.0.1\r\nAccept: text/event-stream\r\n\r\n";

    private static TestDatabase database;
    private static LedgerInstance ledger;

    @BeforeAll
    static void startAnInstanceWithTightLimits() {
        database = TestDatabase.create();
        ledger = LedgerInstance.start(
                database,
                "--ledger.post=" + Schedules.kernel(),
                "--ledger.limits.visits=40",
                "--ledger.limits.uploads=60",
                "--ledger.limits.streams=5",
                "--ledger.limits.all-streams=7",
                "--ledger.limits.bodies=8",
                "--ledger.limits.body-time=2s",
                "--ledger.limits.whole-lists=1",
                "--ledger.limits.account.streams=2",
                "--ledger.limits.account.changes=10");
    }

    @AfterAll
    static void stop() {
        ledger.close();
    }

    @Test
    void aPlanWithBusyTimesOfMillionsOfYearsIsRefused() throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        String page = bring(
                visitor,
                PLAN_HEAD
                        + "{\"label\":\"x\",\"days\":[\"monday\"],\"first\":\"0001-01-01\",\"last\":\"+200000000-12-31\","
                        + "\"starts\":\"9:00\",\"ends\":\"10:00\"}]}");

        assertThat(page).contains("busy[0]: A date is written as in 2031-09-08.", "This plan is empty");
    }

    @Test
    void whatIsLargerThanAPlanIsRefusedBeforeItIsRead() throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        assertThat(bring(visitor, "[" + " ".repeat(70_000) + "]")).contains("is larger than any plan: 64 KB at most");
        String dates = IntStream.range(0, 1_200).mapToObj(i -> "\"2031-09-08\"").collect(Collectors.joining(","));
        assertThat(bring(
                        visitor,
                        PLAN_HEAD
                                + "{\"label\":\"x\",\"days\":[\"monday\"],\"first\":\"2031-09-08\",\"last\":\"2031-12-19\","
                                + "\"starts\":\"9:00\",\"ends\":\"10:00\",\"except\":[" + dates + "]}]}"))
                .contains("A busy time has at most 1120 exceptions");

        HttpResponse<String> huge = visitor.upload("/autumn-2031/week/bring", "file", "x.json", "x".repeat(3_000_000));
        assertThat(huge.statusCode()).isEqualTo(413);
        assertThat(huge.body()).contains("file or form is too large");
    }

    /** Sixty busy times at the same hours, and as many sections: what was a page of 145 MB. */
    @Test
    void aFullWeekIsAPageOfOrdinarySize() throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        String busy = IntStream.range(0, 60)
                .mapToObj(
                        i ->
                                "{\"label\":\"shift %d\",\"days\":[\"monday\",\"tuesday\",\"wednesday\",\"thursday\",\"friday\"],"
                                                .formatted(i)
                                        + "\"first\":\"2031-01-01\",\"last\":\"2032-12-31\",\"starts\":\"9:00\",\"ends\":\"21:00\"}")
                .collect(Collectors.joining(","));
        bring(visitor, PLAN_HEAD + busy + "]}");
        String lines = Schedules.kernelSchedule().sections().stream()
                .limit(60)
                .map(section -> section.entry().digits())
                .collect(Collectors.joining(","));
        visitor.post("/autumn-2031/week/add", "line", lines, "back", "/");
        HttpResponse<String> page = visitor.get("/autumn-2031/week");

        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body().length()).isLessThan(2_500_000);
        assertThat(page.body()).containsPattern("And [0-9,]+ more of the kind\\.");
        String tooMany = bring(visitor, PLAN_HEAD + busy + "," + busy + "]}");
        assertThat(tooMany).contains("It holds 120; no more than 60 are taken.");
    }

    @Test
    void aCalendarThatAsksForEveryMinuteIsLeftOut() throws Exception {
        String minutes = IntStream.range(0, 60).mapToObj(Integer::toString).collect(Collectors.joining(","));
        String hours = IntStream.range(0, 24).mapToObj(Integer::toString).collect(Collectors.joining(","));
        String event =
                "BEGIN:VEVENT\r\nDTSTART:20310908T000000Z\r\nDTEND:20310908T000100Z\r\nSUMMARY:x\r\nRRULE:FREQ=DAILY;BYHOUR="
                        + hours + ";BYMINUTE=" + minutes + "\r\nEND:VEVENT\r\n";
        String many = IntStream.range(0, 300)
                .mapToObj(i ->
                        "BEGIN:VEVENT\r\nDTSTART:20310908T%02d%02d00Z\r\nDTEND:20310908T%02d%02d30Z\r\nSUMMARY:e%d\r\nEND:VEVENT\r\n"
                                .formatted(i / 60 + 8, i % 60, i / 60 + 8, i % 60, i)
                                .replace("30Z", "00Z\r\nDURATION:PT10M"))
                .collect(Collectors.joining())
                .replaceAll("DTEND:[0-9TZ]*\r\n", "");
        Visitor visitor = new Visitor(ledger.root());

        String page = calendar(visitor, "BEGIN:VCALENDAR\r\n" + event.repeat(10) + many + "END:VCALENDAR\r\n");
        assertThat(page)
                .contains(
                        "60 busy times imported from “x.ics”.",
                        "240 left out: a plan holds 60 busy times at most.",
                        "10 events not in these dates");
        assertThat(calendar(visitor, "BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n".repeat(9_000)))
                .contains("was not read: it holds 9,000 calendars", "Nothing was changed.");
    }

    @Test
    void wholeListsAreWrittenFewAtATime() throws Exception {
        List<CompletableFuture<HttpResponse<String>>> asked = new ArrayList<>();
        Visitor visitor = new Visitor(ledger.root());
        for (int i = 0; i < 24; i++) {
            asked.add(visitor.client()
                    .sendAsync(
                            visitor.request("/autumn-2031/browse?whole=yes").build(),
                            HttpResponse.BodyHandlers.ofString()));
        }
        List<Integer> statuses = new ArrayList<>();
        for (var one : asked) {
            HttpResponse<String> answer = one.get();
            statuses.add(answer.statusCode());
            if (answer.statusCode() == 429) {
                assertThat(answer.headers().firstValue("Retry-After")).hasValue("5");
                assertThat(answer.body()).contains("Other lists are being written on one page just now.");
            } else {
                assertThat(answer.body()).contains("</html>");
            }
        }
        assertThat(statuses).contains(200, 429).containsOnly(200, 429);
        assertThat(visitor.get("/autumn-2031/browse?whole=yes").statusCode()).isEqualTo(200);
    }

    @Test
    void whoLooksLeavesNothingBehindAndWhoComesNewTooOftenIsToldToWait() throws Exception {
        long sessions = count("SELECT count(*) FROM ledger.spring_session");
        for (int i = 0; i < 60; i++) {
            assertThat(new Visitor(ledger.root()).get("/sign-in").headers().firstValue("Set-Cookie"))
                    .isEmpty();
        }
        assertThat(count("SELECT count(*) FROM ledger.spring_session")).isEqualTo(sessions);

        int refused = 0;
        for (int i = 0; i < 120; i++) {
            HttpResponse<String> answer =
                    new Visitor(ledger.root()).post("/autumn-2031/week/add", "line", "40176", "back", "/");
            refused += answer.statusCode() == 429 ? 1 : 0;
        }
        assertThat(refused).isPositive();
        assertThat(count("SELECT count(*) FROM ledger.visitor")).isLessThan(110);
        assertThat(count("SELECT count(*) FROM ledger.visitor WHERE expires_at > now() + interval '2 hours'"))
                .as("only of those who came back with their cookie")
                .isLessThan(20);
    }

    @Test
    void oneAccountAndOneAddressHoldOnlySomeStreams() throws Exception {
        Visitor wren = new Visitor(ledger.root());
        wren.signIn("wren");
        List<Closeable> open = new ArrayList<>();
        try {
            for (int i = 0; i < 2; i++) {
                open.add(stream(wren, HttpResponse.BodyHandlers.ofInputStream()).body());
            }
            assertRefused(stream(wren, HttpResponse.BodyHandlers.ofString()), "Too many open pages of yours;");
            for (int i = 2; i < 5; i++) {
                assertThat(opened(STREAM, InetAddress.getLoopbackAddress(), open))
                        .isEqualTo("HTTP/1.1 200");
            }
            assertRefused(
                    stream(new Visitor(ledger.root()), HttpResponse.BodyHandlers.ofString()),
                    "Too many open pages at your address");
            // Of another address, on the same machine.
            InetAddress other = InetAddress.getByName("127.0.0.2");
            for (int i = 0; i < 2; i++) {
                assertThat(opened(STREAM, other, open)).isEqualTo("HTTP/1.1 200");
            }
            Socket beyond = send(STREAM.replace("\r\n\r\n", "\r\nConnection: close\r\n\r\n"), other);
            open.add(beyond);
            assertThat(new String(beyond.getInputStream().readAllBytes(), StandardCharsets.US_ASCII))
                    .as("beyond seven of all it ends at once, and says nothing")
                    .startsWith("HTTP/1.1 200")
                    .doesNotContain("data:");
        } finally {
            for (Closeable one : open) {
                one.close();
            }
        }
    }

    @Test
    void oneAccountChangesItsPlansOnlySoOften() throws Exception {
        Visitor bryn = new Visitor(ledger.root());
        bryn.signIn("bryn");
        for (int i = 0; i < 10; i++) {
            assertThat(change(bryn).statusCode()).isEqualTo(302);
        }

        HttpResponse<String> refused = change(bryn);
        // On a slow machine some are given back meanwhile.
        for (int i = 0; i < 500 && refused.statusCode() == 302; i++) {
            refused = change(bryn);
        }

        assertRefused(refused, "Too many changes come from you at once.");
        Visitor maris = new Visitor(ledger.root());
        maris.signIn("maris");
        assertThat(change(maris).statusCode())
                .as("somebody else at the address")
                .isEqualTo(302);
    }

    private static HttpResponse<String> change(Visitor visitor) throws Exception {
        return visitor.post("/autumn-2031/week/add", "line", "40176", "back", "/");
    }

    private static void assertRefused(HttpResponse<String> answer, String sentence) {
        assertThat(answer.statusCode()).isEqualTo(429);
        assertThat(answer.headers().firstValueAsLong("Retry-After")).isPresent();
        assertThat(answer.body()).contains(sentence);
    }

    private static <T> HttpResponse<T> stream(Visitor visitor, HttpResponse.BodyHandler<T> handler) throws Exception {
        return visitor.client()
                .send(
                        HttpRequest.newBuilder(ledger.root().resolve("/autumn-2031/seats"))
                                .header("Accept", "text/event-stream")
                                .build(),
                        handler);
    }

    private static String opened(String stream, InetAddress from, List<Closeable> open) throws Exception {
        Socket socket = send(stream, from);
        open.add(socket);
        return new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII);
    }

    /** Bodies that never come whole hold a few threads for a while, and pages none. */
    @Test
    void slowBodiesDoNotKeepPagesFromBeingRead() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 300; i++) {
                // Some are refused before their body is looked at, which does not make a thread wait for the rest of
                // it.
                String site = i % 3 == 0 ? "cross-site" : "same-origin";
                slow.add(send("POST /autumn-2031/week/add HTTP/1.1\r\nHost: 127.0.0.1\r\nSec-Fetch-Site: " + site
                        + "\r\n"
                        + "Content-Type: application/x-www-form-urlencoded\r\nContent-Length: 1000\r\n\r\nline="));
            }
            assertThat(new Visitor(ledger.root()).get("/autumn-2031/browse").statusCode())
                    .isEqualTo(200);
            int refused = 0;
            int ended = 0;
            for (Socket socket : slow) {
                socket.setSoTimeout(20_000);
                String status = new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII);
                refused += status.endsWith("429") ? 1 : 0;
                ended += status.isEmpty() || status.matches("HTTP/1.1 40[038]") ? 1 : 0;
            }
            assertThat(refused).as("beyond eight of one address").isGreaterThan(250);
            assertThat(refused + ended)
                    .as("none of them was read, and none waits for ever")
                    .isEqualTo(300);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
        assertThat(new Visitor(ledger.root())
                        .post("/preferences", "clock", "hours-12")
                        .statusCode())
                .isEqualTo(302);
    }

    private static Socket send(String request) throws Exception {
        return send(request, InetAddress.getLoopbackAddress());
    }

    private static Socket send(String request, InetAddress from) throws Exception {
        Socket socket =
                new Socket(InetAddress.getLoopbackAddress(), ledger.root().getPort(), from, 0);
        socket.setSoTimeout(20_000);
        socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
        socket.getOutputStream().flush();
        return socket;
    }

    private static String bring(Visitor visitor, String plan) throws Exception {
        return visitor.follow(visitor.upload("/autumn-2031/week/bring", "file", "plan.json", plan))
                .body();
    }

    private static String calendar(Visitor visitor, String calendar) throws Exception {
        return visitor.follow(visitor.upload("/autumn-2031/week/calendar", "file", "x.ics", calendar))
                .body();
    }

    private static long count(String query) throws SQLException {
        try (Connection connection = database.asOwner().getConnection();
                Statement sql = connection.createStatement();
                var rows = sql.executeQuery(query)) {
            rows.next();
            return rows.getLong(1);
        }
    }
}
