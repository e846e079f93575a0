package ample.ledger.web.sign;

import ample.ledger.web.guard.Cookies;
import ample.ledger.web.term.Local;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.security.oauth2.client.web.AuthorizationRequestRepository;
import org.springframework.security.oauth2.core.endpoint.OAuth2AuthorizationRequest;
import org.springframework.security.oauth2.core.endpoint.OAuth2ParameterNames;
import org.springframework.security.oauth2.core.endpoint.PkceParameterNames;
import org.springframework.security.oauth2.core.oidc.endpoint.OidcParameterNames;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is kept of a sign-in that has begun: in a cookie, so that nobody has a session who is not signed in. Only the browser that began
 * can end it, within ten minutes, and once. Each sign-in that has begun has a cookie of its own, for people begin in several windows.
 */
final class SignInCookie implements AuthorizationRequestRepository<OAuth2AuthorizationRequest> {

    private static final String NAME = "ledger-sign-in-";
    private static final int DIGITS = 8;
    private static final String BACK = SignInCookie.class.getName() + ".back";
    private static final Duration LONGEST = Duration.ofMinutes(10);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** What the provider's answer is compared with, and where to go afterwards. */
    private record Begun(String state, String nonce, String verifier, String redirect, String back) {}

    private final Provider provider;

    SignInCookie(Provider provider) {
        this.provider = provider;
    }

    /** Where who has just signed in, or has tried to, goes back to. */
    static String back(HttpServletRequest request) {
        return request.getAttribute(BACK) instanceof String back ? Local.address(back) : "/";
    }

    @Override
    public @Nullable OAuth2AuthorizationRequest loadAuthorizationRequest(HttpServletRequest request) {
        String state = request.getParameter(OAuth2ParameterNames.STATE);
        Optional<Begun> begun = begun(request, state);
        begun.ifPresent(one -> request.setAttribute(BACK, one.back()));
        return begun.filter(one -> one.state().equals(state))
                .flatMap(this::asked)
                .orElse(null);
    }

    @Override
    public void saveAuthorizationRequest(
            @Nullable OAuth2AuthorizationRequest asked, HttpServletRequest request, HttpServletResponse response) {
        if (asked == null) {
            return;
        }
        String back = request.getParameter("back");
        Begun begun = new Begun(
                String.valueOf(asked.getState()),
                String.valueOf(asked.<String>getAttribute(OidcParameterNames.NONCE)),
                String.valueOf(asked.<String>getAttribute(PkceParameterNames.CODE_VERIFIER)),
                String.valueOf(asked.getRedirectUri()),
                Local.address(back == null ? "/" : back));
        byte[] written = JSON.writeValueAsString(begun).getBytes(StandardCharsets.UTF_8);
        Cookies.write(
                request,
                response,
                name(begun.state()),
                Base64.getUrlEncoder().withoutPadding().encodeToString(written),
                LONGEST);
    }

    @Override
    public @Nullable OAuth2AuthorizationRequest removeAuthorizationRequest(
            HttpServletRequest request, HttpServletResponse response) {
        OAuth2AuthorizationRequest asked = loadAuthorizationRequest(request);
        if (asked != null) {
            Cookies.write(request, response, name(String.valueOf(asked.getState())), "", Duration.ZERO);
        }
        return asked;
    }

    private static String name(String state) {
        String letters = state.replaceAll("[^A-Za-z0-9]", "");
        return NAME + letters.substring(0, Math.min(DIGITS, letters.length()));
    }

    private static Optional<Begun> begun(HttpServletRequest request, @Nullable String state) {
        try {
            return Optional.ofNullable(state)
                    .flatMap(one -> Cookies.read(request, name(one)))
                    .map(Base64.getUrlDecoder()::decode)
                    .map(written -> JSON.readValue(written, Begun.class));
        } catch (IllegalArgumentException | JacksonException forged) {
            return Optional.empty();
        }
    }

    private Optional<OAuth2AuthorizationRequest> asked(Begun begun) {
        return provider.registration()
                .map(found -> OAuth2AuthorizationRequest.authorizationCode()
                        .authorizationUri(
                                String.valueOf(found.getProviderDetails().getAuthorizationUri()))
                        .clientId(found.getClientId())
                        .redirectUri(begun.redirect())
                        .scopes(Set.copyOf(found.getScopes()))
                        .state(begun.state())
                        .attributes(Map.of(
                                OAuth2ParameterNames.REGISTRATION_ID,
                                Provider.ID,
                                OidcParameterNames.NONCE,
                                begun.nonce(),
                                PkceParameterNames.CODE_VERIFIER,
                                begun.verifier()))
                        .build());
    }
}
