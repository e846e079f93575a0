package ample.ledger.web.guard;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses what is too long for anything that a visitor may send, before any of it is read. The posting desk sends whole bundles. */
final class BodySize extends OncePerRequestFilter {

    /** A calendar of 1 MiB, and the form around it. */
    private static final long MOST = (1 << 20) + (1 << 16);

    private static final String DESK = "/desk/";

    private static final Refusal TOO_LONG = new Refusal(
            "That file or form is too large.", "Nothing was changed. A calendar file has at most 1 MB, a plan 64 KB.");

    private static final Refusal NO_LENGTH =
            new Refusal("The request does not say how long it is.", "Nothing was changed.");

    private final Limits limits;

    BodySize(Limits limits) {
        this.limits = limits;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getRequestURI().startsWith(DESK)) {
            chain.doFilter(request, response);
        } else if (request.getHeader("Transfer-Encoding") != null) {
            NO_LENGTH.sendBare(response, HttpStatus.LENGTH_REQUIRED);
        } else if (request.getContentLengthLong() > MOST) {
            refuse(request, response);
        } else {
            chain.doFilter(request, response);
        }
    }

    /** Who does so again and again is not listened to until the end. */
    private void refuse(HttpServletRequest request, HttpServletResponse response) throws IOException {
        try {
            limits.count(Limits.Act.UPLOAD, request);
            TOO_LONG.sendBare(response, HttpStatus.CONTENT_TOO_LARGE);
        } catch (TooManyException tooMany) {
            request.setAttribute(SlowBodies.HANG_UP, true);
            Refusal.sendBare(response, tooMany);
        }
    }
}
