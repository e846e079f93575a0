package ample.ledger.standin.registrar;

import ample.ledger.standin.StandinSettings;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Lets only programs that have the key ask the registrar. */
@Component
class KeyOnly extends OncePerRequestFilter {

    private final byte[] expected;
    private final boolean closed;
    private final JsonMapper json;

    KeyOnly(StandinSettings settings, JsonMapper json) {
        this.expected = ("Bearer " + settings.key()).getBytes(StandardCharsets.UTF_8);
        this.closed = settings.key().isBlank();
        this.json = json;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/registrar/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String given = request.getHeader(HttpHeaders.AUTHORIZATION);
        boolean right = given != null && MessageDigest.isEqual(given.getBytes(StandardCharsets.UTF_8), expected);
        if (right && !closed) {
            chain.doFilter(request, response);
            return;
        }
        ProblemDetail problem = Problems.of(
                HttpStatus.UNAUTHORIZED,
                "no-key",
                "The key is missing or wrong",
                "Send it as Authorization: Bearer KEY.");
        response.setStatus(HttpStatus.UNAUTHORIZED.value());
        response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getOutputStream().write(json.writeValueAsBytes(problem));
    }
}
