package ample.ledger.web.guard;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;

/**
 * Cookies of the application. None is seen by scripts, and none is sent along by forms of other sites. Where the application
 * is served by TLS, they are sent by TLS only. Their names then begin with {@code __Host-}: a browser lets no other host set
 * such a cookie, not even one of the same domain.
 */
public final class Cookies {

    private static final String PREFIX = "__Host-";

    private Cookies() {}

    /** The name under which the cookie is sent with this request. */
    public static String name(HttpServletRequest request, String plain) {
        return request.isSecure() ? PREFIX + plain : plain;
    }

    public static Optional<String> read(HttpServletRequest request, String plain) {
        String name = name(request, plain);
        return Optional.ofNullable(request.getCookies()).stream()
                .flatMap(Arrays::stream)
                .filter(cookie -> cookie.getName().equals(name))
                .map(Cookie::getValue)
                .flatMap(Stream::ofNullable)
                .findFirst();
    }

    /** @param kept zero removes the cookie */
    public static void write(
            HttpServletRequest request, HttpServletResponse response, String plain, String value, Duration kept) {
        response.addHeader(
                HttpHeaders.SET_COOKIE,
                ResponseCookie.from(name(request, plain), value)
                        .path("/")
                        .maxAge(kept)
                        .httpOnly(true)
                        .sameSite("Lax")
                        .secure(request.isSecure())
                        .build()
                        .toString());
    }
}
