package ample.ledger.web.sign;

import ample.ledger.web.guard.ClientAddress;
import ample.ledger.web.guard.Limits;
import ample.ledger.web.guard.Refusal;
import ample.ledger.web.guard.TooManyException;
import ample.ledger.web.guest.Keeping;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.stereotype.Component;

/** What is seen to before somebody may sign in, or act as who has signed in. */
@Component
public class SignInFilters {

    private static final RequestMatcher SIGN_IN =
            PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, "/sign-in");

    private final Limits limits;
    private final SignInWaits waits;

    SignInFilters(Limits limits, SignInWaits waits) {
        this.limits = limits;
        this.waits = waits;
    }

    /** Puts them in their places among those of Spring Security. */
    public void addTo(HttpSecurity http) {
        http.addFilterBefore(new NobodyKnown(), SecurityContextHolderFilter.class);
        http.addFilterBefore(new Waiting(), UsernamePasswordAuthenticationFilter.class);
    }

    /** While it cannot be found out who asks, nothing is changed, and nothing of the desk's is shown. */
    private static final class NobodyKnown implements Filter {

        @Override
        public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
                throws IOException, ServletException {
            HttpServletRequest asked = (HttpServletRequest) request;
            boolean public_ =
                    asked.getMethod().equals("GET") && !asked.getRequestURI().startsWith("/desk");
            if (!public_ && asked.getRequestedSessionId() != null && isUnknown(asked.getSession(false))) {
                Refusal.sendAway(asked, (HttpServletResponse) response);
            } else {
                chain.doFilter(request, response);
            }
        }

        private static boolean isUnknown(@Nullable HttpSession session) {
            return session != null && session.getAttribute(Keeping.AWAY_SESSION) != null;
        }
    }

    /** Before a password is looked at, which costs a tenth of a second each time. */
    private final class Waiting implements Filter {

        @Override
        public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
                throws IOException, ServletException {
            HttpServletRequest asked = (HttpServletRequest) request;
            if (SIGN_IN.matches(asked)) {
                try {
                    limits.count(Limits.Act.SIGN_IN, asked);
                    waits.check(SignOn.account(asked), ClientAddress.of(asked));
                } catch (TooManyException tooMany) {
                    Refusal.send(asked, (HttpServletResponse) response, tooMany);
                    return;
                }
            }
            chain.doFilter(request, response);
        }
    }
}
