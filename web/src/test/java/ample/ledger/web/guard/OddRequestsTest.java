package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Route;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Requests that no page of ours sends, over every route, from a fixed seed: whatever comes, nothing fails on our side, nothing of the
 * inside is shown, and what is answered is a page of ours with its headers.
 */
@ExtendWith(RunningLedger.class)
class OddRequestsTest {

    private static final int REQUESTS = 2_400;
    private static final long SEED = 20310617;

    private static final Pattern INSIDE =
            Pattern.compile("\\wException|\\bat (ample|org|java)\\.|[Aa]pache|[Tt]omcat|jdbc|PSQL|[Ww]hitelabel");

    /** As they stand in an address or a form, encoded where they have to be. */
    private static final List<String> VALUES = List.of(
            "",
            "x",
            "-1",
            "0",
            "99999999999999999999",
            "40220",
            "40220,40176",
            "autumn-2031.40220",
            "mon",
            "\u0000",
            "a\u0000b",
            "\r\nSet-Cookie: x=1",
            "{foo}",
            "${7*7}",
            "/x{foo}",
            "/x?text=%25zz",
            "https://a:bad/",
            "//elsewhere.example/",
            "/\\elsewhere.example",
            "<script>alert(1)</script>",
            "'; DROP TABLE visitor; --",
            "../../etc/passwd",
            "%zz",
            "%25zz",
            "+999999999-12-31",
            "-999999999-01-01",
            "2031-09-08",
            "2031-02-30",
            "0001-01-01",
            "24:00",
            "9:30",
            "any:mon,tue",
            "only:",
            "not:at=tidewall",
            "\ud83d\udc1d".repeat(50),
            "ع".repeat(300),
            "a,".repeat(400),
            "9".repeat(400),
            "/".repeat(2_500),
            "x".repeat(3_000));

    private static final List<String> NAMES = List.of(
            "back",
            "line",
            "add",
            "at",
            "day",
            "week",
            "term",
            "brief",
            "weave",
            "courses",
            "wish",
            "pin",
            "refuse",
            "closed",
            "most",
            "shown",
            "text",
            "heard",
            "came",
            "page",
            "order",
            "look",
            "edit",
            "close",
            "reopen",
            "whole",
            "struck",
            "subject",
            "number",
            "course",
            "days",
            "from",
            "to",
            "starts",
            "ends",
            "weeks",
            "seats",
            "waiting",
            "untimed",
            "status",
            "credits",
            "level",
            "version",
            "standing",
            "in",
            "out",
            "act",
            "id",
            "name",
            "notes",
            "purpose",
            "token",
            "key",
            "busy",
            "label",
            "date",
            "every",
            "since",
            "entries",
            "clock",
            "light",
            "home",
            "note",
            "username",
            "password",
            "programme",
            "placements");

    private static final AtomicInteger SENDERS = new AtomicInteger();

    private final Random random = new Random(SEED);

    @Test
    void whateverComesNothingFailsOnOurSide(Ledger ledger) throws Exception {
        List<Route> routes = ledger.routes().stream()
                .filter(route -> !route.pattern().endsWith("/seats"))
                // In one order, so that every run sends the same.
                .sorted(Comparator.comparing(Route::pattern).thenComparing(Route::method))
                .toList();
        List<String> wrong = new ArrayList<>();
        for (int i = 0; i < REQUESTS; i++) {
            Route route = routes.get(i % routes.size());
            String request = request(ledger, route);
            String answer = send(ledger, request);
            judge(request, answer, wrong);
        }
        assertThat(wrong).isEmpty();
    }

