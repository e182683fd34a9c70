package kiver.core.labels;

import java.util.Locale;
import java.util.Optional;

/**
 * The code of a tray as it stands on its label: a letter, a number and a check character, so that a slip of the pen or the key
 * is noticed before something is recorded of another tray.
 *
 * <p>Reference: ISO/IEC 7064, MOD 37,36, which finds every single wrong character and nearly every swap of two neighbours.
 * Example: tray 1042 is {@code T1042} and its check character.
 */
public final class CheckedCode {

    private static final String CHARACTERS = "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ";
    private static final int MODULUS = 36;

    private CheckedCode() {}

    /** What was read from a label. */
    public sealed interface Read {

        /** The number fits its check character. */
        record Fits(int number) implements Read {}

        /** It does not: something was read or typed wrongly. */
        record DoesNotFit(int number) implements Read {}
    }

    /**
     * The check character of a text.
     *
     * @param text letters A to Z and digits
     */
    public static char checkOf(String text) {
        int product = MODULUS;
        for (char each : text.toCharArray()) {
            int value = CHARACTERS.indexOf(each);
            if (value < 0) {
                throw new IllegalArgumentException("No check character without letters and digits: " + text);
            }
            int sum = (product + value) % MODULUS;
            product = (sum == 0 ? MODULUS : sum) * 2 % (MODULUS + 1);
        }
        return CHARACTERS.charAt((1 - product + 2 * MODULUS) % MODULUS);
    }

    /** The code of a tray, for example T1042-X. */
    public static String ofTray(int number) {
        String code = "T" + number;
        return code + "-" + checkOf(code);
    }

    /**
     * A code of a tray as it was typed or scanned, in either case, with or without its hyphen.
     *
     * @return nothing for anything else, also for a code without its check character
     */
    public static Optional<Read> read(String typed) {
        String text = typed.strip().toUpperCase(Locale.ROOT).replace(" ", "");
        if (!text.matches("T\\d{1,9}-?[0-9A-Z]")
                || !text.contains("-") && Character.isDigit(text.charAt(text.length() - 1))) {
            return Optional.empty();
        }
        String plain = text.replace("-", "");
        String code = plain.substring(0, plain.length() - 1);
        int number = Integer.parseInt(code.substring(1));
        return Optional.of(
                checkOf(code) == plain.charAt(plain.length() - 1)
                        ? new Read.Fits(number)
                        : new Read.DoesNotFit(number));
    }
}
