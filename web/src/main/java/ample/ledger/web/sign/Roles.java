package ample.ledger.web.sign;

import ample.ledger.web.guest.Keeping;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.oauth2.client.oidc.userinfo.OidcUserRequest;
import org.springframework.security.oauth2.client.oidc.userinfo.OidcUserService;
import org.springframework.security.oauth2.client.userinfo.OAuth2UserService;
import org.springframework.security.oauth2.core.OAuth2AuthenticationException;
import org.springframework.security.oauth2.core.OAuth2Error;
import org.springframework.security.oauth2.core.oidc.user.DefaultOidcUser;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;

/** What somebody is here, by what the provider says of them. */
final class Roles implements OAuth2UserService<OidcUserRequest, OidcUser> {

    /** The provider says of somebody nothing that makes them anybody here. */
    static final String NO_ROLE = "no_role";

    private final OidcUserService users = new OidcUserService();
    private final SignInSettings settings;
    private final Map<String, String> words;

    Roles(SignInSettings settings) {
        this.settings = settings;
        this.words = Map.of(
                settings.student(), Keeping.STUDENT, settings.adviser(), Keeping.ADVISER, settings.desk(), SignOn.DESK);
    }

    /** @throws OAuth2AuthenticationException with {@link #NO_ROLE} for who is nobody here */
    @Override
    public OidcUser loadUser(OidcUserRequest request) {
        OidcUser user = users.loadUser(request);
        Set<GrantedAuthority> roles = said(user.getClaims().get(settings.rolesClaim())).stream()
                .filter(words::containsKey)
                .map(word -> new SimpleGrantedAuthority("ROLE_" + words.get(word)))
                .collect(Collectors.toCollection(HashSet::new));
        if (roles.isEmpty()) {
            throw new OAuth2AuthenticationException(new OAuth2Error(
                    NO_ROLE, "The claim “%s” names no role of ours".formatted(settings.rolesClaim()), null));
        }
        return new DefaultOidcUser(roles, user.getIdToken(), user.getUserInfo(), settings.nameClaim());
    }

    private static Collection<String> said(@Nullable Object claim) {
        if (claim instanceof Collection<?> several) {
            return several.stream().map(String::valueOf).toList();
        }
        return claim == null ? List.of() : List.of(String.valueOf(claim));
    }
}
