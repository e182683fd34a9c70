package kiver.core.weather;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * The rows of a station's file, whatever stands between its cells and however its letters are coded.
 *
 * @param separator between cells
 * @param rows in their order, without remarks and empty lines
 */
record StationRows(StationLayout.Separator separator, List<Row> rows) {

    private static final int LINES_LOOKED_AT = 60;

    /** Of the lines so many must be parted alike. */
    private static final double MOST_LINES = 0.6;

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(\\.\\d+)?");

    /** What stations write where they have nothing. */
    private static final List<String> NOTHING = List.of(
            "", "-", "--", "---", "na", "n/a", "nan", "null", "none", "x", "*", "-999", "-999.9", "-9999", "9999");

    /** A row with the line it stands on. */
    record Row(long line, List<String> cells) {
        String cell(int column) {
            return column < cells.size() ? cells.get(column).strip() : "";
        }
    }

    static StationRows of(String file, byte[] bytes) {
        String text = text(bytes);
        StationLayout.Separator separator = separator(text);
        List<Row> rows = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator.character())
                .setCommentMarker('#')
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text), format)) {
            for (CSVRecord each : parser) {
                List<String> cells = each.stream().toList();
                if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
                    rows.add(new Row(parser.getCurrentLineNumber(), cells));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw new FaultySheetException(
                    List.of(new SheetFault(file, 0, new EntryFault.NoSheet(broken.getMessage()))));
        }
        return new StationRows(separator, rows);
    }

    /** UTF-8 where it is that, otherwise Latin-1, in which every byte is a letter. */
    private static String text(byte[] bytes) {
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException otherCoding) {
            text = new String(bytes, StandardCharsets.ISO_8859_1);
        }
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    /** A comma may stand inside numbers, so it is the last to be believed. */
    private static StationLayout.Separator separator(String text) {
        List<String> lines = Arrays.stream(text.split("\\R"))
                .filter(line -> !line.isBlank() && !line.startsWith("#"))
                .limit(LINES_LOOKED_AT)
                .toList();
        for (StationLayout.Separator separator :
                List.of(StationLayout.Separator.TAB, StationLayout.Separator.SEMICOLON)) {
            Map<Long, Long> alike = lines.stream()
                    .map(line -> line.chars()
                            .filter(letter -> letter == separator.character())
                            .count())
                    .filter(count -> count > 0)
                    .collect(Collectors.groupingBy(count -> count, Collectors.counting()));
            if (alike.values().stream().anyMatch(count -> count >= MOST_LINES * lines.size())) {
                return separator;
            }
        }
        return StationLayout.Separator.COMMA;
    }

    /** A number with a point or a comma, any minus sign, and its unit behind it or not. */
    static Optional<Double> number(String cell) {
        String clean = cell.strip().replace('\u2212', '-').replace(',', '.').replaceAll("\\s*°?\\s*[CcFf]?$", "");
        return NUMBER.matcher(clean).matches() ? Optional.of(Double.parseDouble(clean)) : Optional.empty();
    }

    /** Whether a station says by this that it has nothing. */
    static boolean isNothing(String cell) {
        return NOTHING.contains(cell.strip().toLowerCase(java.util.Locale.ROOT).replace(',', '.'));
    }
}
