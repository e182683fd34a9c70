package kiver.core.sheet;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * One row of a sheet, read column by column. Every reader throws {@link EntryRefused} that names the
 * column and what stands there.
 *
 * @param entries by column name; a column that is not there reads as empty
 */
public record SheetRow(Map<String, String> entries) {

    public SheetRow {
        entries = Map.copyOf(entries);
    }

    /** The entry, stripped; empty when there is none. */
    public String text(String column) {
        return entries.getOrDefault(column, "").strip();
    }

    /** The entry, which must not be empty. */
    public String words(String column) {
        String value = text(column);
        if (value.isEmpty()) {
            throw new EntryRefused(new EntryFault.Empty(column));
        }
        return value;
    }

    /** The entry as a number, which must be there. */
    public double number(String column) {
        String value = words(column);
        try {
            double number = Double.parseDouble(value.replace('−', '-'));
            if (Double.isFinite(number)) {
                return number;
            }
        } catch (NumberFormatException notANumber) {
            // told below, together with numbers beyond all bounds
        }
        throw new EntryRefused(new EntryFault.NotANumber(column, value));
    }

    /** The entry as a number, or {@code otherwise} where it is empty. */
    public double numberOr(String column, double otherwise) {
        return text(column).isEmpty() ? otherwise : number(column);
    }

    /** The entry as a whole number, which must be there. */
    public int wholeNumber(String column) {
        double number = number(column);
        if (number != Math.rint(number) || Math.abs(number) > Integer.MAX_VALUE) {
            throw new EntryRefused(new EntryFault.NotWhole(column, text(column)));
        }
        return (int) number;
    }

    /** The entry as a day, which must be there. */
    public LocalDate day(String column) {
        String value = words(column);
        try {
            return LocalDate.parse(value);
        } catch (DateTimeParseException notADay) {
            throw new EntryRefused(new EntryFault.NotADay(column, value));
        }
    }

    /** Whether the entry is yes; it must be yes or no. */
    public boolean yes(String column) {
        return oneOf(column, List.of("yes", "no")).equals("yes");
    }

    /** Whether the entry is yes; nothing, as in files of an earlier Kiver, is no. */
    public boolean yesOrNothing(String column) {
        return !text(column).isEmpty() && yes(column);
    }

    /** The entry, which must be one of those allowed. */
    public String oneOf(String column, List<String> allowed) {
        String value = words(column).toLowerCase(Locale.ROOT);
        if (!allowed.contains(value)) {
            throw new EntryRefused(new EntryFault.NotOneOf(column, value, allowed));
        }
        return value;
    }
}
