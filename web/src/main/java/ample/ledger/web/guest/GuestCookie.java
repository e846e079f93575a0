package ample.ledger.web.guest;

import ample.ledger.store.Visitors;
import ample.ledger.web.guard.Cookies;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.Base64;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * The cookie by which a guest is known again: a secret that only their browser keeps. What is kept for them lies under its
 * digest, so that nobody who reads the database can pass for them.
 */
final class GuestCookie {

    static final String NAME = "ledger-guest";

    private static final Pattern FORM = Pattern.compile("[A-Za-z0-9_-]{32}");

    private final HttpServletRequest request;
    private final HttpServletResponse response;
    private final Duration kept;
    private Optional<String> secret;

    /** @param kept for how long a guest is kept who does not come any more */
    GuestCookie(HttpServletRequest request, HttpServletResponse response, Duration kept) {
        this.kept = kept;
        this.request = request;
        this.response = response;
        this.secret =
                Cookies.read(request, NAME).filter(value -> FORM.matcher(value).matches());
    }

    /** The cookie of this request; {@link GuestCookieFilter} has put it there. */
    static GuestCookie of(HttpServletRequest request) {
        if (request.getAttribute(NAME) instanceof GuestCookie cookie) {
            return cookie;
        }
        throw new IllegalStateException("The filter of guests' cookies has not seen this request");
    }

    /** How the guest is named in the store; empty for who has no cookie. */
    Optional<String> owner() {
        return secret.map(GuestCookie::owner);
    }

    private static String owner(String secret) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.US_ASCII));
            return Visitors.guest(Base64.getUrlEncoder().withoutPadding().encodeToString(digest));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    /** Gives the guest a new one, whatever they had. */
    void begin() {
        secret = Optional.of(Secrets.next());
        renew();
    }

    /** Lets the browser keep it for as long as the guest is kept from now on. */
    void renew() {
        secret.ifPresent(value -> Cookies.write(request, response, NAME, value, kept));
    }

    /** Takes it away. */
    void end() {
        if (secret.isPresent()) {
            secret = Optional.empty();
            Cookies.write(request, response, NAME, "", Duration.ZERO);
        }
    }
}
