package kiver.server.sheet;

import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import kiver.core.sheet.Column;
import kiver.core.sheet.DateOrder;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.ForeignSheet;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.TextTable;
import kiver.core.sheet.WrittenNumber;
import kiver.server.account.Person;
import kiver.server.problem.FaultyFile;
import kiver.server.problem.FieldProblem;
import kiver.server.problem.Refusal;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.interceptor.TransactionAspectSupport;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sheets out of any spreadsheet: looked over first, with what was understood and what cannot be; then taken whole, or
 * nothing of it.
 */
@RestController
class SheetFileController {

    private static final int ROWS_SHOWN = 4;
    private static final int FAULTS_SHOWN = 40;
    private static final int LONGEST_MATCHING = 4_000;

    private final Sheets sheets;
    private final SheetHistory history;
    private final SheetLocks locks;
    private final ColumnWords words;
    private final ColumnMatches matches;
    private final Wording wording;
    private final JsonMapper json;

    SheetFileController(
            Sheets sheets,
            SheetHistory history,
            SheetLocks locks,
            ColumnWords words,
            ColumnMatches matches,
            Wording wording,
            JsonMapper json) {
        this.sheets = sheets;
        this.history = history;
        this.locks = locks;
        this.words = words;
        this.matches = matches;
        this.wording = wording;
        this.json = json;
    }

    /**
     * What was made of a file.
     *
     * @param taken whether it was read in; otherwise nothing was changed
     * @param pages names of the pages that hold anything
     * @param page the one that was read, counted from 0
     * @param headings of its columns
     * @param columns of ours, each with where it comes from
     * @param remembered whether they are matched as somebody chose the last time
     * @param dates order of a day's parts
     * @param mark what stands before tenths
     * @param rows below the heading
     * @param added rows that are new
     * @param changed rows that differ from what is there
     * @param faulty rows that cannot be taken
     * @param faults of those, the first ones
     */
    record SheetReading(
            boolean taken,
            List<String> pages,
            int page,
            List<String> headings,
            List<ColumnReading> columns,
            boolean remembered,
            DateOrder dates,
            WrittenNumber.Mark mark,
            int rows,
            int added,
            int changed,
            int faulty,
            List<RowFault> faults) {}

    /**
     * A column of ours and where it comes from.
     *
     * @param column of theirs, counted from 0; null where there is none
     * @param same what stands in all rows; null where a column says it
     * @param first what stands in the first rows, in our writing
     */
    record ColumnReading(
            String name,
            Said words,
            boolean mayLack,
            @Nullable Integer column,
            @Nullable String same,
            List<String> first) {}

    /** A row that cannot be taken. */
    record RowFault(long line, Said problem) {}

    /** What somebody chose because it was understood wrongly. */
    record Chosen(
            @Nullable Integer page,
            @Nullable DateOrder dates,
            @Nullable WrittenNumber.Mark mark,
            @Nullable String matching) {}

    private record Made(int added, int changed, List<RowFault> faults) {}

