package ample.ledger.standin.sign;

import org.jspecify.annotations.Nullable;
import org.springframework.security.oauth2.server.authorization.InMemoryOAuth2AuthorizationService;
import org.springframework.security.oauth2.server.authorization.OAuth2Authorization;
import org.springframework.security.oauth2.server.authorization.OAuth2AuthorizationService;
import org.springframework.security.oauth2.server.authorization.OAuth2TokenType;
import org.springframework.stereotype.Component;

/**
 * Sign-ins that have begun or are done, kept in memory. One after the other is looked at: the library's own goes through those that have begun without
 * keeping others from beginning meanwhile, and fails when one does.
 */
@Component
class SignInsUnderWay implements OAuth2AuthorizationService {

    private final OAuth2AuthorizationService kept = new InMemoryOAuth2AuthorizationService();

    @Override
    public synchronized void save(OAuth2Authorization authorization) {
        kept.save(authorization);
    }

    @Override
    public synchronized void remove(OAuth2Authorization authorization) {
        kept.remove(authorization);
    }

    @Override
    public synchronized @Nullable OAuth2Authorization findById(String id) {
        return kept.findById(id);
    }

    @Override
    public synchronized @Nullable OAuth2Authorization findByToken(String token, @Nullable OAuth2TokenType type) {
        return kept.findByToken(token, type);
    }
}
