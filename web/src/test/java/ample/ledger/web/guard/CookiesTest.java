package ample.ledger.web.guard;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.Cookie;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.servlet.FlashMap;

/** Cookies, and what the next page is told by one. */
class CookiesTest {

    private final MockHttpServletRequest request = new MockHttpServletRequest("GET", "/autumn-2031/week");
    private final MockHttpServletResponse response = new MockHttpServletResponse();
    private final CookieFlashMaps told = new CookieFlashMaps();

    @Test
    void scriptsAndOtherSitesDoNotGetThem() {
        Cookies.write(request, response, "ledger-guest", "secret", Duration.ofDays(60));

        assertThat(response.getHeader("Set-Cookie"))
                .contains("ledger-guest=secret", "HttpOnly", "SameSite=Lax", "Path=/", "Max-Age=5184000")
                .doesNotContain("Secure", "Domain");
    }

    /** RFC 6265bis, section 4.1.3.2: with this prefix no neighbouring host can set it. */
    @Test
    void overTlsTheyBelongToThisHostAlone() {
        request.setSecure(true);
        Cookies.write(request, response, "ledger-guest", "secret", Duration.ofDays(60));

        assertThat(response.getHeader("Set-Cookie"))
                .startsWith("__Host-ledger-guest=secret")
                .contains("Secure", "Path=/")
                .doesNotContain("Domain");
        request.setCookies(new Cookie("ledger-guest", "planted"), new Cookie("__Host-ledger-guest", "ours"));
        assertThat(Cookies.read(request, "ledger-guest")).hasValue("ours");
    }

    @Test
    void whatIsToldComesBackOnceOnThePageItIsFor() {
        tell(Map.of(
                "told",
                List.of("“x.ics” was not read.", "Nothing was changed."),
                "typed",
                Map.of("day", List.of("mon"))));

        assertThat((Object) told.retrieveAndUpdate(next("/elsewhere"), response))
                .isNull();
        Map<String, Object> read = told.retrieveAndUpdate(next("/autumn-2031/week"), response);
        assertThat(read)
                .containsEntry("told", List.of("“x.ics” was not read.", "Nothing was changed."))
                .containsEntry("typed", Map.of("day", List.of("mon")));
        assertThat(response.getHeaders("Set-Cookie")).last().asString().contains("ledger-told=;", "Max-Age=0");
    }

    /** A browser keeps 4,096 bytes of a cookie. */
    @Test
    void whatIsTooLongIsCutAndNeverTooLongForABrowser() {
        List<String> sentences = new ArrayList<>();
        IntStream.range(0, 500)
                .forEach(i -> sentences.add("busy[%d]: %s"
                        .formatted(i, Integer.toString(i * 7919, 36).repeat(20))));
        tell(Map.of("told", sentences));

        assertThat(response.getHeader("Set-Cookie")).hasSizeLessThan(4_096);
        Map<String, Object> read = told.retrieveAndUpdate(next("/autumn-2031/week"), response);
        assertThat(read)
                .hasEntrySatisfying(
                        "told", some -> assertThat((List<?>) some).isNotEmpty().hasSizeLessThan(500));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "x", "eJw", "%%%", "eJyrVkrLz1eyUkpKLFKqBQAfngVJ", "AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA"})
    void whatSomebodyElseMadeUpSaysNothing(String value) {
        request.setCookies(new Cookie("ledger-told", value));

        Map<String, Object> read = told.retrieveAndUpdate(request, response);
        assertThat(read).isNullOrEmpty();
    }

    private void tell(Map<String, Object> said) {
        FlashMap map = new FlashMap();
        map.putAll(said);
        map.setTargetRequestPath("/autumn-2031/week");
        told.saveOutputFlashMap(map, request, response);
    }

    private MockHttpServletRequest next(String path) {
        MockHttpServletRequest next = new MockHttpServletRequest("GET", path);
        next.setCookies(response.getCookie("ledger-told"));
        return next;
    }
}
