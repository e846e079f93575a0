package ample.ledger.web.guard;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The headers that every page has, whoever writes it. */
final class SecurityHeaders {

    /** Pages load only what the application itself ships, and no script or style stands inside a page. */
    private static final String CONTENT_POLICY = String.join(
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

    /** For pages without a form. */
    static final Map<String, String> ALL = all(new FormsLeadTo(Optional.empty()));

    private SecurityHeaders() {}

    /** By name, for every page. A browser follows the redirect of a form to no origin but our own and the one named. */
    static Map<String, String> all(FormsLeadTo forms) {
        return Map.of(
                "Content-Security-Policy",
                CONTENT_POLICY.replace(
                        "form-action 'self'",
                        Stream.concat(Stream.of("form-action 'self'"), forms.origin().stream())
                                .collect(Collectors.joining(" "))),
                "X-Content-Type-Options",
                "nosniff",
                "X-Frame-Options",
                "DENY",
                "Referrer-Policy",
                "same-origin");
    }
}
