package ample.ledger.web.operation;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Gives each request a name, which is in every line of the log that it causes, in the answer's header, and on the page of a trouble; and
 * writes the access log. The log says which page was asked for, never with what: addresses hold secrets of students, and what they look for.
 */
public final class NamedRequests extends OncePerRequestFilter {

    /** Of the field of a line in the log, by the names of the Elastic Common Schema. */
    private static final String FIELD = "http.request.id";

    private static final String HEADER = "X-Request-Id";
    private static final String ATTRIBUTE = NamedRequests.class.getName();
    private static final Logger ACCESS = LoggerFactory.getLogger("access");
    private static final int BYTES = 8;

    private final SecureRandom random = new SecureRandom();
    private final boolean accessLog;

    NamedRequests(OperationSettings settings) {
        this.accessLog = settings.accessLog();
    }

    /** The name of a request; empty before it has one. */
    public static Optional<String> of(HttpServletRequest request) {
        return Optional.ofNullable((String) request.getAttribute(ATTRIBUTE));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String name = HexFormat.of().formatHex(bytes);
        request.setAttribute(ATTRIBUTE, name);
        response.setHeader(HEADER, name);
        long begun = System.nanoTime();
        boolean answered = false;
        MDC.put(FIELD, name);
        try {
            chain.doFilter(request, response);
            answered = true;
        } finally {
            if (accessLog) {
                note(request, answered ? response.getStatus() : 500, begun);
            }
            MDC.remove(FIELD);
        }
    }

    private static void note(HttpServletRequest request, int status, long begun) {
        Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        // The name of the request is in the line already, as in every other that it causes.
        ACCESS.atInfo()
                .addKeyValue("http.request.method", request.getMethod())
                .addKeyValue("url.path", pattern == null ? "none of ours" : pattern.toString())
                .addKeyValue("http.response.status_code", status)
                .addKeyValue("event.duration", System.nanoTime() - begun)
                .log("answered");
    }
}
