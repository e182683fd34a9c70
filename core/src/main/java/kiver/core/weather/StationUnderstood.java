package kiver.core.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kiver.core.sheet.DateOrder;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import kiver.core.sheet.TextTable;
import kiver.core.sheet.WrittenMoment;

/**
 * Understands how a station's file is laid out, from its heading where there is one and from what stands in its columns.
 *
 * @param layout as it was understood or chosen
 * @param data rows below the heading
 */
record StationUnderstood(StationLayout layout, List<TextTable.Row> data) {

    private static final int ROWS_LOOKED_AT = 400;

    /** Of a column's cells so many must be days, or numbers. */
    private static final double MOST_CELLS = 0.6;

    /** In °C fewer than one day in ten is warmer than this; in °F of a temperate year more than two in three. */
    private static final double FAHRENHEIT_WARM_HALF = 38;

    /** Tenths of °C lie beyond this on most days, whole degrees never. */
    private static final double TENTHS_HALF = 60;

    /** The same file twice has two lines for each day; readings have at least one every six hours. */
    private static final int MOST_ROWS_A_DAY = 3;

    private static final double HALF = 0.5;
    private static final int MOST_MONTHS = 12;
    private static final List<String> LOWEST = List.of("min", "low", "tn", "tief");
    private static final List<String> HIGHEST = List.of("max", "high", "tx", "hoch", "höch");
    private static final List<String> READING =
            List.of("temp", "°c", "°f", "outdoor", "outside", "air", "t2m", "celsius");
    private static final List<String> SOMETHING_ELSE = List.of(
            "hum", "dew", "soil", "wind", "gust", "rain", "precip", "press", "indoor", "inside", "batt", "rh", "sun");

    static StationUnderstood of(String file, StationRows rows, StationLayout.Chosen chosen) {
        return new Understanding(file, rows, chosen).understood();
    }

    /** One file's columns while they are made sense of. */
    private static final class Understanding {
        private final String file;
        private final StationRows rows;
        private final StationLayout.Chosen chosen;
        private final List<TextTable.Row> data;
        private final List<TextTable.Row> looked;
        private final List<String> names;
        private final String preface;

        Understanding(String file, StationRows rows, StationLayout.Chosen chosen) {
            this.file = file;
            this.rows = rows;
            this.chosen = chosen;
            int first = IntStream.range(0, rows.rows().size())
                    .filter(index -> isData(rows.rows().get(index)))
                    .findFirst()
                    .orElseThrow(this::noDays);
            data = rows.rows().subList(first, rows.rows().size());
            looked = data.subList(0, Math.min(ROWS_LOOKED_AT, data.size()));
            int width =
                    looked.stream().mapToInt(row -> row.cells().size()).max().orElse(0);
            List<String> heading =
                    first == 0 ? List.of() : rows.rows().get(first - 1).cells();
            names = IntStream.range(0, width)
                    .mapToObj(column ->
                            column < heading.size() && !heading.get(column).isBlank()
                                    ? heading.get(column).strip()
                                    : String.valueOf(column + 1))
                    .toList();
            preface = String.join(
                            " ",
                            rows.rows().subList(0, first).stream()
                                    .flatMap(row -> row.cells().stream())
                                    .toList())
                    .toLowerCase(Locale.ROOT);
        }