    /** What is refused by the server before any of our code sees it. */
    @Test
    void whatIsNoRequestIsAnsweredInOurWords(Ledger ledger) throws Exception {
        List<String> wrong = new ArrayList<>();
        for (String line : List.of(
                "GET /a|b HTTP/1.1\r\nHost: 127.0.0.1",
                "GET /%00 HTTP/1.1\r\nHost: 127.0.0.1",
                "GET /%2e%2e/ HTTP/1.1\r\nHost: 127.0.0.1",
                "GET /a;b=c HTTP/1.1\r\nHost: 127.0.0.1",
                "GET //x HTTP/1.1\r\nHost: 127.0.0.1",
                "GET /autumn-2031/browse?%zz HTTP/1.1\r\nHost: 127.0.0.1",
                "GET /sign-in/begin/institution?level=%zz HTTP/1.1\r\nHost: 127.0.0.1",
                "GET /login/oauth2/code/institution?code=a&state=%zz HTTP/1.1\r\nHost: 127.0.0.1",
                "GET / HTTP/1.1\r\nHost: elsewhere.example",
                "GET / HTTP/1.1\r\nHost: a b",
                "GET / HTTP/1.1",
                "TRACE / HTTP/1.1\r\nHost: 127.0.0.1",
                "BREW / HTTP/1.1\r\nHost: 127.0.0.1",
                "GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: ledger=" + "x".repeat(5_000),
                "GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: ledger-told=eJw; ledger-guest=\u0001; ledger-preferences=....:",
                "GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nX: " + "x".repeat(20_000),
                "POST /autumn-2031/week/bring HTTP/1.1\r\nHost: 127.0.0.1\r\nSec-Fetch-Site: same-origin\r\nContent-Length: 99999999",
                "POST /autumn-2031/week/bring HTTP/1.1\r\nHost: 127.0.0.1\r\nSec-Fetch-Site: same-origin\r\nTransfer-Encoding: chunked\r\n\r\n0",
                "POST /autumn-2031/week/add HTTP/1.1\r\nHost: 127.0.0.1\r\nSec-Fetch-Site: same-origin\r\nContent-Length: -5",
                "POST /autumn-2031/week/calendar HTTP/1.1\r\nHost: 127.0.0.1\r\nSec-Fetch-Site: same-origin\r\n"
                        + "Content-Type: multipart/form-data\r\nContent-Length: 3\r\n\r\nabc")) {
            String request = line + "\r\nConnection: close\r\n\r\n";
            String answer = send(ledger, request);
            assertThat(answer).as(line).startsWith("HTTP/1.1 ");
            judge(request, answer, wrong);
        }
        assertThat(wrong).isEmpty();
    }

    /** Pages make addresses of the host that they are asked by: of a stranger's, none. */
    @Test
    void onlyOurOwnHostsAreAnswered(Ledger ledger) throws Exception {
        String strange = "GET /autumn-2031/browse HTTP/1.1\r\nHost: %s\r\nConnection: close\r\n\r\n";

        assertThat(send(ledger, strange.formatted("elsewhere.example"))).startsWith("HTTP/1.1 400");
        assertThat(send(ledger, strange.formatted("localhost.elsewhere.example")))
                .startsWith("HTTP/1.1 400");
        assertThat(send(ledger, strange.formatted("localhost:" + ledger.root().getPort())))
                .startsWith("HTTP/1.1 200");
    }

    private static void judge(String request, String answer, List<String> wrong) {
        String shown = request.lines().findFirst().orElse("");
        shown = shown.substring(0, Math.min(160, shown.length()));
        String head = answer.contains("\r\n\r\n") ? answer.substring(0, answer.indexOf("\r\n\r\n")) : answer;
        String body = answer.substring(Math.min(answer.length(), head.length()));
        String lower = head.toLowerCase(Locale.ROOT);
        int status = head.matches("(?s)HTTP/1\\.1 \\d{3}.*") ? Integer.parseInt(head.substring(9, 12)) : 0;
        if (status == 0 || status >= 500) {
            wrong.add(status + " " + shown);
        }
        if (INSIDE.matcher(body).find()) {
            wrong.add("shows the inside: " + shown);
        }
        boolean html = lower.contains("content-type: text/html");
        boolean part = body.contains("<table>")
                || shown.contains("/preview")
                || shown.contains("/cells")
                || shown.contains("/leaf");
        if (html && !part && (!body.contains("Ample Ledger") || !body.contains("<title>"))) {
            wrong.add("is no page of ours: " + shown);
        }
        if (status >= 400 && !lower.contains("text/plain") && (!html || body.isEmpty())) {
            wrong.add("says nothing: " + status + " " + shown);
        }
        if (html && !lower.contains("content-security-policy: default-src 'none'")) {
            wrong.add("lacks our headers: " + shown);
        }
        if (lower.contains("set-cookie: x=1")) {
            wrong.add("a header was smuggled in: " + shown);
        }
    }

