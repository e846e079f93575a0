package ample.ledger.web;

import ample.ledger.web.sign.SignOn;
import jakarta.servlet.DispatcherType;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;

/**
 * Who may see what: anyone may read the pages listed here, the registrar's desk may post, and nobody may do anything else.
 * Pages load only what the application itself ships, and no script or style stands inside a page.
 */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class SecurityConfiguration {

    private static final String[] PUBLIC = {
        "/",
        "/assets/**",
        "/lists/**",
        "/sign-in",
        "/preferences",
        "/record",
        "/{term}",
        "/{term}/browse/**",
        "/{term}/find/**",
        "/{term}/section/{entry}",
        "/{term}/section/{entry}/calendar.ics",
        "/{term}/course/{code}",
        "/{term}/line-up",
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

    /**
     * What guests may send. It is kept in, or found by, cookies that browsers do not send along from other sites, so that no token has to
     * guard it, and no session has to be kept for every visitor.
     */
    private static final String[] GUESTS = {"/preferences", "/record", "/{term}/week/*", "/briefs/*"};

    private static final String CONTENT_POLICY = String.join(
            "; ",
            "default-src 'none'",
            "script-src 'self'",
            "style-src 'self'",
            "img-src 'self'",
            "font-src 'self'",
            "connect-src 'self'",
            "form-action 'self'",
            "base-uri 'none'",
            "frame-ancestors 'none'");

    @Bean
    SecurityFilterChain pages(HttpSecurity http, AuthenticationSuccessHandler signedIn) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers("/desk", "/desk/**")
                        .hasRole(SignOn.DESK)
                        .requestMatchers(HttpMethod.GET, PUBLIC)
                        .permitAll()
                        .requestMatchers(HttpMethod.HEAD, PUBLIC)
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, GUESTS)
                        .permitAll()
                        .anyRequest()
                        .denyAll())
                .csrf(csrf -> csrf.ignoringRequestMatchers(GUESTS))
                .formLogin(form -> form.loginPage("/sign-in")
                        .successHandler(signedIn)
                        .failureUrl("/sign-in?again")
                        .permitAll())
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/"))
                .exceptionHandling(refused -> refused.defaultAuthenticationEntryPointFor(
                                new LoginUrlAuthenticationEntryPoint("/sign-in"),
                                PathPatternRequestMatcher.withDefaults().matcher("/desk/**"))
                        // What nobody may see is not told apart from what is not there.
                        .defaultAuthenticationEntryPointFor(
                                (request, response, e) -> response.sendError(HttpStatus.NOT_FOUND.value()),
                                AnyRequestMatcher.INSTANCE))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
                .build();
    }
}
