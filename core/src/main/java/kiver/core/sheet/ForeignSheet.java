package kiver.core.sheet;

import java.text.Normalizer;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * A sheet of somebody else's making: which of its columns are which of ours, and its cells in our writing.
 *
 * @param headings of its columns, as they stand there
 * @param rows below the heading
 */
public record ForeignSheet(List<String> headings, List<TextTable.Row> rows) {

    /** A title, an address and a date may stand above the heading. */
    private static final int ROWS_ABOVE = 20;

    private static final int LATEST_MONTH = 12;
    private static final List<String> YES = List.of("yes", "y", "x", "true", "1", "✓");
    private static final List<String> NO = List.of("no", "n", "-", "false", "0");
    private static final Pattern MARKS = Pattern.compile("\\p{M}+");
    private static final Pattern UNIT = Pattern.compile("[(\\[].*?[)\\]]|,.*$");
    private static final Pattern NO_LETTERS = Pattern.compile("[^\\p{L}\\p{Nd}%]+");

    /** How its cells are written. */
    public record Writing(DateOrder dates, WrittenNumber.Mark mark) {}

    /** What a column of ours is filled from: a column of theirs, or the same for all rows. */
    public sealed interface Source {

        /** Their column, counted from 0. */
        record Theirs(int column) implements Source {}

        /** The same in every row. */
        record Same(String entry) implements Source {}
    }

    public ForeignSheet {
        headings = List.copyOf(headings);
        rows = List.copyOf(rows);
    }

    /**
     * Parts a table into heading and rows.
     *
     * @param names that columns of ours are known by, to tell a heading from a title
     * @throws FaultySheetException when nothing stands below a heading
     */
    public static ForeignSheet of(String file, List<TextTable.Row> table, Collection<List<String>> names) {
        Set<String> known = new HashSet<>();
        names.forEach(each -> each.forEach(name -> known.add(bare(name))));
        TextTable.Row heading = table.stream()
                .limit(ROWS_ABOVE)
                .max(Comparator.comparingLong((TextTable.Row row) -> row.cells().stream()
                                .filter(cell -> known.contains(bare(cell)))
                                .count())
                        .thenComparingLong(ForeignSheet::words)
                        // Of equals the first: comparing takes the last otherwise.
                        .thenComparing(row -> -row.line()))
                .orElseThrow(() -> empty(file, names));
        List<TextTable.Row> below =
                table.stream().filter(row -> row.line() > heading.line()).toList();
        if (below.isEmpty()) {
            throw empty(file, names);
        }
        return new ForeignSheet(heading.cells().stream().map(String::strip).toList(), below);
    }

    private static FaultySheetException empty(String file, Collection<List<String>> names) {
        String heading = names.stream().map(goesBy -> goesBy.get(0)).collect(Collectors.joining(","));
        return new FaultySheetException(List.of(new SheetFault(file, 0, new EntryFault.EmptyFile(heading))));
    }

    private static long words(TextTable.Row row) {
        return row.cells().stream()
                .filter(cell -> !cell.isBlank())
                .filter(cell ->
                        WrittenNumber.plain(cell, WrittenNumber.Mark.POINT).isEmpty())
                .count();
    }

    /**
     * Which column of theirs is which of ours: those of the same name first, then those whose name holds ours.
     *
     * @param names each column of ours with the names it goes by
     */
    public Map<String, Source> matched(Map<String, List<String>> names) {
        Map<String, Source> matched = new LinkedHashMap<>();
        Set<Integer> taken = new HashSet<>();
        for (boolean same : new boolean[] {true, false}) {
            names.forEach((column, goesBy) -> {
                if (!matched.containsKey(column)) {
                    find(goesBy, same, taken).ifPresent(index -> {
                        taken.add(index);
                        matched.put(column, new Source.Theirs(index));
                    });
                }
            });
        }
        return matched;
    }

    private Optional<Integer> find(List<String> goesBy, boolean same, Set<Integer> taken) {
        for (String name : goesBy) {
            String ours = bare(name);
            for (int index = 0; index < headings.size(); index++) {
                String theirs = bare(headings.get(index));
                boolean fits = same ? theirs.equals(ours) : holds(theirs, ours);
                if (!theirs.isEmpty() && !taken.contains(index) && fits) {
                    return Optional.of(index);
                }
            }
        }
        return Optional.empty();
    }

    private static boolean holds(String theirs, String ours) {
        return Arrays.asList(theirs.split(" ")).containsAll(Arrays.asList(ours.split(" ")));
    }

    /** How its cells are written, as far as they tell. */
    public Writing writing(DateOrder dayOrMonthFirst) {
        List<String> cells = rows.stream().flatMap(row -> row.cells().stream()).toList();
        return new Writing(dates(cells, dayOrMonthFirst), WrittenNumber.markOf(cells));
    }

    private static DateOrder dates(List<String> cells, DateOrder otherwise) {
        List<WrittenMoment.Parts> parts = new ArrayList<>();
        cells.forEach(cell -> WrittenMoment.parts(cell).ifPresent(parts::add));
        if (parts.isEmpty()) {
            return DateOrder.YEAR_FIRST;
        }
        if (parts.stream().anyMatch(each -> each.first() > LATEST_MONTH)) {
            return DateOrder.DAY_FIRST;
        }
        if (parts.stream().anyMatch(each -> each.second() > LATEST_MONTH)) {
            return DateOrder.MONTH_FIRST;
        }
        return parts.stream().allMatch(each -> each.between() == '.') ? DateOrder.DAY_FIRST : otherwise;
    }

    /**
     * A row in our columns and our writing; columns that nothing is said of are left out.
     *
     * @param columns of ours
     * @param sources of each by its name
     */
    public static SheetRow read(TextTable.Row row, List<Column> columns, Map<String, Source> sources, Writing writing) {
        Map<String, String> entries = new LinkedHashMap<>();
        for (Column column : columns) {
            Source source = sources.get(column.name());
            if (source instanceof Source.Theirs theirs) {
                entries.put(column.name(), ours(row.cell(theirs.column()), column, writing));
            } else if (source instanceof Source.Same same) {
                entries.put(column.name(), ours(same.entry(), column, writing));
            }
        }
        return new SheetRow(entries);
    }

    private static String ours(String cell, Column column, Writing writing) {
        String text = SheetText.asItWas(cell.strip());
        String lower = text.toLowerCase(Locale.ROOT);
        if (column.choices().contains("yes")) {
            return YES.contains(lower) ? "yes" : NO.contains(lower) ? "no" : text;
        }
        if (!column.choices().isEmpty()) {
            return column.choices().stream()
                    .filter(choice -> bare(choice).equals(bare(text)))
                    .findFirst()
                    .orElse(text);
        }
        Optional<LocalDate> day =
                column.isDay() ? WrittenMoment.of(text, writing.dates()).map(WrittenMoment::day) : Optional.empty();
        return day.map(LocalDate::toString)
                .or(() -> WrittenNumber.plain(text, writing.mark()))
                .orElse(text);
    }

    /** A name without what people write differently: capitals, accents, units, marks between words. */
    static String bare(String name) {
        String letters =
                MARKS.matcher(Normalizer.normalize(name, Normalizer.Form.NFD)).replaceAll("");
        return NO_LETTERS
                .matcher(UNIT.matcher(letters.toLowerCase(Locale.ROOT)).replaceAll(" "))
                .replaceAll(" ")
                .strip();
    }
}