    private String request(Ledger ledger, Route route) {
        String path = route.pattern();
        while (path.contains("{")) {
            int open = path.indexOf('{');
            String variable = path.substring(open, path.indexOf('}', open) + 1);
            path = path.replace(variable, inPath(variable));
        }
        path = path.replace("/**", "/x").replace("/*", "/x");
        boolean form = route.method().equals("POST");
        String query = parameters(form ? random.nextInt(2) : 1 + random.nextInt(4));
        String body = form ? parameters(1 + random.nextInt(5)) : "";
        return route.method() + " " + path + (query.isEmpty() ? "" : "?" + query) + " HTTP/1.1\r\nHost: 127.0.0.1:"
                + ledger.root().getPort()
                + "\r\nAccept: text/html\r\nConnection: close\r\nSec-Fetch-Site: same-origin\r\n"
                + (form
                        ? "Content-Type: " + type() + "\r\nContent-Length: " + body.length() + "\r\n\r\n" + body
                        : "\r\n");
    }

    private String type() {
        return random.nextInt(8) == 0
                ? List.of("text/plain", "multipart/form-data", "multipart/form-data; boundary=x", "application/json")
                        .get(random.nextInt(4))
                : "application/x-www-form-urlencoded";
    }

    private String inPath(String variable) {
        if (random.nextInt(3) > 0) {
            switch (variable) {
                case "{term}" -> {
                    return "autumn-2031";
                }
                case "{season}" -> {
                    return "autumn-2031";
                }
                case "{entry}" -> {
                    return "40220";
                }
                case "{code}" -> {
                    return "NUMB-112";
                }
                default -> {
                    return "1";
                }
            }
        }
        return encoded(VALUES.get(random.nextInt(VALUES.size() - 2)));
    }

    private String parameters(int count) {
        StringBuilder all = new StringBuilder();
        for (int i = 0; i < count; i++) {
            String value = VALUES.get(random.nextInt(VALUES.size()));
            all.append(i == 0 ? "" : "&")
                    .append(NAMES.get(random.nextInt(NAMES.size())))
                    .append("=")
                    // Some as nobody may write them.
                    .append(
                            random.nextInt(6) == 0 && value.matches("[\\x21-\\x7e&&[^\"<>\\\\^`{|}#]]*")
                                    ? value
                                    : encoded(value));
        }
        return all.toString();
    }

    private static String encoded(String value) {
        return URLEncoder.encode(value, StandardCharsets.UTF_8);
    }

    private static String send(Ledger ledger, String request) throws IOException {
        // Each from an address of its own, so that none is refused for what others have asked.
        int sender = SENDERS.incrementAndGet();
        InetAddress from =
                InetAddress.getByAddress(new byte[] {127, 1, (byte) (sender / 200), (byte) (1 + sender % 200)});
        InetAddress to = InetAddress.getByAddress(new byte[] {127, 0, 0, 1});
        try (Socket socket = new Socket(to, ledger.root().getPort(), from, 0)) {
            socket.setSoTimeout(60_000);
            OutputStream out = socket.getOutputStream();
            out.write(request.getBytes(StandardCharsets.ISO_8859_1));
            out.flush();
            InputStream in = socket.getInputStream();
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
