package ample.ledger.web;

import ample.ledger.web.sign.SignInFilters;
import ample.ledger.web.sign.SignOn;
import ample.ledger.web.term.Addresses;
import jakarta.servlet.DispatcherType;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.SessionManagementConfigurer;
import org.springframework.security.web.AuthenticationEntryPoint;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.NullRequestCache;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;

/**
 * Who may see what: anyone may read the pages listed here, the registrar's desk may post, and nobody may do anything else. That only
 * our own pages change anything is seen to before, in {@code guard}: no token is needed for it, and so no session for a form.
 */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class SecurityConfiguration {

    private static final String[] PUBLIC = {
        "/",
        "/assets/**",
        "/lists/**",
        "/notices",
        "/notices/feed/*",
        "/letters/stop/*",
        "/sign-in",
        "/sign-in/begin/institution",
        "/preferences",
        "/kept",
        "/kept/all.json",
        "/record",
        "/{term}",
        "/{term}/browse/**",
        "/{term}/find/**",
        "/{term}/section/{entry}",
        "/{term}/section/{entry}/calendar.ics",
        "/{term}/course/{code}",
        "/{term}/line-up",
        "/{term}/opening",
        "/{term}/ready",
        "/{term}/registration",
        "/{term}/registration/change",
        "/{term}/registration/confirmation.txt",
        "/{term}/rounds",
        "/{term}/rounds/{round}",
        "/{term}/week",
        "/{term}/week/calendar.ics",
        "/{term}/week/plan.json",
        "/shared/*",
        "/shared/*/calendar.ics",
        "/{term}/seats/**",
        "/season/{season}/seats/**",
        "/season/{season}/browse/**",
        "/season/{season}/find/**"
    };

    /** What guests may send, one by one: what is added to My week is not open to everybody by its address alone. */
    private static final String[] GUESTS = {
        "/preferences",
        "/preferences/home",
        "/kept/delete",
        "/record",
        "/record/forget",
        "/record/offered",
        "/briefs/save",
        "/briefs/forget",
        "/briefs/watch",
        "/notices/seen",
        "/notices/letters",
        "/notices/feed",
        "/letters/stop/*",
        "/{term}/watch",
        "/{term}/unwatch",
        "/{term}/week/add",
        "/{term}/week/remove",
        "/{term}/week/standing",
        "/{term}/week/swap",
        "/{term}/week/notes",
        "/{term}/week/plans",
        "/{term}/week/undo",
        "/{term}/week/busy",
        "/{term}/week/free",
        "/{term}/week/calendar",
        "/{term}/week/bring",
        "/{term}/week/share",
        "/{term}/week/withdraw",
        "/{term}/week/stop",
        "/{term}/ready/submit",
        "/{term}/rounds/{round}/wishes"
    };

    private static final String[] DESK = {"/desk", "/desk/**"};

    /** The addresses that somebody may ask for, or, where it says so, send something to. */
    static List<String> listed(boolean sending) {
        return Stream.of(sending ? GUESTS : PUBLIC, DESK)
                .flatMap(Arrays::stream)
                .toList();
    }

    @Bean
    SecurityFilterChain pages(HttpSecurity http, SignOn signOn, SignInFilters filters) throws Exception {
        filters.addTo(http);
        signOn.addTo(http);
        return http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers(DESK)
                        .hasRole(SignOn.DESK)
                        .requestMatchers(HttpMethod.GET, PUBLIC)
                        .permitAll()
                        .requestMatchers(HttpMethod.HEAD, PUBLIC)
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, GUESTS)
                        .permitAll()
                        .anyRequest()
                        .denyAll())
                .csrf(AbstractHttpConfigurer::disable)
                .requestCache(cache -> cache.requestCache(new NullRequestCache()))
                // A new person is a new session: nothing of the one before is seen by who signs in next.
                .sessionManagement(sessions ->
                        sessions.sessionFixation(SessionManagementConfigurer.SessionFixationConfigurer::newSession))
                .exceptionHandling(refused -> refused.defaultAuthenticationEntryPointFor(
                                signInFirst(),
                                PathPatternRequestMatcher.withDefaults().matcher("/desk/**"))
                        // What nobody may see is not told apart from what is not there.
                        .defaultAuthenticationEntryPointFor(
                                (request, response, e) -> response.sendError(HttpStatus.NOT_FOUND.value()),
                                AnyRequestMatcher.INSTANCE))
                .headers(headers -> headers.referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }

    /** The address that was asked for is gone to afterwards, if it is one that can be asked for again. */
    private static AuthenticationEntryPoint signInFirst() {
        return (request, response, e) -> response.sendRedirect(Addresses.with(
                "/sign-in", "back", request.getMethod().equals("GET") ? request.getRequestURI() : "/desk"));
    }
}
