package kiver.server.sheet;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.SheetRow;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** What was changed on a sheet, and taking it back. */
@RestController
class SheetHistoryController {

    private final Sheets sheets;
    private final SheetHistory history;
    private final SheetLocks locks;
    private final ColumnWords words;
    private final NurseryClock clock;

    SheetHistoryController(
            Sheets sheets, SheetHistory history, SheetLocks locks, ColumnWords words, NurseryClock clock) {
        this.sheets = sheets;
        this.history = history;
        this.locks = locks;
        this.words = words;
        this.clock = clock;
    }

    /**
     * A change of a row.
     *
     * @param number of the change
     * @param row its key, as people read it
     * @param by who changed it
     * @param at nursery's time
     * @param added whether the row was new
     * @param entries what differs; all that was entered of a new row
     * @param undone whether it was taken back
     * @param undoes the change that this one took back; null where it took none back
     */
    record RowChange(
            long number,
            String row,
            String by,
            LocalDateTime at,
            boolean added,
            List<EntryChange> entries,
            boolean undone,
            @Nullable Long undoes) {}

    /** What stood in a column and what stands there since; either may be empty. */
    record EntryChange(Said column, String before, String after) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/sheets/{name}/changes")
    List<RowChange> changes(@PathVariable String name) {
        SheetBook book = sheets.named(name);
        return history.of(name).stream().map(change -> view(book, change)).toList();
    }

    /** Puts a row back as it was before a change, unless it has been changed since. */
    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/sheets/{name}/changes/{number}/undo")
    @Transactional
    public void undo(@PathVariable String name, @PathVariable long number, @AuthenticationPrincipal Person person) {
        SheetBook book = sheets.named(name);
        locks.lock();
        SheetHistory.Change change =
                history.change(name, number).orElseThrow(() -> new NotFound(Said.of("There is no such change.")));
        Map<String, String> before = change.before()
                .orElseThrow(() -> new Refusal(
                        "",
                        Said.of("This row was added. It is not taken away, but it can be said to be no longer used.")));
        Map<String, Map<String, String>> present = SheetHistory.rowsByKey(book);
        String key = SheetHistory.key(book.shape().key(new SheetRow(change.after())));
        if (change.undone() || !change.after().equals(present.get(key))) {
            throw new Refusal(
                    "", Said.of("The row has been changed since. Undo what came later first, or change it by hand."));
        }
        try {
            book.put(new SheetRow(before));
        } catch (IllegalArgumentException wrong) {
            throw new Refusal("", Said.of((Record) EntryRefused.faultOf(wrong)));
        }
        history.keep(book, present, person.id(), number);
    }

    private RowChange view(SheetBook book, SheetHistory.Change change) {
        Map<String, String> before = change.before().orElse(Map.of());
        return new RowChange(
                change.number(),
                String.join(", ", book.shape().key(new SheetRow(change.after()))),
                change.by(),
                LocalDateTime.ofInstant(change.at().toInstant(), clock.zone()),
                change.before().isEmpty(),
                book.shape().names().stream()
                        .filter(column -> !before.getOrDefault(column, "")
                                .equals(change.after().getOrDefault(column, "")))
                        .map(column -> new EntryChange(
                                words.name(book.shape().name(), column),
                                before.getOrDefault(column, ""),
                                change.after().getOrDefault(column, "")))
                        .toList(),
                change.undone(),
                change.undoes());
    }
}
