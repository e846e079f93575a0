package ample.ledger.standin.sign;

import java.net.URI;
import java.util.Collection;
import org.jspecify.annotations.Nullable;
import org.springframework.security.oauth2.core.OAuth2AuthenticationException;
import org.springframework.security.oauth2.core.OAuth2Error;
import org.springframework.security.oauth2.core.OAuth2ErrorCodes;

/** Where somebody who has signed out goes: back to a program that is registered, on the loopback address at any port. */
final class LogoutAddress {

    private LogoutAddress() {}

    /** @throws OAuth2AuthenticationException where {@code asked} is none of {@code registered} */
    static void check(@Nullable String asked, Collection<String> registered) {
        if (asked != null
                && !registered.contains(asked)
                && registered.stream().noneMatch(one -> withoutPort(one).equals(withoutPort(asked)))) {
            throw new OAuth2AuthenticationException(
                    new OAuth2Error(OAuth2ErrorCodes.INVALID_REQUEST, "This is no address to go back to", null));
        }
    }

    private static String withoutPort(String address) {
        URI uri = URI.create(address);
        return "127.0.0.1".equals(uri.getHost()) ? uri.getScheme() + "://127.0.0.1" + uri.getPath() : address;
    }
}
