package ample.ledger.web;

import jakarta.servlet.DispatcherType;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.provisioning.InMemoryUserDetailsManager;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Who may see what: anyone may read the pages listed here, and nobody anything else. Pages load only what the application
 * itself ships, and no script or style stands inside a page.
 */
@Configuration(proxyBeanMethods = false)
@ConditionalOnWebApplication
class SecurityConfiguration {

    private static final String[] PUBLIC = {"/", "/assets/**", "/{term}", "/{term}/browse", "/{term}/section/{entry}"};

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
    SecurityFilterChain pages(HttpSecurity http) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, PUBLIC)
                        .permitAll()
                        .requestMatchers(HttpMethod.HEAD, PUBLIC)
                        .permitAll()
                        .anyRequest()
                        .denyAll())
                .exceptionHandling(refused -> refused
                        // What nobody may see is not told apart from what is not there.
                        .authenticationEntryPoint(
                        (request, response, e) -> response.sendError(HttpStatus.NOT_FOUND.value())))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN)))
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    /** Nobody signs in yet. Without this, Spring Boot would make up a user. */
    @Bean
    UserDetailsService nobody() {
        return new InMemoryUserDetailsManager();
    }
}
