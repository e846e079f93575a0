package ample.ledger.web.sign;

import java.net.http.HttpClient;
import java.time.Duration;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.ParameterizedTypeReference;
import org.springframework.http.client.ClientHttpRequestFactory;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.http.converter.FormHttpMessageConverter;
import org.springframework.security.oauth2.client.endpoint.OAuth2AccessTokenResponseClient;
import org.springframework.security.oauth2.client.endpoint.OAuth2AuthorizationCodeGrantRequest;
import org.springframework.security.oauth2.client.endpoint.RestClientAuthorizationCodeTokenResponseClient;
import org.springframework.security.oauth2.client.http.OAuth2ErrorResponseErrorHandler;
import org.springframework.security.oauth2.client.oidc.authentication.OidcIdTokenValidator;
import org.springframework.security.oauth2.client.registration.ClientRegistration;
import org.springframework.security.oauth2.client.registration.ClientRegistrations;
import org.springframework.security.oauth2.core.DelegatingOAuth2TokenValidator;
import org.springframework.security.oauth2.core.http.converter.OAuth2AccessTokenResponseHttpMessageConverter;
import org.springframework.security.oauth2.jose.jws.SignatureAlgorithm;
import org.springframework.security.oauth2.jwt.JwtDecoder;
import org.springframework.security.oauth2.jwt.JwtDecoderFactory;
import org.springframework.security.oauth2.jwt.JwtTimestampValidator;
import org.springframework.security.oauth2.jwt.NimbusJwtDecoder;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import org.springframework.web.client.RestTemplate;

/**
 * The OpenID provider, as it describes itself (OpenID Connect Discovery 1.0). It is asked once it is needed, and again as long as it has
 * not answered: it may start later than this application. No question to it waits for longer than a few seconds.
 */
class Provider implements JwtDecoderFactory<ClientRegistration> {

    /** Its name in the addresses of this application. */
    static final String ID = "institution";

    private static final Logger LOG = LoggerFactory.getLogger(Provider.class);
    /** What a description of a provider calls the algorithms. */
    private static final String SIGNS_BY = "id_token_signing_alg_values_supported";

    private static final Duration PATIENCE = Duration.ofSeconds(3);

    private final SignInSettings settings;
    private final ClientHttpRequestFactory requests;
    private final Map<String, JwtDecoder> decoders = new ConcurrentHashMap<>();
    private volatile @Nullable ClientRegistration known;

    Provider(SignInSettings settings) {
        this.settings = settings;
        JdkClientHttpRequestFactory factory = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(PATIENCE).build());
        factory.setReadTimeout(PATIENCE);
        this.requests = factory;
    }

    /** Empty where the settings name none, and while it does not answer. */
    Optional<ClientRegistration> registration() {
        if (known == null && settings.open()) {
            try {
                known = described();
            } catch (RestClientException | IllegalArgumentException away) {
                LOG.warn("The sign-on does not answer as it should: {}", away.getMessage());
            }
        }
        return Optional.ofNullable(known);
    }

    private ClientRegistration described() {
        Map<String, Object> description = RestClient.builder()
                .requestFactory(requests)
                .build()
                .get()
                .uri(settings.issuer() + "/.well-known/openid-configuration")
                .retrieve()
                .body(new ParameterizedTypeReference<Map<String, Object>>() {});
        if (description == null || !settings.issuer().equals(description.get("issuer"))) {
            throw new IllegalArgumentException("It describes itself as another issuer than " + settings.issuer());
        }
        return ClientRegistrations.fromOidcConfiguration(description)
                .registrationId(ID)
                .clientId(settings.clientId())
                .clientSecret(settings.clientSecret())
                .scope(settings.scopes())
                .userNameAttributeName(settings.nameClaim())
                .redirectUri("{baseUrl}/login/oauth2/code/{registrationId}")
                .build();
    }

    /** Where a browser signs out there too; empty where the provider offers none. */
    Optional<String> signOut() {
        return registration()
                .map(found ->
                        found.getProviderDetails().getConfigurationMetadata().get("end_session_endpoint"))
                .map(Object::toString);
    }

    /** Who asks it for the token that belongs to a code. */
    OAuth2AccessTokenResponseClient<OAuth2AuthorizationCodeGrantRequest> tokens() {
        var tokens = new RestClientAuthorizationCodeTokenResponseClient();
        tokens.setRestClient(RestClient.builder()
                .requestFactory(requests)
                .configureMessageConverters(converters -> converters
                        .addCustomConverter(new FormHttpMessageConverter())
                        .addCustomConverter(new OAuth2AccessTokenResponseHttpMessageConverter()))
                .defaultStatusHandler(new OAuth2ErrorResponseErrorHandler())
                .build());
        return tokens;
    }

    /** Reads tokens of this provider for this application that are valid now, and no others: OpenID Connect Core 1.0, 3.1.3.7. */
    @Override
    public JwtDecoder createDecoder(ClientRegistration registration) {
        return decoders.computeIfAbsent(
                String.valueOf(registration.getProviderDetails().getJwkSetUri()), keys -> {
                    NimbusJwtDecoder decoder = NimbusJwtDecoder.withJwkSetUri(keys)
                            .jwsAlgorithms(all -> all.addAll(signsBy(registration)))
                            .restOperations(new RestTemplate(requests))
                            .build();
                    decoder.setJwtValidator(new DelegatingOAuth2TokenValidator<>(
                            List.of(new JwtTimestampValidator(), new OidcIdTokenValidator(registration))));
                    return decoder;
                });
    }

    /** The algorithms that it says it signs by, those alone in which it has a key of its own that nobody else knows; RSA with SHA-256 where it says none. */
    private static Set<SignatureAlgorithm> signsBy(ClientRegistration registration) {
        Object named =
                registration.getProviderDetails().getConfigurationMetadata().get(SIGNS_BY);
        Set<SignatureAlgorithm> algorithms = named instanceof Collection<?> names
                ? names.stream()
                        .map(name -> SignatureAlgorithm.from(String.valueOf(name)))
                        .filter(Objects::nonNull)
                        .collect(Collectors.toSet())
                : Set.of();
        return algorithms.isEmpty() ? Set.of(SignatureAlgorithm.RS256) : algorithms;
    }
}
