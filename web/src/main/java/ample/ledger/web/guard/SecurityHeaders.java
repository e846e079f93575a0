package ample.ledger.web.guard;

import java.util.Map;

/** The headers that every page has, whoever writes it. */
public final class SecurityHeaders {

    /** Pages load only what the application itself ships, and no script or style stands inside a page. */
    public static final String CONTENT_POLICY = String.join(
            "; ",
            "default-src 'none'",
            "script-src 'self'",
            "style-src 'self'",
            "img-src 'self'",
            "font-src 'self'",
            "connect-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    /** By name, for pages that Spring Security does not see. */
    static final Map<String, String> ALL = Map.of(
            "Content-Security-Policy", CONTENT_POLICY,
            "X-Content-Type-Options", "nosniff",
            "X-Frame-Options", "DENY",
            "Referrer-Policy", "same-origin");

    private SecurityHeaders() {}
}
