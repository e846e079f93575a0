package ample.ledger.web.sign;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.web.LedgerInstance.Visitor;
import ample.ledger.web.RunningLedger;
import ample.ledger.web.RunningLedger.Ledger;
import jakarta.servlet.http.Cookie;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.session.web.http.CookieSerializer;

/** Signing in, what a session is, and when it ends. */
@ExtendWith(RunningLedger.class)
class SignInTest {

    @Test
    void whoSignsInGoesBackToWhereTheyWere(Ledger ledger) throws Exception {
        Visitor visitor = new Visitor(ledger.root());
        HttpResponse<String> answer = signIn(visitor, "maris", "/autumn-2031/browse?at=tidewall");

        assertThat(answer.headers().firstValue("Location").orElse("")).endsWith("/autumn-2031/browse?at=tidewall");
        assertThat(answer.headers().allValues("Set-Cookie"))
                .filteredOn(cookie -> cookie.startsWith("ledger="))
                .singleElement()
                .asString()
                .contains("HttpOnly", "SameSite=Lax", "Path=/");
        assertThat(signIn(new Visitor(ledger.root()), "maris", "https://elsewhere.example/")
                        .headers()
                        .firstValue("Location"))
                .hasValueSatisfying(address -> assertThat(address).doesNotContain("elsewhere"));
        assertThat(new Visitor(ledger.root())
                        .get("/desk/terms/autumn-2031")
                        .headers()
                        .firstValue("Location"))
                .hasValueSatisfying(
                        address -> assertThat(address).endsWith("/sign-in?back=%2Fdesk%2Fterms%2Fautumn-2031"));
    }

    /** Over TLS a session's cookie can be set by this host alone: RFC 6265bis, section 4.1.3.2. */
    @Test
    void overTlsTheSessionsCookieBelongsToThisHostAlone() {
        CookieSerializer cookies = new SessionConfiguration().sessionCookie();
        MockHttpServletRequest request = new MockHttpServletRequest();
        MockHttpServletResponse response = new MockHttpServletResponse();
        request.setSecure(true);
        cookies.writeCookieValue(new CookieSerializer.CookieValue(request, response, "id"));

        assertThat(response.getHeader("Set-Cookie"))
                .startsWith("__Host-ledger=")
                .contains("Secure", "HttpOnly", "SameSite=Lax", "Path=/")
                .doesNotContain("Domain");
        request.setCookies(new Cookie("ledger", "aWQ"));
        assertThat(cookies.readCookieValues(request))
                .as("one that came another way")
                .isEmpty();
    }

    /** Without signing out here in between: the second has a session of their own, and sees nothing of the first. */
    @Test
    void aNewPersonIsANewSession(Ledger ledger) throws Exception {
        Visitor computer = new Visitor(ledger.root());
        signIn(computer, "bryn", "/");
        computer.post("/record", "courses", "NUMB 112 A", "back", "/");
        String first = computer.cookie("ledger");
        computer.forget("institution");
        signIn(computer, "tamsin", "/");

        assertThat(computer.cookie("ledger")).isNotEqualTo(first).isNotEmpty();
        assertThat(computer.get("/record").body()).doesNotContain("NUMB 112 A");
        assertThat(count(ledger, "SELECT count(*) FROM ledger.spring_session WHERE principal_name = 'bryn'"))
                .isZero();
        computer.post("/sign-out");
        assertThat(computer.get("/record").body()).doesNotContain("NUMB 112 A");
        assertThat(count(ledger, "SELECT count(*) FROM ledger.spring_session WHERE principal_name = 'tamsin'"))
                .isZero();
    }

    @Test
    void sessionsEndAndTheDesksSooner(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        signIn(student, "wren", "/");
        Visitor desk = new Visitor(ledger.root());
        signIn(desk, "desk", "/desk");
        assertThat(idle(ledger, "wren")).isEqualTo(Duration.ofHours(8).toSeconds());
        assertThat(idle(ledger, "desk")).isEqualTo(Duration.ofMinutes(30).toSeconds());
        desk.post("/autumn-2031/week/notes", "notes", "x", "back", "/");
        assertThat(idle(ledger, "desk"))
                .as("whatever is kept")
                .isEqualTo(Duration.ofMinutes(30).toSeconds());
        assertThat(student.get("/autumn-2031/browse").body()).contains("<b>wren</b>");

        long past = System.currentTimeMillis() - 1_000;
        update(
                ledger,
                "UPDATE ledger.spring_session_attributes SET attribute_bytes = convert_to('{\"number\":" + past
                        + "}', 'UTF8') WHERE attribute_name = 'endsAt' AND session_primary_id IN"
                        + " (SELECT primary_id FROM ledger.spring_session WHERE principal_name = 'wren')");
        assertThat(student.get("/autumn-2031/browse").body()).doesNotContain("<b>wren</b>");
        assertThat(count(ledger, "SELECT count(*) FROM ledger.spring_session WHERE principal_name = 'wren'"))
                .isZero();
    }

    @Test
    void aSessionThatCannotBeReadCountsAsNone(Ledger ledger) throws Exception {
        Visitor student = new Visitor(ledger.root());
        signIn(student, "odo", "/");
        assertThat(written(ledger))
                .as("JSON, which builds nothing but names and roles")
                .contains("\"name\":\"odo\"");
        update(
                ledger,
                "UPDATE ledger.spring_session_attributes SET attribute_bytes = '\\xaced0005'::bytea"
                        + " WHERE session_primary_id IN (SELECT primary_id FROM ledger.spring_session WHERE principal_name = 'odo')");

        HttpResponse<String> page = student.get("/autumn-2031/browse");
        assertThat(page.statusCode()).isEqualTo(200);
        assertThat(page.body()).doesNotContain("<b>odo</b>");
    }

    private static HttpResponse<String> signIn(Visitor visitor, String name, String back) throws Exception {
        return visitor.signIn(name, back);
    }

    private static long idle(Ledger ledger, String name) throws SQLException {
        return count(
                ledger,
                "SELECT max_inactive_interval FROM ledger.spring_session WHERE principal_name = '" + name
                        + "' ORDER BY creation_time DESC LIMIT 1");
    }

    private static String written(Ledger ledger) throws SQLException {
        try (Connection connection = ledger.database().asOwner().getConnection();
                Statement sql = connection.createStatement();
                var rows = sql.executeQuery(
                        "SELECT string_agg(convert_from(attribute_bytes, 'UTF8'), ' ') FROM ledger.spring_session_attributes")) {
            rows.next();
            return rows.getString(1);
        }
    }

    private static long count(Ledger ledger, String query) throws SQLException {
        try (Connection connection = ledger.database().asOwner().getConnection();
                Statement sql = connection.createStatement();
                var rows = sql.executeQuery(query)) {
            return rows.next() ? rows.getLong(1) : 0;
        }
    }

    private static void update(Ledger ledger, String statement) throws SQLException {
        try (Connection connection = ledger.database().asOwner().getConnection();
                Statement sql = connection.createStatement()) {
            sql.execute(statement);
        }
    }
}
