package ample.ledger.standin.sign;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.Test;
import org.springframework.security.oauth2.core.AuthorizationGrantType;
import org.springframework.security.oauth2.server.authorization.OAuth2Authorization;
import org.springframework.security.oauth2.server.authorization.OAuth2AuthorizationCode;
import org.springframework.security.oauth2.server.authorization.client.RegisteredClient;

class SignInsUnderWayTest {

    private static final RegisteredClient PROGRAM = RegisteredClient.withId("p")
            .clientId("p")
            .authorizationGrantType(AuthorizationGrantType.AUTHORIZATION_CODE)
            .redirectUri("http://127.0.0.1/back")
            .build();

    private final SignInsUnderWay signIns = new SignInsUnderWay();

    /** One ends while others begin: the library's own store fails at this. */
    @Test
    void oneIsFoundWhileOthersBegin() {
        signIns.save(begun("mine"));
        CompletableFuture<Void> others = CompletableFuture.runAsync(() -> {
            for (int i = 0; i < 200_000; i++) {
                OAuth2Authorization other = begun("other");
                signIns.save(other);
                signIns.remove(other);
            }
        });
        while (!others.isDone()) {
            assertThat(signIns.findByToken("mine", null)).isNotNull();
            assertThat(signIns.findByToken("nobody's", null)).isNull();
        }
        others.join();
    }

    private static OAuth2Authorization begun(String code) {
        Instant now = Instant.now();
        return OAuth2Authorization.withRegisteredClient(PROGRAM)
                .id(code)
                .principalName("odo")
                .authorizationGrantType(AuthorizationGrantType.AUTHORIZATION_CODE)
                .token(new OAuth2AuthorizationCode(code, now, now.plusSeconds(60)))
                .build();
    }
}
