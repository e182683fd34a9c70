package kiver.server.sheet;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.sheet.Column;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Sheets on the screen, out of the nursery and into it. */
@RestController
class SheetController {

    private final Map<String, SheetBook> books = new TreeMap<>();
    private final SheetLocks locks;

    SheetController(List<SheetBook> all, SheetLocks locks) {
        this.locks = locks;
        all.forEach(book -> books.put(book.shape().name(), book));
    }

    /** A sheet with its columns. */
    record SheetView(String name, int keys, List<Column> columns, List<List<String>> rows) {}

    /** A row as it was edited, by column. */
    record RowEntry(Map<String, String> entries) {}

    /** How many rows were read in. */
    record ReadIn(int rows) {}

    @GetMapping("/api/sheets/{name}")
    SheetView sheet(@PathVariable String name) {
        SheetBook book = book(name);
        return new SheetView(
                name, book.shape().keys(), book.shape().columns(),
                book.rows().stream().map(row -> book.shape().names().stream().map(row::text).toList()).toList());
    }

    @GetMapping("/api/sheets/{name}/file")
    ResponseEntity<byte[]> file(@PathVariable String name) {
        SheetBook book = book(name);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".csv\"")
                .body(SheetText.written(book.shape().names(), book.rows()).getBytes(StandardCharsets.UTF_8));
    }

    @PutMapping("/api/sheets/{name}/rows")
    @Transactional
    public void put(@PathVariable String name, @RequestBody RowEntry entry) {
        SheetBook book = book(name);
        if (entry.entries() == null || entry.entries().containsValue(null)) {
            throw new Refusal("entries", "The row is not whole; a column may be empty but not missing.");
        }
        locks.lock();
        try {
            book.put(new SheetRow(entry.entries()));
        } catch (IllegalArgumentException wrong) {
            throw new Refusal(columnIn(book, wrong.getMessage()), wrong.getMessage());
        }
    }

    /** Reads a whole file in, or nothing of it. */
    @PostMapping(value = "/api/sheets/{name}/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @Transactional
    public ReadIn readIn(@PathVariable String name, @RequestParam String file, @RequestBody byte[] bytes) {
        SheetBook book = book(name);
        locks.lock();
        List<SheetText.Line> lines = SheetText.lines(file, SheetText.decoded(file, bytes), book.shape().names());
        List<SheetFault> faults = new ArrayList<>();
        for (SheetText.Line line : lines) {
            try {
                book.put(line.row());
            } catch (IllegalArgumentException | Refusal wrong) {
                faults.add(new SheetFault(file, line.number(), wrong.getMessage()));
            }
        }
        if (!faults.isEmpty()) {
            throw new FaultySheetException(faults);
        }
        return new ReadIn(lines.size());
    }

    private SheetBook book(String name) {
        SheetBook book = books.get(name);
        if (book == null) {
            throw new NotFound("sheet " + name);
        }
        return book;
    }

    /** The column that a complaint begins with, so that it is shown there. */
    private static String columnIn(SheetBook book, String complaint) {
        return book.shape().names().stream().filter(name -> complaint.startsWith(name + " ")).findFirst().orElse("");
    }
}
