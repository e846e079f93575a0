package ample.ledger.web.sign;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a session holds, as JSON: who has signed in, and when that ends. Nothing else can be written or read, so that nobody who
 * writes to the database makes the application build objects of their choice. What cannot be read, such as what an older version has
 * written, counts as nothing: its owner signs in again.
 */
final class SessionJson {

    private static final Logger LOG = LoggerFactory.getLogger(SessionJson.class);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private SessionJson() {}

    /**
     * One attribute: who has signed in, or a number.
     *
     * @param roles as Spring Security has them: {@code ROLE_STUDENT}
     * @param token by which the provider knows whose session there to end; null where there is none
     */
    private record Attribute(
            @Nullable String name,
            @Nullable List<String> roles,
            @Nullable String token,
            @Nullable Long number) {}

    static byte[] write(Object attribute) {
        return JSON.writeValueAsString(of(attribute)).getBytes(StandardCharsets.UTF_8);
    }

    private static Attribute of(Object attribute) {
        if (attribute instanceof Long number) {
            return new Attribute(null, null, null, number);
        }
        if (attribute instanceof SecurityContext context && context.getAuthentication() != null) {
            Authentication who = context.getAuthentication();
            return new Attribute(
                    who.getName(),
                    who.getAuthorities().stream()
                            .map(GrantedAuthority::getAuthority)
                            .toList(),
                    token(who).orElse(null),
                    null);
        }
        throw new IllegalArgumentException(
                "A session holds no " + attribute.getClass().getName());
    }

    /** The token by which the provider has said who somebody is; empty where there is none. */
    static Optional<String> token(Authentication who) {
        if (who.getPrincipal() instanceof OidcUser user) {
            return Optional.of(user.getIdToken().getTokenValue());
        }
        return who.getCredentials() instanceof String token ? Optional.of(token) : Optional.empty();
    }

    static @Nullable Object read(byte[] written) {
        try {
            Attribute attribute = JSON.readValue(written, Attribute.class);
            if (attribute.name() == null || attribute.roles() == null) {
                return attribute.number();
            }
            return new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                    attribute.name(),
                    attribute.token(),
                    attribute.roles().stream().map(SimpleGrantedAuthority::new).toList()));
        } catch (JacksonException | IllegalArgumentException unreadable) {
            LOG.info(
                    "A session that cannot be read counts as none: {}",
                    unreadable.getClass().getSimpleName());
            return null;
        }
    }
}
