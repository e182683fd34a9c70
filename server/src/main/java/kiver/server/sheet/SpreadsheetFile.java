package kiver.server.sheet;

import com.github.miachm.sods.OfficeCurrency;
import com.github.miachm.sods.OfficePercentage;
import com.github.miachm.sods.SpreadSheet;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetText;
import kiver.core.sheet.TextTable;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.ReadingOptions;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;

/**
 * What other programs write tables into: text with any separator, or a spreadsheet (Office Open XML or OpenDocument). Of
 * formulas what they last came to is read; of merged cells the first.
 */
final class SpreadsheetFile {

    private static final long MOST_BYTES_UNPACKED = 60L << 20;
    private static final int MOST_ROWS = 20_000;
    private static final int MOST_COLUMNS = 200;
    private static final byte[] ZIP = {'P', 'K', 3, 4};
    private static final byte[] OLD_WORKBOOK = {(byte) 0xD0, (byte) 0xCF, 0x11, (byte) 0xE0};
    private static final Pattern NOT_OF_A_DATE = Pattern.compile("\"[^\"]*\"|\\[[^\\]]*\\]|\\\\.");

    private static final Pattern NUMBER = Pattern.compile("-?\\d{1,15}(\\.\\d+)?([eE][+-]?\\d{1,2})?");

    /** From which workbooks count days; those that count from 1904 are not written any more. */
    private static final LocalDate DAY_NOUGHT = LocalDate.of(1899, 12, 30);

    /** A date is a number that is shown as one. */
    private static final ReadingOptions WITH_FORMATS = new ReadingOptions(true, false);

    private SpreadsheetFile() {}

    /**
     * A page of a file; text has one.
     *
     * @param name of the page; that of the file where it has one only
     * @param rows that hold anything
     */
    record Page(String name, List<TextTable.Row> rows) {}

    /** The pages of a file that hold anything. */
    static List<Page> pages(String file, byte[] bytes) {
        List<Page> pages;
        try {
            if (startsWith(bytes, ZIP)) {
                pages = isOpenDocument(bytes) ? openDocument(bytes) : workbook(bytes);
            } else if (startsWith(bytes, OLD_WORKBOOK)) {
                throw new Refusal(
                        "file",
                        Said.of(
                                "This is a workbook of the old kind. Save it as .xlsx, .ods or CSV and choose it again."));
            } else {
                pages = List.of(new Page(file, TextTable.of(file, bytes).rows()));
            }
        } catch (IOException | RuntimeException broken) {
            if (broken instanceof Refusal refused) {
                throw refused;
            }
            if (broken instanceof FaultySheetException faulty) {
                throw faulty;
            }
            throw new Refusal(
                    "file",
                    Said.of("{file} cannot be read as a table. Save it as CSV and choose it again.")
                            .with("file", file));
        }
        List<Page> full = pages.stream().filter(page -> !page.rows().isEmpty()).toList();
        if (full.isEmpty()) {
            throw new Refusal("file", Said.of("Nothing stands in {file}.").with("file", file));
        }
        if (full.stream().anyMatch(page -> page.rows().size() > MOST_ROWS)) {
            throw new Refusal(
                    "file",
                    Said.of("{file} has more than {most} rows. Part it, and read it in piece by piece.")
                            .with("file", file)
                            .with("most", MOST_ROWS));
        }
        return full;
    }

    private static List<Page> workbook(byte[] bytes) throws IOException {
        try {
            return workbook(bytes, WITH_FORMATS);
        } catch (ExcelReaderException withoutFormats) {
            return workbook(bytes, ReadingOptions.DEFAULT_READING_OPTIONS);
        }
    }

