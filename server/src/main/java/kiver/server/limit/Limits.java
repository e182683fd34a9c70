package kiver.server.limit;

import java.time.LocalDate;
import kiver.server.wording.Said;
import kiver.server.wording.WholeDay;

/** The one vocabulary of limits of everything that comes in. */
public final class Limits {

    /** No day of a nursery's life lies before this. */
    public static final LocalDate FIRST_DAY = LocalDate.of(1900, 1, 1);

    /** Nor after this. */
    public static final LocalDate LAST_DAY = LocalDate.of(2199, 12, 31);

    /** No single entry is longer, in letters. */
    public static final int MOST_LETTERS = 20_000;

    /** No request is larger, in bytes. */
    public static final long MOST_BYTES = 1_000_000;

    /** Sheets and station files may be as large as this, in bytes. */
    public static final long MOST_BYTES_OF_A_FILE = 10_000_000;

    /** E-mail addresses are no longer; sessions keep them in a column of this width. */
    public static final int MOST_LETTERS_OF_AN_ADDRESS = 100;

    private Limits() {}

    /**
     * The day, when it is one that can be meant.
     *
     * @throws BeyondLimits otherwise, saying what would be right
     */
    public static LocalDate day(LocalDate day) {
        if (day.isBefore(FIRST_DAY) || day.isAfter(LAST_DAY)) {
            throw new BeyondLimits(Said.of("Choose a day from {first} to {last}.")
                    .with("first", new WholeDay(FIRST_DAY))
                    .with("last", new WholeDay(LAST_DAY)));
        }
        return day;
    }

    /**
     * The growing year, when it is one that can be meant.
     *
     * @throws BeyondLimits otherwise, saying what would be right
     */
    public static int year(int year) {
        if (year <= FIRST_DAY.getYear() || year > LAST_DAY.getYear()) {
            throw new BeyondLimits(Said.of("Choose a year from {first} to {last}.")
                    .with("first", String.valueOf(FIRST_DAY.getYear() + 1))
                    .with("last", String.valueOf(LAST_DAY.getYear())));
        }
        return year;
    }

    /**
     * The text, when it can be kept.
     *
     * @throws BeyondLimits when it is too long or holds control characters
     */
    public static String text(String text) {
        if (text.length() > MOST_LETTERS) {
            throw new BeyondLimits(Said.of("Use at most {letters} letters.").with("letters", MOST_LETTERS));
        }
        for (int index = 0; index < text.length(); index++) {
            char letter = text.charAt(index);
            if (Character.isISOControl(letter) && letter != '\n' && letter != '\r' && letter != '\t') {
                throw new BeyondLimits(Said.of("The text holds a letter that cannot be shown; type it again."));
            }
        }
        return text;
    }

    /**
     * The number, when it is one.
     *
     * @throws BeyondLimits when it is infinite or not a number
     */
    public static double number(double number) {
        if (!Double.isFinite(number) || Math.abs(number) > 1e12) {
            throw new BeyondLimits(Said.of("Enter a number from -1,000,000,000,000 to 1,000,000,000,000."));
        }
        return number;
    }
}
