package ample.ledger.web.guard;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.web.filter.OncePerRequestFilter;

/** Gives every answer its headers, also those to requests that are refused before Spring Security sees them. */
final class HeadersFirst extends OncePerRequestFilter {

    private final Map<String, String> headers;

    HeadersFirst(FormsLeadTo forms) {
        this.headers = SecurityHeaders.all(forms);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        headers.forEach(response::setHeader);
        if (request.isSecure()) {
            // For a year, once a browser has come by TLS (RFC 6797).
            response.setHeader("Strict-Transport-Security", "max-age=31536000");
        }
        chain.doFilter(request, response);
    }

    /** What Tomcat refuses comes by the page of a trouble alone. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }
}
