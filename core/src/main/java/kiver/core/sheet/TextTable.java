package kiver.core.sheet;

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
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * The rows of a text file of somebody else's making, whatever stands between its cells and however its letters are coded.
 *
 * @param separator between cells: a comma, a semicolon or a tabulator
 * @param rows in their order, without remarks and empty lines
 */
public record TextTable(char separator, List<Row> rows) {

    private static final int LINES_LOOKED_AT = 60;

    /** Of the lines so many must be parted alike. */
    private static final double MOST_LINES = 0.6;

    /** Or so many at all: a title is parted otherwise than what stands below it. */
    private static final double NEARLY_ALL_LINES = 0.9;

    private static final char COMMA = ',';
    private static final List<Character> BELIEVED_FIRST = List.of('\t', ';');

    public TextTable {
        rows = List.copyOf(rows);
    }

    /**
     * A row.
     *
     * @param line on which it stands, 1 first
     * @param cells as they stand there
     */
    public record Row(long line, List<String> cells) {

        public Row {
            cells = List.copyOf(cells);
        }

        /** The cell at a position from 0; empty beyond the last. */
        public String cell(int column) {
            return column < cells.size() ? cells.get(column).strip() : "";
        }
    }

    /**
     * The rows of a file.
     *
     * @param file its name, for faults
     * @throws FaultySheetException when it is no text of rows
     */
    public static TextTable of(String file, byte[] bytes) {
        String text = text(bytes);
        char separator = separator(text);
        List<Row> rows = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
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
                    List.of(new SheetFault(file, 0, new EntryFault.NoSheet(String.valueOf(broken.getMessage())))));
        }
        return new TextTable(separator, rows);
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
    private static char separator(String text) {
        List<String> lines = Arrays.stream(text.split("\\R"))
                .filter(line -> !line.isBlank() && !line.startsWith("#"))
                .limit(LINES_LOOKED_AT)
                .toList();
        for (char separator : BELIEVED_FIRST) {
            Map<Long, Long> alike = lines.stream()
                    .map(line ->
                            line.chars().filter(letter -> letter == separator).count())
                    .filter(count -> count > 0)
                    .collect(Collectors.groupingBy(count -> count, Collectors.counting()));
            long parted = alike.values().stream().mapToLong(Long::longValue).sum();
            if (alike.values().stream().anyMatch(count -> count >= MOST_LINES * lines.size())
                    || parted > 0 && parted >= NEARLY_ALL_LINES * lines.size()) {
                return separator;
            }
        }
        return COMMA;
    }
}
