package ample.ledger.web.browse;

import ample.ledger.web.guard.GuardSettings;
import ample.ledger.web.guard.Refusal;
import ample.ledger.web.guard.TooManyException;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets only few lists be written whole at once: each is thousands of lines, and takes a processor for seconds. */
@Component
@ConditionalOnWebApplication
class WholeLists extends OncePerRequestFilter {

    /** About as long as one takes. */
    private static final Duration WAIT = Duration.ofSeconds(5);

    private final Semaphore places;

    WholeLists(GuardSettings settings) {
        places = new Semaphore(settings.wholeLists());
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().endsWith("/browse") || !"yes".equals(request.getParameter("whole"));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!places.tryAcquire()) {
            Refusal.sendBare(
                    response, new TooManyException("Other lists are being written on one page just now.", WAIT));
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            places.release();
        }
    }
}