        StationUnderstood understood() {
            int day = chosen.day().filter(this::isColumn).orElseGet(this::dayColumn);
            DateOrder order = chosen.dates().orElseGet(() -> order(day));
            Optional<Integer> time = columns()
                    .filter(column -> column != day
                            && share(column, cell -> WrittenMoment.hourOf(cell).isPresent()))
                    .findFirst();
            List<Integer> numbers = columns()
                    .filter(column -> column != day
                            && time.filter(column::equals).isEmpty()
                            && share(column, cell -> StationRows.number(cell).isPresent()))
                    .toList();
            boolean readings = chosen.reading().isPresent()
                    || chosen.lowest().isEmpty() && chosen.highest().isEmpty() && manyADay(day, order);
            Optional<Integer> reading = readings ? Optional.of(reading(numbers)) : Optional.empty();
            Optional<Integer> lowest = readings ? Optional.empty() : Optional.of(extreme(numbers, true));
            Optional<Integer> highest = readings ? Optional.empty() : Optional.of(extreme(numbers, false));
            if (lowest.isPresent() && lowest.equals(highest)) {
                throw lacks(List.of("minimum", "maximum"));
            }
            // Any names: the colder of the two is the lowest.
            if (chosen.lowest().isEmpty()
                    && chosen.highest().isEmpty()
                    && lowest.isPresent()
                    && mean(lowest.get()) > mean(highest.get())) {
                Optional<Integer> swapped = lowest;
                lowest = highest;
                highest = swapped;
            }
            StationLayout.Unit unit = chosen.unit().orElse(unit(reading.or(() -> Optional.empty()), highest));
            return new StationUnderstood(
                    new StationLayout(rows.separator(), order, unit, names, day, lowest, highest, reading, time), data);
        }

        private Stream<Integer> columns() {
            return IntStream.range(0, names.size()).boxed();
        }

        private boolean isColumn(int column) {
            return column >= 0 && column < names.size();
        }

        private static boolean isData(TextTable.Row row) {
            boolean day = row.cells().stream()
                    .anyMatch(cell -> WrittenMoment.of(cell, DateOrder.DAY_FIRST)
                            .or(() -> WrittenMoment.of(cell, DateOrder.MONTH_FIRST))
                            .isPresent());
            return day && row.cells().size() > 1;
        }

        private boolean share(int column, Predicate<String> fits) {
            List<String> cells = looked.stream()
                    .map(row -> row.cell(column))
                    .filter(cell -> !StationRows.isNothing(cell))
                    .toList();
            return !cells.isEmpty() && cells.stream().filter(fits).count() >= MOST_CELLS * cells.size();
        }

        private int dayColumn() {
            return columns()
                    .filter(column -> share(
                            column,
                            cell -> WrittenMoment.of(cell, DateOrder.DAY_FIRST)
                                    .or(() -> WrittenMoment.of(cell, DateOrder.MONTH_FIRST))
                                    .isPresent()))
                    .findFirst()
                    .orElseThrow(this::noDays);
        }

        /** By what cannot be a month; where everything could be one, by the order in which days follow each other. */
        private DateOrder order(int day) {
            List<WrittenMoment.Parts> parts = looked.stream()
                    .flatMap(row -> WrittenMoment.parts(row.cell(day)).stream())
                    .toList();
            if (parts.isEmpty()) {
                return DateOrder.YEAR_FIRST;
            }
            if (parts.stream().anyMatch(each -> each.first() > MOST_MONTHS)) {
                return DateOrder.DAY_FIRST;
            }
            if (parts.stream().anyMatch(each -> each.second() > MOST_MONTHS)) {
                return DateOrder.MONTH_FIRST;
            }
            return steps(day, DateOrder.MONTH_FIRST) > steps(day, DateOrder.DAY_FIRST)
                    ? DateOrder.MONTH_FIRST
                    : DateOrder.DAY_FIRST;
        }

        private long steps(int day, DateOrder order) {
            List<LocalDate> days = days(day, order);
            return IntStream.range(1, days.size())
                    .filter(index -> Math.abs(days.get(index).toEpochDay()
                                    - days.get(index - 1).toEpochDay())
                            <= 1)
                    .count();
        }

        private List<LocalDate> days(int day, DateOrder order) {
            return looked.stream()
                    .flatMap(row -> WrittenMoment.of(row.cell(day), order).stream())
                    .map(WrittenMoment::day)
                    .toList();
        }

        private boolean manyADay(int day, DateOrder order) {
            List<LocalDate> days = days(day, order);
            return days.size() > MOST_ROWS_A_DAY * new HashSet<>(days).size();
        }

