package kiver.core.weather;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import kiver.core.sheet.TextTable;

/**
 * The rows of a station's file, whatever stands between its cells and however its letters are coded.
 *
 * @param separator between cells
 * @param rows in their order, without remarks and empty lines
 */
record StationRows(StationLayout.Separator separator, List<TextTable.Row> rows) {

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(\\.\\d+)?");

    /** What stations write where they have nothing. */
    private static final List<String> NOTHING = List.of(
            "", "-", "--", "---", "na", "n/a", "nan", "null", "none", "x", "*", "-999", "-999.9", "-9999", "9999");

    static StationRows of(String file, byte[] bytes) {
        TextTable table = TextTable.of(file, bytes);
        return new StationRows(StationLayout.Separator.of(table.separator()), table.rows());
    }

    /** A number with a point or a comma, any minus sign, and its unit behind it or not. */
    static Optional<Double> number(String cell) {
        String clean = cell.strip().replace('\u2212', '-').replace(',', '.').replaceAll("\\s*°?\\s*[CcFf]?$", "");
        return NUMBER.matcher(clean).matches() ? Optional.of(Double.parseDouble(clean)) : Optional.empty();
    }

    /** Whether a station says by this that it has nothing. */
    static boolean isNothing(String cell) {
        return NOTHING.contains(cell.strip().toLowerCase(Locale.ROOT).replace(',', '.'));
    }
}
