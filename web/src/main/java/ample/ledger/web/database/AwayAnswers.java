package ample.ledger.web.database;

import ample.ledger.web.guard.Refusal;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Says that the database is away where that is found out before, or after, a page is made: while somebody signs in. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 40)
class AwayAnswers extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (DataAccessException | TransactionException away) {
            logger.warn("A request could not be answered: " + away.getMessage());
            if (!response.isCommitted()) {
                Refusal.sendAway(request, response);
            }
        }
    }
}