        private int reading(List<Integer> numbers) {
            return chosen.reading()
                    .filter(this::isColumn)
                    .or(() -> named(numbers, READING))
                    .or(() -> numbers.stream()
                            .filter(column -> !isSomethingElse(column))
                            .findFirst())
                    .orElseThrow(() -> lacks(List.of("temperature")));
        }

        private int extreme(List<Integer> numbers, boolean lowest) {
            Optional<Integer> said = lowest ? chosen.lowest() : chosen.highest();
            List<Integer> temperatures =
                    numbers.stream().filter(column -> !isSomethingElse(column)).toList();
            return said.filter(this::isColumn)
                    .or(() -> named(temperatures, lowest ? LOWEST : HIGHEST))
                    .or(() -> byWarmth(temperatures, lowest))
                    .orElseThrow(() -> lacks(List.of("minimum", "maximum")));
        }

        private Optional<Integer> byWarmth(List<Integer> temperatures, boolean lowest) {
            if (temperatures.size() < 2) {
                return Optional.empty();
            }
            Comparator<Integer> colder = Comparator.comparingDouble(this::mean);
            return temperatures.stream().limit(2).min(lowest ? colder : colder.reversed());
        }

        private Optional<Integer> named(List<Integer> columns, List<String> words) {
            List<Integer> fitting = columns.stream()
                    .filter(column -> !isSomethingElse(column))
                    .filter(column -> contains(names.get(column), words))
                    .toList();
            return fitting.stream()
                    .filter(column -> contains(names.get(column), READING))
                    .findFirst()
                    .or(() -> fitting.stream().findFirst());
        }

        private boolean isSomethingElse(int column) {
            return contains(names.get(column), SOMETHING_ELSE);
        }

        private static boolean contains(String name, List<String> words) {
            String small = name.toLowerCase(Locale.ROOT);
            return words.stream().anyMatch(small::contains);
        }

        private double mean(int column) {
            return numbers(column).stream()
                    .mapToDouble(Double::doubleValue)
                    .average()
                    .orElse(0);
        }

        private List<Double> numbers(int column) {
            return looked.stream()
                    .map(row -> row.cell(column))
                    .filter(cell -> !StationRows.isNothing(cell))
                    .flatMap(cell -> StationRows.number(cell).stream())
                    .toList();
        }

        private StationLayout.Unit unit(Optional<Integer> reading, Optional<Integer> highest) {
            List<Integer> used = new ArrayList<>();
            reading.ifPresent(used::add);
            highest.ifPresent(used::add);
            String said = preface + " "
                    + String.join(" ", used.stream().map(names::get).toList()).toLowerCase(Locale.ROOT);
            if (said.contains("tenth") || said.contains("1/10") || said.contains("0.1 °")) {
                return StationLayout.Unit.TENTHS_OF_CELSIUS;
            }
            if (said.contains("°f") || said.contains("fahrenheit") || said.contains("degf") || said.contains("(f)")) {
                return StationLayout.Unit.FAHRENHEIT;
            }
            if (said.contains("°c") || said.contains("celsius")) {
                return StationLayout.Unit.CELSIUS;
            }
            List<Double> values =
                    used.stream().flatMap(column -> numbers(column).stream()).toList();
            boolean whole = values.stream().allMatch(value -> value == Math.rint(value));
            if (whole && beyond(values, TENTHS_HALF * 2)) {
                return StationLayout.Unit.TENTHS_OF_CELSIUS;
            }
            return beyond(values, FAHRENHEIT_WARM_HALF) ? StationLayout.Unit.FAHRENHEIT : StationLayout.Unit.CELSIUS;
        }

        private static boolean beyond(List<Double> values, double limit) {
            return values.stream().filter(value -> Math.abs(value) > limit).count() > HALF * values.size();
        }

        private FaultySheetException noDays() {
            return new FaultySheetException(List.of(new SheetFault(file, 0, new EntryFault.NoDays())));
        }

        private FaultySheetException lacks(List<String> missing) {
            return new FaultySheetException(
                    List.of(new SheetFault(file, 1, new EntryFault.HeadingLacks(missing, "day,minimum,maximum"))));
        }
    }
}
