package ample.ledger.standin;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;

/**
 * What the demo's institution is told when it starts.
 *
 * @param issuer the address at which browsers and programs reach it, as its tokens name it
 * @param bundles a schedule bundle, or a folder of them of which the last of each term is the one posted
 * @param clock the moment at which the clock begins, unless it has begun before
 * @param password of everybody who signs in; empty where nobody can
 * @param key with which a program asks the registrar
 * @param client the secret with which a program asks the sign-on
 * @param applications the addresses of programs that people come from and go back to; on 127.0.0.1 at any port
 * @param registrations how often students do something; null for never
 * @param wishes how many simulated students wish something in each round; 0 for none
 * @param mail the port at which it takes letters; 0 for none
 * @param offersStand how long a seat that was offered is kept; 24 to 48 hours are common practice, no source
 */
@ConfigurationProperties("standin")
public record StandinSettings(
        String issuer,
        Path bundles,
        Instant clock,
        @DefaultValue("") String password,
        String key,
        String client,
        @DefaultValue("http://127.0.0.1") List<String> applications,
        @Nullable Duration registrations,
        @DefaultValue("0") int wishes,
        @DefaultValue("0") int mail,
        @DefaultValue("36h") Duration offersStand) {}
