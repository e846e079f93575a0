package ample.ledger.standin.sign;

import ample.ledger.standin.StandinSettings;
import ample.ledger.standin.people.People;
import ample.ledger.standin.people.People.Somebody;
import com.nimbusds.jose.JOSEException;
import com.nimbusds.jose.jwk.Curve;
import com.nimbusds.jose.jwk.JWKSet;
import com.nimbusds.jose.jwk.gen.ECKeyGenerator;
import com.nimbusds.jose.jwk.source.ImmutableJWKSet;
import com.nimbusds.jose.jwk.source.JWKSource;
import com.nimbusds.jose.proc.SecurityContext;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.oauth2.core.AuthorizationGrantType;
import org.springframework.security.oauth2.core.ClientAuthenticationMethod;
import org.springframework.security.oauth2.core.oidc.OidcScopes;
import org.springframework.security.oauth2.core.oidc.endpoint.OidcParameterNames;
import org.springframework.security.oauth2.jose.jws.SignatureAlgorithm;
import org.springframework.security.oauth2.server.authorization.client.InMemoryRegisteredClientRepository;
import org.springframework.security.oauth2.server.authorization.client.RegisteredClient;
import org.springframework.security.oauth2.server.authorization.client.RegisteredClientRepository;
import org.springframework.security.oauth2.server.authorization.oidc.authentication.OidcLogoutAuthenticationContext;
import org.springframework.security.oauth2.server.authorization.oidc.authentication.OidcLogoutAuthenticationProvider;
import org.springframework.security.oauth2.server.authorization.oidc.authentication.OidcLogoutAuthenticationToken;
import org.springframework.security.oauth2.server.authorization.settings.AuthorizationServerSettings;
import org.springframework.security.oauth2.server.authorization.settings.ClientSettings;
import org.springframework.security.oauth2.server.authorization.settings.TokenSettings;
import org.springframework.security.oauth2.server.authorization.token.JwtEncodingContext;
import org.springframework.security.oauth2.server.authorization.token.OAuth2TokenCustomizer;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.util.matcher.MediaTypeRequestMatcher;

/** Sign-on: OpenID Connect for programs, and a page with a form for people. */
@Configuration(proxyBeanMethods = false)
class SignOnConfiguration {

    /** Below what a real sign-on takes: everybody of the demo has one password, which its documents tell. */
    private static final int STRENGTH = 6;

    /** By elliptic curves: a key for RSA takes seconds of each start. */
    private static final SignatureAlgorithm SIGNS_BY = SignatureAlgorithm.ES256;

    @Bean
    @Order(1)
    SecurityFilterChain protocol(HttpSecurity http) throws Exception {
        return http.oauth2AuthorizationServer(server -> {
                    http.securityMatcher(server.getEndpointsMatcher());
                    server.oidc(oidc -> oidc.logoutEndpoint(logout ->
                                    logout.authenticationProviders(providers -> providers.forEach(provider -> {
                                        if (provider instanceof OidcLogoutAuthenticationProvider out) {
                                            out.setAuthenticationValidator(goesBackToAProgramOfOurs());
                                        }
                                    })))
                            .providerConfigurationEndpoint(description -> description.providerConfigurationCustomizer(
                                    says -> says.idTokenSigningAlgorithms(algorithms -> {
                                        algorithms.clear();
                                        algorithms.add(SIGNS_BY.getName());
                                    }))));
                })
                .authorizeHttpRequests(requests -> requests.anyRequest().authenticated())
                .exceptionHandling(refused -> refused.defaultAuthenticationEntryPointFor(
                        new LoginUrlAuthenticationEntryPoint("/sign-in"),
                        new MediaTypeRequestMatcher(MediaType.TEXT_HTML)))
                .build();
    }

    /** The registrar has a key of its own, and needs nobody's session. */
    @Bean
    @Order(2)
    SecurityFilterChain registrar(HttpSecurity http) throws Exception {
        return http.securityMatcher("/registrar/**")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(AbstractHttpConfigurer::disable)
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .build();
    }