    private static List<Page> workbook(byte[] bytes, ReadingOptions options) throws IOException {
        List<Page> pages = new ArrayList<>();
        try (ReadableWorkbook book = new ReadableWorkbook(new ByteArrayInputStream(bytes), options)) {
            for (Sheet sheet : book.getSheets().toList()) {
                List<TextTable.Row> rows = new ArrayList<>();
                try (Stream<Row> all = sheet.openStream()) {
                    all.limit(MOST_ROWS + 1L).forEach(row -> {
                        List<String> cells = row.stream()
                                .limit(MOST_COLUMNS)
                                .map(SpreadsheetFile::text)
                                .toList();
                        add(rows, row.getRowNum(), cells);
                    });
                }
                pages.add(new Page(sheet.getName(), rows));
            }
        }
        return pages;
    }

    private static String text(Cell cell) {
        if (cell == null || cell.getType() == CellType.EMPTY || cell.getType() == CellType.ERROR) {
            return "";
        }
        String value = Objects.toString(cell.getValue(), "").strip();
        if (cell.getType() == CellType.STRING || !NUMBER.matcher(value).matches()) {
            return value;
        }
        BigDecimal number = new BigDecimal(value);
        return isDate(cell.getDataFormatString())
                ? DAY_NOUGHT.plusDays(number.longValue()).toString()
                : number.stripTrailingZeros().toPlainString();
    }

    private static boolean isDate(String format) {
        if (format == null) {
            return false;
        }
        String parts = NOT_OF_A_DATE.matcher(format.toLowerCase(Locale.ROOT)).replaceAll("");
        return parts.contains("y") || parts.contains("d") && parts.contains("m");
    }

    private static List<Page> openDocument(byte[] bytes) throws IOException {
        List<Page> pages = new ArrayList<>();
        for (com.github.miachm.sods.Sheet sheet : new SpreadSheet(new ByteArrayInputStream(bytes)).getSheets()) {
            List<TextTable.Row> rows = new ArrayList<>();
            Object[][] values = sheet.getDataRange() == null
                    ? new Object[0][]
                    : sheet.getDataRange().getValues();
            for (int row = 0; row < values.length && rows.size() <= MOST_ROWS; row++) {
                add(
                        rows,
                        row + 1,
                        Stream.of(values[row])
                                .limit(MOST_COLUMNS)
                                .map(SpreadsheetFile::text)
                                .toList());
            }
            pages.add(new Page(sheet.getName(), rows));
        }
        return pages;
    }

    private static String text(Object value) {
        if (value instanceof OfficePercentage share) {
            return share.getValue() == null ? "" : SheetText.figure(share.getValue());
        }
        if (value instanceof OfficeCurrency money) {
            return money.getValue() == null ? "" : SheetText.figure(money.getValue());
        }
        if (value instanceof Double number) {
            return SheetText.figure(number);
        }
        return value instanceof LocalDateTime moment
                ? day(moment)
                : Objects.toString(value, "").strip();
    }

    private static String day(LocalDateTime moment) {
        return moment.toLocalDate().toString();
    }

    private static void add(List<TextTable.Row> rows, long line, List<String> cells) {
        if (cells.stream().anyMatch(cell -> !cell.isBlank())) {
            rows.add(new TextTable.Row(line, cells));
        }
    }

    /** Tells the two kinds apart, and refuses one that would fill the memory. */
    private static boolean isOpenDocument(byte[] bytes) throws IOException {
        boolean open = false;
        long unpacked = 0;
        byte[] block = new byte[1 << 16];
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                open |= entry.getName().equals("content.xml");
                unpacked += size(zip, block, MOST_BYTES_UNPACKED - unpacked);
                if (unpacked > MOST_BYTES_UNPACKED) {
                    throw new Refusal(
                            "file", Said.of("This file is too large. Part it, and read it in piece by piece."));
                }
            }
        }
        return open;
    }

    private static long size(InputStream in, byte[] block, long most) throws IOException {
        long size = 0;
        for (int read = in.read(block); read >= 0 && size <= most; read = in.read(block)) {
            size += read;
        }
        return size;
    }

    private static boolean startsWith(byte[] bytes, byte[] mark) {
        return bytes.length >= mark.length && Arrays.equals(bytes, 0, mark.length, mark, 0, mark.length);
    }
}
