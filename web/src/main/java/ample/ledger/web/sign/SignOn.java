package ample.ledger.web.sign;

import ample.ledger.web.guard.ClientAddress;
import ample.ledger.web.guard.Refusal;
import ample.ledger.web.guest.Keeping;
import ample.ledger.web.term.Addresses;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Supplier;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.oauth2.client.registration.ClientRegistrationRepository;
import org.springframework.security.oauth2.client.web.DefaultOAuth2AuthorizationRequestResolver;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestCustomizers;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestResolver;
import org.springframework.security.oauth2.core.OAuth2AuthenticationException;
import org.springframework.security.oauth2.core.endpoint.OAuth2AuthorizationRequest;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.FlashMapManager;
import org.springframework.web.util.UriComponentsBuilder;

/** Signing in at the institution's sign-on and out again: what is asked of it, and what follows. */
@Component
public class SignOn {

    /** The role of the registrar's desk. */
    public static final String DESK = "DESK";

    private static final Logger LOG = LoggerFactory.getLogger(SignOn.class);

    private final Keeping keeping;
    private final Provider provider;
    private final ClientRegistrationRepository providers;
    private final SignInSettings settings;
    private final FlashMapManager told;

    SignOn(
            Keeping keeping,
            Provider provider,
            ClientRegistrationRepository providers,
            SignInSettings settings,
            FlashMapManager told) {
        this.provider = provider;
        this.providers = providers;
        this.keeping = keeping;
        this.settings = settings;
        this.told = told;
    }

    /** Lets Spring Security sign people in and out in this way. */
    public void addTo(HttpSecurity http) {
        http.oauth2Login(login -> login.loginPage("/sign-in")
                        .authorizationEndpoint(asking -> asking.authorizationRequestResolver(asking())
                                .authorizationRequestRepository(new SignInCookie(provider)))
                        .tokenEndpoint(tokens -> tokens.accessTokenResponseClient(provider.tokens()))
                        .userInfoEndpoint(users -> users.oidcUserService(new Roles(settings)))
                        .successHandler(this::signedIn)
                        .failureHandler(this::refused))
                .logout(out -> out.logoutRequestMatcher(
                                PathPatternRequestMatcher.withDefaults().matcher(HttpMethod.POST, "/sign-out"))
                        .logoutSuccessHandler(this::signedOut));
    }

    /** With proof that who ends a sign-in is who began it: RFC 7636. While the provider does not answer, nothing is asked of it. */
    private OAuth2AuthorizationRequestResolver asking() {
        DefaultOAuth2AuthorizationRequestResolver resolver =
                new DefaultOAuth2AuthorizationRequestResolver(providers, SignController.BEGIN);
        resolver.setAuthorizationRequestCustomizer(OAuth2AuthorizationRequestCustomizers.withPkce());
        return new OAuth2AuthorizationRequestResolver() {

            @Override
            public @Nullable OAuth2AuthorizationRequest resolve(HttpServletRequest request) {
                // Asked of every request: only one that begins a sign-in may wait for the provider.
                boolean begins = request.getRequestURI().startsWith(SignController.BEGIN);
                return begins ? asked(() -> resolver.resolve(request)) : null;
            }

            @Override
            public @Nullable OAuth2AuthorizationRequest resolve(HttpServletRequest request, String id) {
                return asked(() -> resolver.resolve(request, id));
            }
        };
    }

    /** None also for a query that cannot be decoded: then the page says so, as every other page does. */
    private @Nullable OAuth2AuthorizationRequest asked(Supplier<@Nullable OAuth2AuthorizationRequest> asking) {
        try {
            return provider.registration().isEmpty() ? null : asking.get();
        } catch (InvalidParameterException undecodable) {
            return null;
        }
    }

    /** A student takes along what they kept as a guest, and goes back to where they were; the desk goes to its page. */
    private void signedIn(HttpServletRequest request, HttpServletResponse response, Authentication who)
            throws IOException {
        boolean student = is(who, Keeping.STUDENT);
        boolean desk = is(who, DESK);
        Instant now = Instant.now();
        SignedInSessions.limit(
                request.getSession(),
                desk ? settings.deskIdle() : settings.studentIdle(),
                now.plus(desk ? settings.deskLongest() : settings.studentLongest()));
        LOG.info("{} has signed in from {}", who.getName(), ClientAddress.of(request));
        String back = SignInCookie.back(request);
        String address = back.equals("/") && desk ? "/desk" : back;
        if (student) {
            tell(keeping.adopt(request, who.getName()), request, response, address);
        }
        response.sendRedirect(address);
    }

    private static boolean is(Authentication who, String role) {
        return who.getAuthorities().stream().anyMatch(one -> ("ROLE_" + role).equals(one.getAuthority()));
    }

    private void tell(
            Keeping.Adopted adopted, HttpServletRequest request, HttpServletResponse response, String address) {
        String all = adopted.all()
                ? ""
                : "Some plans of this visit were not moved to your account, which is full. You find them here again after signing out.";
        String offered = adopted.offered()
                ? "Courses that you typed before signing in are not on your record. Under My record you can keep them as what-if lines or delete them."
                : "";
        String both = (all + " " + offered).strip();
        if (!both.isEmpty()) {
            FlashMap map = new FlashMap();
            map.put("signedIn", both);
            map.setTargetRequestPath(address.replaceAll("[?#].*", ""));
            told.saveOutputFlashMap(map, request, response);
        }
    }

    /** Says on the page to sign in what went wrong, and keeps where the visitor was. */
    private void refused(HttpServletRequest request, HttpServletResponse response, AuthenticationException why)
            throws IOException {
        if (!(why instanceof OAuth2AuthenticationException refused)) {
            Refusal.sendAway(request, response);
            return;
        }
        SignInFault fault = SignInFault.of(refused);
        LOG.warn("Signing in from {} has failed: {}", ClientAddress.of(request), refused.getError());
        response.sendRedirect(
                Addresses.with(Addresses.with("/sign-in", "fault", fault.code()), "back", SignInCookie.back(request)));
    }

    /** Ends the session at the provider too, which leads back here. */
    private void signedOut(HttpServletRequest request, HttpServletResponse response, @Nullable Authentication who)
            throws IOException {
        Optional<String> token = Optional.ofNullable(who).flatMap(SessionJson::token);
        Optional<String> there = token.isEmpty() ? Optional.empty() : provider.signOut();
        response.sendRedirect(there.map(address -> UriComponentsBuilder.fromUriString(address)
                        .queryParam("id_token_hint", "{token}")
                        .queryParam("client_id", "{client}")
                        .queryParam("post_logout_redirect_uri", "{home}")
                        .encode()
                        .buildAndExpand(token.orElseThrow(), settings.clientId(), home(request))
                        .toUriString())
                .orElse("/"));
    }

    private static String home(HttpServletRequest request) {
        return UriComponentsBuilder.fromUriString(request.getRequestURL().toString())
                .replacePath("/")
                .replaceQuery(null)
                .toUriString();
    }
}
