package ample.ledger.web.guest;

import java.security.SecureRandom;
import java.util.Base64;

/** Texts that nobody guesses: 192 random bits, in 32 characters that stand in addresses and cookies as they are. */
public final class Secrets {

    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int BYTES = 24;

    private Secrets() {}

    public static String next() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }
}
