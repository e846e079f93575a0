package ample.ledger.web.sign;

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
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.oauth2.client.web.OAuth2LoginAuthenticationFilter;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.RequestMatcher;
import org.springframework.stereotype.Component;

/** What is seen to before somebody may sign in, or act as who has signed in. */
@Component
public class SignInFilters {

    private static final RequestMatcher ANSWERED =
            PathPatternRequestMatcher.withDefaults().matcher("/login/oauth2/code/*");

    private final Limits limits;

    SignInFilters(Limits limits) {
        this.limits = limits;
    }

    /** Puts them in their places among those of Spring Security. */
    public void addTo(HttpSecurity http) {
        http.addFilterBefore(new NobodyKnown(), SecurityContextHolderFilter.class);
        http.addFilterBefore(new Counted(), OAuth2LoginAuthenticationFilter.class);
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

    /** Before the provider is asked about a code, which takes it some work. */
    private final class Counted implements Filter {

        @Override
        public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
                throws IOException, ServletException {
            HttpServletRequest asked = (HttpServletRequest) request;
            if (ANSWERED.matches(asked)) {
                try {
                    limits.count(Limits.Act.SIGN_IN, asked);
                } catch (TooManyException tooMany) {
                    Refusal.send(asked, (HttpServletResponse) response, tooMany);
                    return;
                }
            }
            chain.doFilter(request, response);
        }
    }
}
