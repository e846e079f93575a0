package ample.ledger.web.guest;

import ample.ledger.store.Retention;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets every request have its guest's cookie at hand, and the answer that a new one is sent with. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 30)
class GuestCookieFilter extends OncePerRequestFilter {

    private final Retention retention;

    GuestCookieFilter(Retention retention) {
        this.retention = retention;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        request.setAttribute(GuestCookie.NAME, new GuestCookie(request, response, retention.guests()));
        chain.doFilter(request, response);
    }
}
