package ample.ledger.web.sign;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
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
     * One attribute; one of the two parts is there.
     *
     * @param roles as Spring Security has them: {@code ROLE_STUDENT}
     */
    private record Attribute(
            @Nullable String name,
            @Nullable List<String> roles,
            @Nullable Long number) {}

    static byte[] write(Object attribute) {
        return JSON.writeValueAsString(of(attribute)).getBytes(StandardCharsets.UTF_8);
    }

    private static Attribute of(Object attribute) {
        if (attribute instanceof Long number) {
            return new Attribute(null, null, number);
        }
        if (attribute instanceof SecurityContext context && context.getAuthentication() != null) {
            return new Attribute(
                    context.getAuthentication().getName(),
                    context.getAuthentication().getAuthorities().stream()
                            .map(GrantedAuthority::getAuthority)
                            .toList(),
                    null);
        }
        throw new IllegalArgumentException(
                "A session holds no " + attribute.getClass().getName());
    }

    static @Nullable Object read(byte[] written) {
        try {
            Attribute attribute = JSON.readValue(written, Attribute.class);
            if (attribute.name() == null || attribute.roles() == null) {
                return attribute.number();
            }
            return new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                    attribute.name(),
                    null,
                    attribute.roles().stream().map(SimpleGrantedAuthority::new).toList()));
        } catch (JacksonException | IllegalArgumentException unreadable) {
            LOG.info(
                    "A session that cannot be read counts as none: {}",
                    unreadable.getClass().getSimpleName());
            return null;
        }
    }
}
