package kiver.core.sheet;

import java.util.Collection;
import java.util.Optional;
import java.util.regex.Pattern;

/** Numbers as people write them in spreadsheets: 20,5 and 20.5, 1,000 and 1.000, 90 %, a true minus sign. */
public final class WrittenNumber {

    /** What stands before tenths; only a group of three figures can be read either way, and then this decides. */
    public enum Mark {
        POINT('.', ','),
        COMMA(',', '.');

        private final char decimal;
        private final char grouping;

        Mark(char decimal, char grouping) {
            this.decimal = decimal;
            this.grouping = grouping;
        }
    }

    private static final Pattern WHOLE = Pattern.compile("[+-]?\\d+");
    private static final Pattern WITH_TENTHS = Pattern.compile("[+-]?\\d*[.,]\\d+");
    private static final Pattern ONLY_BY_COMMA = Pattern.compile("[+-]?\\d*,(\\d{1,2}|\\d{4,})");
    private static final Pattern ONLY_BY_POINT = Pattern.compile("[+-]?\\d*\\.(\\d{1,2}|\\d{4,})");
    private static final int WHOLE_PER_CENT = 100;

    private WrittenNumber() {}

    /** What stands before tenths in cells, as far as they tell; a point where they do not. */
    public static Mark markOf(Collection<String> cells) {
        long comma = cells.stream()
                .filter(cell ->
                        ONLY_BY_COMMA.matcher(withoutPerCent(clean(cell))).matches())
                .count();
        long point = cells.stream()
                .filter(cell ->
                        ONLY_BY_POINT.matcher(withoutPerCent(clean(cell))).matches())
                .count();
        return comma > point ? Mark.COMMA : Mark.POINT;
    }

    /** A cell as a number written with a point; nothing when it is no number. 90 % is 0.9. */
    public static Optional<String> plain(String cell, Mark mark) {
        String text = clean(cell);
        boolean perCent = text.endsWith("%");
        String number = withoutPerCent(text);
        Pattern grouped = Pattern.compile("[+-]?[1-9]\\d{0,2}(" + Pattern.quote(String.valueOf(mark.grouping))
                + "\\d{3})+(" + Pattern.quote(String.valueOf(mark.decimal)) + "\\d+)?");
        String plain;
        if (WHOLE.matcher(number).matches()) {
            plain = number;
        } else if (grouped.matcher(number).matches()) {
            plain = number.replace(String.valueOf(mark.grouping), "").replace(mark.decimal, '.');
        } else if (WITH_TENTHS.matcher(number).matches()) {
            plain = number.replace(',', '.');
        } else {
            return Optional.empty();
        }
        return Optional.of(perCent ? SheetText.figure(Double.parseDouble(plain) / WHOLE_PER_CENT) : plain);
    }

    private static String withoutPerCent(String text) {
        return text.endsWith("%") ? text.substring(0, text.length() - 1).strip() : text;
    }

    private static String clean(String cell) {
        return cell.strip()
                .replace('\u2212', '-')
                .replace("\u00A0", "")
                .replace("\u202F", "")
                .replace("'", "");
    }
}
