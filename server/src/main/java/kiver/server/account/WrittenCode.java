package kiver.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Locale;

/** Codes that people read off paper and type: 16 letters and figures in groups of four, 78 bits. */
final class WrittenCode {

    /** Without letters and figures that are taken for one another. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRTUVWXYZ2346789";

    private static final int LENGTH = 16;
    private static final SecureRandom RANDOM = new SecureRandom();

    private WrittenCode() {}

    static String fresh() {
        StringBuilder code = new StringBuilder();
        for (int index = 0; index < LENGTH; index++) {
            code.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return code.toString();
    }

    /** As it is written. */
    static String grouped(String code) {
        return code.replaceAll("(.{4})(?=.)", "$1-");
    }

    /** Out of what was typed. */
    static String typed(String text) {
        return text.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }

    /** What is kept of a code that must not be read out of a stolen copy; as long a one cannot be tried out. */
    static String digest(String code) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(code.getBytes(StandardCharsets.US_ASCII)));
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }
}
