package kiver.server.sheet;

import jakarta.annotation.Nullable;
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
import kiver.core.sheet.WrittenNumber;
import kiver.server.problem.Refusal;
import kiver.server.wording.ColumnWords;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Opens spreadsheets of others' making and understands them as a sheet of ours. */
@Component
public class SheetFiles {

    private static final int ROWS_SHOWN = 4;
    private static final int FAULTS_SHOWN = 40;
    private static final int LONGEST_MATCHING = 4_000;

    private final ColumnWords words;
    private final ColumnMatches matches;
    private final Wording wording;
    private final JsonMapper json;

    SheetFiles(ColumnWords words, ColumnMatches matches, Wording wording, JsonMapper json) {
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
    public record SheetReading(
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
    public record ColumnReading(
            String name,
            Said words,
            boolean mayLack,
            @Nullable Integer column,
            @Nullable String same,
            List<String> first) {}

    /** A row that cannot be taken. */
    public record RowFault(long line, Said problem) {}

    /** What somebody chose because it was understood wrongly. */
    public record Chosen(
            @Nullable Integer page,
            @Nullable DateOrder dates,
            @Nullable WrittenNumber.Mark mark,
            @Nullable String matching) {}

    /** A row of theirs in our columns, with its line in the file. */
    public record SaidRow(long line, SheetRow said) {}

    /**
     * Opens a file.
     *
     * @param shape of our sheet
     * @param file its name
     * @param bytes of it; null where nothing was sent
     */
    public Opened open(SheetBook.Shape shape, String file, @Nullable byte[] bytes, Chosen chosen) {
        Map<String, List<String>> names = matches.namesOf(shape);
        List<SpreadsheetFile.Page> pages = SpreadsheetFile.pages(file, bytes == null ? new byte[0] : bytes);
        int page = chosen.page() == null ? fullest(pages) : Math.max(0, Math.min(chosen.page(), pages.size() - 1));
        ForeignSheet sheet = ForeignSheet.of(file, pages.get(page).rows(), names.values());
        Optional<Map<String, ColumnMatches.SourceEntry>> remembered =
                chosen.matching() == null ? matches.remembered(shape.name(), sheet.headings()) : Optional.empty();
        Map<String, ForeignSheet.Source> sources = chosen.matching() != null
                ? sources(shape, matching(chosen.matching()), sheet)
                : remembered.map(each -> sources(shape, each, sheet)).orElseGet(() -> sheet.matched(names));
        ForeignSheet.Writing understood = sheet.writing(DateOrder.DAY_FIRST);
        return new Opened(
                shape,
                pages.stream().map(SpreadsheetFile.Page::name).toList(),
                page,
                sheet,
                sources,
                remembered.isPresent(),
                new ForeignSheet.Writing(
                        chosen.dates() == null ? understood.dates() : chosen.dates(),
                        chosen.mark() == null ? understood.mark() : chosen.mark()));
    }

    /** A file that was opened, as far as it is understood. */
    public final class Opened {

        private final SheetBook.Shape shape;
        private final List<String> pages;
        private final int page;
        private final ForeignSheet sheet;
        private final Map<String, ForeignSheet.Source> sources;
        private final boolean remembered;
        private final ForeignSheet.Writing writing;

        private Opened(
                SheetBook.Shape shape,
                List<String> pages,
                int page,
                ForeignSheet sheet,
                Map<String, ForeignSheet.Source> sources,
                boolean remembered,
                ForeignSheet.Writing writing) {
            this.shape = shape;
            this.pages = pages;
            this.page = page;
            this.sheet = sheet;
            this.sources = sources;
            this.remembered = remembered;
            this.writing = writing;
        }

        /** The first of our key columns that no column of theirs says; nothing when rows can be told apart. */
        public Optional<String> lackingKey() {
            return shape.names().subList(0, shape.keys()).stream()
                    .filter(key -> !sources.containsKey(key))
                    .findFirst();
        }

        /** Its rows in our columns; those that a file does not have are missing. */
        public List<SaidRow> rows() {
            return sheet.rows().stream()
                    .map(row -> new SaidRow(row.line(), ForeignSheet.read(row, shape.columns(), sources, writing)))
                    .toList();
        }

        /** What is wrong with an entry, its column called as on the screen: their file does not call it as we do in ours. */
        public Said fault(IllegalArgumentException wrong) {
            return Said.of((Record) inWords(shape.name(), EntryRefused.faultOf(wrong)));
        }

        /** Keeps which column is which for the next file with the same headings. */
        public void remember() {
            Map<String, ColumnMatches.SourceEntry> chosen = new LinkedHashMap<>();
            sources.forEach((column, source) -> chosen.put(column, ColumnMatches.SourceEntry.of(source)));
            matches.remember(shape.name(), sheet.headings(), chosen);
        }

        /**
         * What was made of it.
         *
         * @param taken whether it was read in
         * @param added rows that are new
         * @param changed rows that differ from what is there
         */
        public SheetReading reading(boolean taken, int added, int changed, List<RowFault> faults) {
            return new SheetReading(
                    taken,
                    pages,
                    page,
                    sheet.headings(),
                    columns(shape, sheet, sources, writing),
                    remembered,
                    writing.dates(),
                    writing.mark(),
                    sheet.rows().size(),
                    added,
                    changed,
                    faults.size(),
                    faults.stream().limit(FAULTS_SHOWN).toList());
        }
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
