package jollytide.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/**
 * A random secret that opens a door. It is shown once; what is kept is its hash. Being random, it needs no slow hash.
 *
 * @param clear what is shown
 */
public record Secret(String clear) {
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int BYTES = 24;

    /** A new one that begins with a word, so that a leaked one can be recognised. */
    public static Secret make(String prefix) {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return new Secret(prefix + Base64.getUrlEncoder().withoutPadding().encodeToString(bytes));
    }

    public String hash() {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(clear.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
