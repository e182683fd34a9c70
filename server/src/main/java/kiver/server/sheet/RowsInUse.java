package kiver.server.sheet;

import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.sheet.SheetRow;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says of all rows of a sheet at once which are in use, as somebody would row by row; the sheet's history keeps it. */
@Component
public class RowsInUse {

    private final Sheets sheets;
    private final SheetLocks locks;
    private final Retired retired;
    private final SheetHistory history;

    RowsInUse(Sheets sheets, SheetLocks locks, Retired retired, SheetHistory history) {
        this.sheets = sheets;
        this.locks = locks;
        this.retired = retired;
        this.history = history;
    }

    /**
     * Puts those rows in use, and no others.
     *
     * @param sheet whose rows are told apart by one column
     * @param keys of the rows in use
     * @param by who says so
     */
    @Transactional
    public void choose(String sheet, Set<String> keys, long by) {
        SheetBook book = sheets.named(sheet);
        locks.lock();
        Map<String, Map<String, String>> before = SheetHistory.rowsByKey(book);
        for (SheetRow row : book.rows()) {
            List<String> key = book.shape().key(row);
            boolean inUse = keys.contains(key.get(0));
            if (inUse == retired.is(sheet, key.get(0))) {
                retired.set(sheet, key, !inUse);
            }
        }
        history.keep(book, before, by, null);
    }
}
