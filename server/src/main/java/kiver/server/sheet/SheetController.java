package kiver.server.sheet;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import kiver.core.sheet.Column;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.problem.Refusal;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Sheets on the screen, out of the nursery and into it. */
@RestController
class SheetController {

    /** Without it spreadsheet programs take a file for one in their own old alphabet, and umlauts come out wrong. */
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    private final Sheets sheets;
    private final SheetHistory history;
    private final SheetLocks locks;
    private final ColumnWords words;

    SheetController(Sheets sheets, SheetHistory history, SheetLocks locks, ColumnWords words) {
        this.sheets = sheets;
        this.history = history;
        this.locks = locks;
        this.words = words;
    }

    /** A sheet with its columns. */
    record SheetView(String name, int keys, List<ColumnView> columns, List<List<String>> rows) {}

    /**
     * A column.
     *
     * @param name in the heading line
     * @param words as people call it, with its unit
     * @param hint what to enter, or empty
     * @param choices the only entries allowed; empty when any may stand there
     */
    record ColumnView(String name, Said words, Said hint, List<String> choices) {}

    /** A row as it was edited, by column. */
    record RowEntry(Map<String, String> entries) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/sheets/{name}")
    SheetView sheet(@PathVariable String name) {
        SheetBook book = sheets.named(name);
        return new SheetView(
                name,
                book.shape().keys(),
                book.shape().columns().stream()
                        .map(column -> view(name, column))
                        .toList(),
                book.rows().stream()
                        .map(row -> book.shape().names().stream().map(row::text).toList())
                        .toList());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/sheets/{name}/file")
    ResponseEntity<byte[]> file(@PathVariable String name) {
        SheetBook book = sheets.named(name);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".csv\"")
                .body((BYTE_ORDER_MARK + SheetText.written(book.shape().names(), book.rows()))
                        .getBytes(StandardCharsets.UTF_8));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/sheets/{name}/rows")
    @Transactional
    public void put(@PathVariable String name, @RequestBody RowEntry entry, @AuthenticationPrincipal Person person) {
        SheetBook book = sheets.named(name);
        if (entry.entries() == null || entry.entries().containsValue(null)) {
            throw new Refusal("entries", Said.of("The row is not whole; a column may be empty but not missing."));
        }
        locks.lock();
        Map<String, Map<String, String>> before = SheetHistory.rowsByKey(book);
        try {
            book.put(new SheetRow(entry.entries()));
        } catch (IllegalArgumentException wrong) {
            EntryFault fault = EntryRefused.faultOf(wrong);
            throw new Refusal(columnOf(fault), Said.of((Record) fault));
        }
        history.keep(book, before, person.id(), null);
    }

    private ColumnView view(String sheet, Column column) {
        return new ColumnView(
                column.name(), words.name(sheet, column.name()), words.hint(sheet, column.name()), column.choices());
    }

    /** The column that is wrong, so that it is told there; empty when it is the row as a whole. */
    private static String columnOf(EntryFault fault) {
        if (fault instanceof EntryFault.Empty empty) {
            return empty.column();
        }
        if (fault instanceof EntryFault.NotANumber number) {
            return number.column();
        }
        if (fault instanceof EntryFault.NotWhole whole) {
            return whole.column();
        }
        if (fault instanceof EntryFault.NotADay day) {
            return day.column();
        }
        return fault instanceof EntryFault.NotOneOf one ? one.column() : "";
    }
}
