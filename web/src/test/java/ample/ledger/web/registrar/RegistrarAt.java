package ample.ledger.web.registrar;

import ample.ledger.core.registrar.Registrar;
import java.time.Clock;
import java.time.Duration;

/** The registrar as a program of somebody else asks it. */
public final class RegistrarAt {

    private RegistrarAt() {}

    /** The one at this address, for whoever has this key. Its answers are waited for longer than pages would. */
    public static Registrar of(String address, String key) {
        return new HttpRegistrar(
                new RegistrarSettings(address, key, Duration.ofSeconds(20), Duration.ofSeconds(2), false),
                Clock.systemUTC());
    }
}
