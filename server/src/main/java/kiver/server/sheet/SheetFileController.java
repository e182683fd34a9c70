package kiver.server.sheet;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.sheet.SheetRow;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.problem.FaultyFile;
import kiver.server.problem.FieldProblem;
import kiver.server.problem.Refusal;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Sheets out of any spreadsheet: looked over first, with what was understood and what cannot be; then taken whole, or
 * nothing of it.
 */
@RestController
class SheetFileController {

    private final Sheets sheets;
    private final SheetFiles files;
    private final SheetHistory history;
    private final SheetLocks locks;
    private final ColumnWords words;

    SheetFileController(Sheets sheets, SheetFiles files, SheetHistory history, SheetLocks locks, ColumnWords words) {
        this.sheets = sheets;
        this.files = files;
        this.history = history;
        this.locks = locks;
        this.words = words;
    }

    private record Made(int added, int changed, List<SheetFiles.RowFault> faults) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping(value = "/api/sheets/{name}/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @Transactional
    public SheetFiles.SheetReading read(
            @PathVariable String name,
            @RequestParam String file,
            @RequestParam(defaultValue = "true") boolean take,
            SheetFiles.Chosen chosen,
            @RequestBody(required = false) @Nullable byte[] bytes,
            @AuthenticationPrincipal Person person) {
        SheetBook book = sheets.named(name);
        SheetFiles.Opened opened = files.open(book.shape(), file, bytes, chosen);
        Optional<String> lacking = opened.lackingKey();
        if (take && lacking.isPresent()) {
            // Without what tells rows apart nothing can be taken; looked over, it is chosen.
            throw new Refusal(
                    lacking.get(),
                    Said.of("No column says {column}. Choose which one does.")
                            .with("column", words.name(name, lacking.get())));
        }
        locks.lock();
        Map<String, Map<String, String>> before = SheetHistory.rowsByKey(book);
        Made made = lacking.isEmpty() ? put(book, opened, before) : new Made(0, 0, List.of());
        if (take) {
            if (!made.faults().isEmpty()) {
                throw new FaultyFile(made.faults().stream()
                        .map(fault -> new FieldProblem(
                                "line " + fault.line(), FaultyFile.atLine(fault.line(), fault.problem())))
                        .toList());
            }
            history.keep(book, before, person.id(), null);
            opened.remember();
        } else {
            TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
        }
        return opened.reading(take, made.added(), made.changed(), made.faults());
    }

    /** What a row does not say of something that is there stays as it is. */
    private Made put(SheetBook book, SheetFiles.Opened opened, Map<String, Map<String, String>> before) {
        List<SheetFiles.RowFault> faults = new ArrayList<>();
        Map<String, Long> lines = new HashMap<>();
        for (SheetFiles.SaidRow row : opened.rows()) {
            SheetRow said = row.said();
            String key = SheetHistory.key(book.shape().key(said));
            Long already = lines.putIfAbsent(key, row.line());
            if (already != null && !key.isBlank()) {
                faults.add(new SheetFiles.RowFault(
                        row.line(),
                        Said.of("The same stands on line {line} already.").with("line", already)));
                continue;
            }
            Map<String, String> there = before.get(key);
            Map<String, String> entries = new LinkedHashMap<>(there == null ? Map.of() : there);
            entries.putAll(said.entries());
            try {
                book.put(new SheetRow(entries));
            } catch (Refusal refused) {
                faults.add(new SheetFiles.RowFault(row.line(), refused.said()));
            } catch (IllegalArgumentException wrong) {
                faults.add(new SheetFiles.RowFault(row.line(), opened.fault(wrong)));
            }
        }
        int added = 0;
        int changed = 0;
        for (Map.Entry<String, Map<String, String>> row :
                SheetHistory.rowsByKey(book).entrySet()) {
            Map<String, String> was = before.get(row.getKey());
            added += was == null ? 1 : 0;
            changed += was != null && !was.equals(row.getValue()) ? 1 : 0;
        }
        return new Made(added, changed, faults);
    }
}