    @Bean
    @Order(3)
    SecurityFilterChain pages(HttpSecurity http) throws Exception {
        return http.authorizeHttpRequests(
                        requests -> requests.requestMatchers("/", "/clock", "/letters", "/sign-in", "/*.css", "/error")
                                .permitAll()
                                .anyRequest()
                                .denyAll())
                .formLogin(form ->
                        form.loginPage("/sign-in").failureUrl("/sign-in?again").permitAll())
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(
                        "default-src 'none'; style-src 'self'; base-uri 'none'; frame-ancestors 'none'")))
                .build();
    }

    /** A loopback address at any port is one: RFC 8252, 7.3, which Spring Authorization Server follows for signing in alone. */
    private static Consumer<OidcLogoutAuthenticationContext> goesBackToAProgramOfOurs() {
        return context -> {
            OidcLogoutAuthenticationToken asked = context.getAuthentication();
            LogoutAddress.check(
                    asked.getPostLogoutRedirectUri(),
                    context.getRegisteredClient().getPostLogoutRedirectUris());
        };
    }

    @Bean
    RegisteredClientRepository programs(StandinSettings settings, PasswordEncoder encoder) {
        return new InMemoryRegisteredClientRepository(RegisteredClient.withId(
                        UUID.randomUUID().toString())
                .clientId("ample-ledger")
                .clientSecret(encoder.encode(settings.client()))
                .clientAuthenticationMethod(ClientAuthenticationMethod.CLIENT_SECRET_BASIC)
                .authorizationGrantType(AuthorizationGrantType.AUTHORIZATION_CODE)
                .redirectUris(uris ->
                        settings.applications().forEach(root -> uris.add(root + "/login/oauth2/code/institution")))
                .postLogoutRedirectUris(uris -> settings.applications().forEach(root -> uris.add(root + "/")))
                .scope(OidcScopes.OPENID)
                .clientSettings(ClientSettings.builder()
                        .requireProofKey(true)
                        .requireAuthorizationConsent(false)
                        .build())
                // The application has sessions of its own; its sign-out names this token hours later.
                .tokenSettings(TokenSettings.builder()
                        .authorizationCodeTimeToLive(Duration.ofMinutes(1))
                        .idTokenSignatureAlgorithm(SIGNS_BY)
                        .build())
                .build());
    }

    @Bean
    JWKSource<SecurityContext> keys() throws JOSEException {
        return new ImmutableJWKSet<>(new JWKSet(new ECKeyGenerator(Curve.P_256)
                .keyID(UUID.randomUUID().toString())
                .generate()));
    }

    @Bean
    AuthorizationServerSettings addresses(StandinSettings settings) {
        return AuthorizationServerSettings.builder().issuer(settings.issuer()).build();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(STRENGTH);
    }

    @Bean
    UserDetailsService accounts(People people, StandinSettings settings, PasswordEncoder encoder) {
        boolean nobody = settings.password().isBlank();
        String encoded = encoder.encode(settings.password());
        return account -> {
            Somebody somebody = people.somebody(account)
                    .filter(one -> !nobody)
                    .orElseThrow(() -> new UsernameNotFoundException("Nobody has this account"));
            return User.withUsername(account)
                    .password(encoded)
                    .roles(somebody.role().name())
                    .build();
        };
    }

    /** Says who somebody is in the token by which a program knows them. */
    @Bean
    OAuth2TokenCustomizer<JwtEncodingContext> whoSomebodyIs(People people) {
        return context -> {
            context.getJwsHeader().algorithm(SIGNS_BY);
            if (OidcParameterNames.ID_TOKEN.equals(context.getTokenType().getValue())) {
                Optional<Authentication> who = Optional.ofNullable(context.getPrincipal());
                who.map(Authentication::getName)
                        .flatMap(people::somebody)
                        .ifPresent(somebody -> context.getClaims()
                                .claim("name", somebody.name())
                                .claim("roles", List.of(somebody.role().name().toLowerCase(Locale.ROOT))));
            }
        };
    }
}
