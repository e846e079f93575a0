package ample.ledger.core.registrar.round;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;

/**
 * A lottery that nobody can turn: its seed is drawn before the period begins, and the digest of the seed is published then, so that nobody can choose another
 * seed once wishes are known. After the period the seed is published, and anybody can draw again.
 *
 * <p>The digest is SHA-256 (FIPS 180-4) of the seed's letters. Students draw in the order of the SHA-256 digests of the seed, a line feed, and the name by
 * which they sign in.
 *
 * @param seed any text that cannot be guessed
 */
public record Lottery(String seed) {

    /** What is published before the period ends, in hexadecimal digits. */
    public String commitment() {
        return HexFormat.of().formatHex(digest(seed));
    }

    /** The numbers that these students draw, from 1, each another. */
    public Map<String, Integer> draws(Collection<String> students) {
        Map<String, String> keys = new HashMap<>();
        students.forEach(student -> keys.put(student, HexFormat.of().formatHex(digest(seed + "\n" + student))));
        List<String> order = new ArrayList<>(keys.keySet());
        order.sort(Comparator.<String, String>comparing(keys::get).thenComparing(Comparator.naturalOrder()));
        Map<String, Integer> draws = new HashMap<>();
        for (int i = 0; i < order.size(); i++) {
            draws.put(order.get(i), i + 1);
        }
        return draws;
    }

    private static byte[] digest(String text) {
        try {
            return MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
