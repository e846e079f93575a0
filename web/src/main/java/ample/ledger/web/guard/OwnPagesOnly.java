package ample.ledger.web.guard;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * Lets only our own pages change anything, whoever is signed in: browsers say with each request which page sent it ({@code
 * Sec-Fetch-Site}, Fetch Metadata Request Headers, W3C), or at least which origin ({@code Origin}, RFC 6454). No page of another site
 * can say otherwise. A request with neither is no browser's, or an old one's, and is refused too: OWASP's cheat sheet on cross-site
 * request forgery. Letters are stopped by mail programs too, which send nothing of the kind (RFC 8058); there the address itself is the secret.
 */
final class OwnPagesOnly extends OncePerRequestFilter {

    private static final Set<String> SAFE = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

    /** A page of ours, or the visitor's own doing: an address typed, a bookmark. */
    private static final Set<String> OURS = Set.of("same-origin", "none");

    /** Whoever knows the rest of it may send to it from anywhere. */
    private static final String STOPS_LETTERS = "/letters/stop/";

    private static final String SITE = "Sec-Fetch-Site";

    private static final Refusal ELSEWHERE = new Refusal(
            "This was sent by another site, and nothing was changed.",
            "Only our own pages can change what you keep here. Open the page again and do it there.");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (SAFE.contains(request.getMethod()) || fromOurPages(request)) {
            chain.doFilter(request, response);
        } else {
            ELSEWHERE.send(request, response, HttpStatus.FORBIDDEN);
        }
    }

    private static boolean fromOurPages(HttpServletRequest request) {
        if (request.getRequestURI().startsWith(STOPS_LETTERS)) {
            return true;
        }
        String site = request.getHeader(SITE);
        return site != null ? OURS.contains(site) : ours(request).equals(request.getHeader(HttpHeaders.ORIGIN));
    }

    /** Scheme, host and port, as browsers write an origin: without the port where it is the usual one. */
    private static String ours(HttpServletRequest request) {
        UriComponentsBuilder origin =
                UriComponentsBuilder.newInstance().scheme(request.getScheme()).host(request.getServerName());
        boolean usual = request.getServerPort() == (request.isSecure() ? 443 : 80);
        return (usual ? origin : origin.port(request.getServerPort())).build().toUriString();
    }
}
