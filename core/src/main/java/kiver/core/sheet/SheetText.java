package kiver.core.sheet;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads and writes sheets as text: comma-separated (RFC 4180), UTF-8, one heading line; lines that begin with # are
 * remarks. Every fault of a file is found before any of it is refused.
 */
public final class SheetText {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setCommentMarker('#')
            .setIgnoreSurroundingSpaces(true)
            .setIgnoreEmptyLines(true)
            .setAllowMissingColumnNames(true)
            .get();

    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+([.,]\\d+)?([eE][+-]?\\d+)?");

    private static final char BYTE_ORDER_MARK = '\uFEFF';

    private SheetText() {}

    /** A row with the line it stands on. */
    public record Line(long number, SheetRow row) {}

    /**
     * The text of a file's bytes.
     *
     * @throws FaultySheetException naming the line on which they stop being UTF-8
     */
    public static String decoded(String file, byte[] bytes) {
        ByteBuffer buffer = ByteBuffer.wrap(bytes);
        try {
            return StandardCharsets.UTF_8.newDecoder().decode(buffer).toString();
        } catch (CharacterCodingException otherCoding) {
            long line = 1;
            for (int index = 0; index < buffer.position(); index++) {
                line += bytes[index] == '\n' ? 1 : 0;
            }
            throw new FaultySheetException(List.of(new SheetFault(file, line, new EntryFault.NotUnicode())));
        }
    }

    /**
     * The rows of a sheet.
     *
     * @param file its name, for faults
     * @param text of the whole file
     * @param columns that must be there; others are read too
     * @throws FaultySheetException when the heading is not right or the text is not a sheet
     */
    public static List<Line> lines(String file, String text, List<String> columns) {
        String clean = !text.isEmpty() && text.charAt(0) == BYTE_ORDER_MARK ? text.substring(1) : text;
        requireCommas(file, clean, columns);
        List<Line> lines = new ArrayList<>();
        try (CSVParser parser = CSVParser.parse(new StringReader(clean), FORMAT)) {
            List<String> missing = columns.stream()
                    .filter(column -> !parser.getHeaderNames().contains(column))
                    .toList();
            if (!missing.isEmpty()) {
                throw fault(file, 1, new EntryFault.HeadingLacks(missing, String.join(",", columns)));
            }
            for (CSVRecord fields : parser) {
                Map<String, String> entries = new LinkedHashMap<>(fields.toMap());
                entries.replaceAll((column, entry) -> asItWas(entry));
                lines.add(new Line(parser.getCurrentLineNumber(), new SheetRow(entries)));
            }
        } catch (IOException cannotBe) {
            throw new UncheckedIOException(cannotBe);
        } catch (UncheckedIOException | IllegalArgumentException notASheet) {
            throw fault(file, 0, new EntryFault.NoSheet(String.valueOf(notASheet.getMessage())));
        }
        return List.copyOf(lines);
    }

    /**
     * Reads every row into an entry.
     *
     * @throws FaultySheetException listing every faulty line
     */
    public static <T> List<T> read(String file, String text, List<String> columns, Function<SheetRow, T> toEntry) {
        List<T> entries = new ArrayList<>();
        List<SheetFault> faults = new ArrayList<>();
        for (Line line : lines(file, text, columns)) {
            try {
                entries.add(toEntry.apply(line.row()));
            } catch (IllegalArgumentException wrong) {
                faults.add(new SheetFault(file, line.number(), EntryRefused.faultOf(wrong)));
            }
        }
        if (!faults.isEmpty()) {
            throw new FaultySheetException(faults);
        }
        return List.copyOf(entries);
    }

    /** The text of a sheet with these columns. */
    public static String written(List<String> columns, List<SheetRow> rows) {
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180.builder().setRecordSeparator('\n').get();
        try {
            format.printRecord(text, columns.toArray());
            for (SheetRow row : rows) {
                format.printRecord(
                        text,
                        columns.stream()
                                .map(column -> harmless(row.text(column)))
                                .toArray());
            }
        } catch (IOException cannotBe) {
            throw new UncheckedIOException(cannotBe);
        }
        return text.toString();
    }

    /**
     * An entry as it is written: one that a spreadsheet would take for a formula, or that begins with the mark against
     * it, gets an apostrophe before it. Plain numbers stay as they are.
     */
    private static String harmless(String entry) {
        boolean formula = !entry.isEmpty()
                && "=+-@\t\r'".indexOf(entry.charAt(0)) >= 0
                && !NUMBER.matcher(entry).matches();
        return formula ? "'" + entry : entry;
    }

    /** An entry without the apostrophe that {@link #written} put before what a spreadsheet would take for a formula. */
    static String asItWas(String entry) {
        return entry.length() > 1 && entry.charAt(0) == '\'' && "=+-@\t\r'".indexOf(entry.charAt(1)) >= 0
                ? entry.substring(1)
                : entry;
    }

    /** An entry by column, in the order of the columns; for writing. */
    public static SheetRow row(List<String> columns, Object... entries) {
        if (columns.size() != entries.length) {
            throw new IllegalArgumentException(columns.size() + " columns and " + entries.length + " entries.");
        }
        Map<String, String> byColumn = new LinkedHashMap<>();
        for (int index = 0; index < entries.length; index++) {
            byColumn.put(
                    columns.get(index), entries[index] instanceof Double number ? figure(number) : entries[index] + "");
        }
        return new SheetRow(byColumn);
    }

    /** A number as it is written in a sheet: without a useless ".0". */
    public static String figure(double number) {
        return number == Math.rint(number) && Math.abs(number) < 1e15
                ? String.valueOf((long) number)
                : String.valueOf(number);
    }

    private static void requireCommas(String file, String text, List<String> columns) {
        String heading = text.lines()
                .filter(line -> !line.startsWith("#") && !line.isBlank())
                .findFirst()
                .orElse("");
        if (heading.isEmpty()) {
            throw fault(file, 0, new EntryFault.EmptyFile(String.join(",", columns)));
        }
        if (columns.size() > 1 && !heading.contains(",")) {
            throw fault(
                    file,
                    1,
                    new EntryFault.SeparatedBy(
                            heading.contains(";")
                                    ? EntryFault.Separator.SEMICOLONS
                                    : heading.contains("\t")
                                            ? EntryFault.Separator.TABS
                                            : EntryFault.Separator.SOMETHING_ELSE));
        }
    }

    private static FaultySheetException fault(String file, long line, EntryFault fault) {
        return new FaultySheetException(List.of(new SheetFault(file, line, fault)));
    }
}