    @PostMapping(value = "/api/sheets/{name}/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @Transactional
    public SheetReading read(
            @PathVariable String name,
            @RequestParam String file,
            @RequestParam(defaultValue = "true") boolean take,
            Chosen chosen,
            @RequestBody(required = false) byte[] bytes,
            @AuthenticationPrincipal Person person) {
        SheetBook book = sheets.named(name);
        Map<String, List<String>> names = matches.namesOf(book.shape());
        List<SpreadsheetFile.Page> pages = SpreadsheetFile.pages(file, bytes == null ? new byte[0] : bytes);
        int page = chosen.page() == null ? fullest(pages) : Math.max(0, Math.min(chosen.page(), pages.size() - 1));
        ForeignSheet sheet = ForeignSheet.of(file, pages.get(page).rows(), names.values());
        Optional<Map<String, ColumnMatches.SourceEntry>> remembered =
                chosen.matching() == null ? matches.remembered(name, sheet.headings()) : Optional.empty();
        Map<String, ForeignSheet.Source> sources = chosen.matching() != null
                ? sources(book.shape(), matching(chosen.matching()), sheet)
                : remembered.map(each -> sources(book.shape(), each, sheet)).orElseGet(() -> sheet.matched(names));
        requireKeys(book.shape(), sources, take);
        ForeignSheet.Writing understood = sheet.writing(DateOrder.DAY_FIRST);
        ForeignSheet.Writing writing = new ForeignSheet.Writing(
                chosen.dates() == null ? understood.dates() : chosen.dates(),
                chosen.mark() == null ? understood.mark() : chosen.mark());
        locks.lock();
        Map<String, Map<String, String>> before = SheetHistory.rowsByKey(book);
        Made made = sources.keySet().containsAll(keys(book.shape()))
                ? put(book, sheet, sources, writing, before)
                : new Made(0, 0, List.of());
        if (take) {
            if (!made.faults().isEmpty()) {
                throw new FaultyFile(made.faults().stream()
                        .map(fault -> new FieldProblem(
                                "line " + fault.line(), FaultyFile.atLine(fault.line(), fault.problem())))
                        .toList());
            }
            history.keep(book, before, person.id(), null);
            Map<String, ColumnMatches.SourceEntry> chosenSources = new LinkedHashMap<>();
            sources.forEach((column, source) -> chosenSources.put(column, ColumnMatches.SourceEntry.of(source)));
            matches.remember(name, sheet.headings(), chosenSources);
        } else {
            TransactionAspectSupport.currentTransactionStatus().setRollbackOnly();
        }
        return new SheetReading(
                take,
                pages.stream().map(SpreadsheetFile.Page::name).toList(),
                page,
                sheet.headings(),
                columns(book.shape(), sheet, sources, writing),
                remembered.isPresent(),
                writing.dates(),
                writing.mark(),
                sheet.rows().size(),
                made.added(),
                made.changed(),
                made.faults().size(),
                made.faults().stream().limit(FAULTS_SHOWN).toList());
    }

    /** What a row does not say of something that is there stays as it is. */
    private Made put(
            SheetBook book,
            ForeignSheet sheet,
            Map<String, ForeignSheet.Source> sources,
            ForeignSheet.Writing writing,
            Map<String, Map<String, String>> before) {
        List<RowFault> faults = new ArrayList<>();
        Map<String, Long> lines = new HashMap<>();
        for (TextTable.Row row : sheet.rows()) {
            SheetRow said = ForeignSheet.read(row, book.shape().columns(), sources, writing);
            String key = SheetHistory.key(book.shape().key(said));
            Long already = lines.putIfAbsent(key, row.line());
            if (already != null && !key.isBlank()) {
                faults.add(new RowFault(
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
                faults.add(new RowFault(row.line(), refused.said()));
            } catch (IllegalArgumentException wrong) {
                faults.add(new RowFault(
                        row.line(), Said.of((Record) inWords(book.shape().name(), EntryRefused.faultOf(wrong)))));
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

    private List<ColumnReading> columns(
            SheetBook.Shape shape,
            ForeignSheet sheet,
            Map<String, ForeignSheet.Source> sources,
            ForeignSheet.Writing writing) {
        List<SheetRow> first = sheet.rows().stream()
                .limit(ROWS_SHOWN)
                .map(row -> ForeignSheet.read(row, shape.columns(), sources, writing))
                .toList();
        return shape.columns().stream()
                .map(column -> {
                    ForeignSheet.Source source = sources.get(column.name());
                    return new ColumnReading(
                            column.name(),
                            words.name(shape.name(), column.name()),
                            column.mayLack(),
                            source instanceof ForeignSheet.Source.Theirs theirs ? theirs.column() : null,
                            source instanceof ForeignSheet.Source.Same same ? same.entry() : null,
                            source == null
                                    ? List.of()
                                    : first.stream()
                                            .map(row -> row.text(column.name()))
                                            .toList());
                })
                .toList();
    }

    /** Their file does not call the column as we do in ours, so it is called as on the screen. */
    private EntryFault inWords(String sheet, EntryFault fault) {
        UnaryOperator<String> called = column -> wording.say(words.name(sheet, column));
        if (fault instanceof EntryFault.Empty empty) {
            return new EntryFault.Empty(called.apply(empty.column()));
        }
        if (fault instanceof EntryFault.NotANumber number) {
            return new EntryFault.NotANumber(called.apply(number.column()), number.entry());
        }
        if (fault instanceof EntryFault.NotWhole whole) {
            return new EntryFault.NotWhole(called.apply(whole.column()), whole.entry());
        }
        if (fault instanceof EntryFault.NotADay day) {
            return new EntryFault.NotADay(called.apply(day.column()), day.entry());
        }
        return fault instanceof EntryFault.NotOneOf one
                ? new EntryFault.NotOneOf(called.apply(one.column()), one.entry(), one.allowed())
                : fault;
    }

    /** Without what tells rows apart nothing can be taken; looked over, it is chosen. */
    private void requireKeys(SheetBook.Shape shape, Map<String, ForeignSheet.Source> sources, boolean take) {
        for (String key : keys(shape)) {
            if (take && !sources.containsKey(key)) {
                throw new Refusal(
                        key,
                        Said.of("No column says {column}. Choose which one does.")
                                .with("column", words.name(shape.name(), key)));
            }
        }
    }

    private static List<String> keys(SheetBook.Shape shape) {
        return shape.names().subList(0, shape.keys());
    }

    private static int fullest(List<SpreadsheetFile.Page> pages) {
        int fullest = 0;
        for (int page = 1; page < pages.size(); page++) {
            fullest = pages.get(page).rows().size() > pages.get(fullest).rows().size() ? page : fullest;
        }
        return fullest;
    }

    private Map<String, ColumnMatches.SourceEntry> matching(String text) {
        try {
            if (text.length() <= LONGEST_MATCHING) {
                return json.readValue(text, new TypeReference<>() {});
            }
        } catch (JacksonException unreadable) {
            // told below
        }
        throw new Refusal("matching", Said.of("Which column is which cannot be read. Choose anew."));
    }

    private static Map<String, ForeignSheet.Source> sources(
            SheetBook.Shape shape, Map<String, ColumnMatches.SourceEntry> chosen, ForeignSheet sheet) {
        Map<String, ForeignSheet.Source> sources = new LinkedHashMap<>();
        for (Column column : shape.columns()) {
            ColumnMatches.SourceEntry entry = chosen.get(column.name());
            if (entry != null) {
                entry.source(sheet.headings().size()).ifPresent(source -> sources.put(column.name(), source));
            }
        }
        return sources;
    }
}
