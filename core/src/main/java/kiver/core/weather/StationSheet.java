package kiver.core.weather;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import kiver.core.sheet.TextTable;
import kiver.core.sheet.WrittenMoment;

/**
 * A station's days out of a file as it comes: one row a day, or readings that are summed up. Reads what is right and lists what
 * is not.
 *
 * @param layout as it was understood
 * @param days that can be used, by date, °C
 * @param faults lines that cannot, in their order
 * @param gaps runs of days between the first and the last that the file lacks
 */
public record StationSheet(
        StationLayout layout, Map<LocalDate, DailyRange> days, List<SheetFault> faults, List<Gap> gaps) {

    /** The columns of files that Kiver writes. */
    public static final List<String> COLUMNS = List.of("day", "minimum", "maximum");

    /** Beyond anything measured in the shade on Earth. */
    private static final double HOTTEST = 57;

    private static final double COLDEST = -70;

    /** Of a day's hours so many must have been read before its lowest and highest are believed. */
    private static final int FEWEST_HOURS = 20;

    /** A thermometer that says the same for so many days is stuck. */
    private static final int DAYS_ALIKE = 5;

    /** Days that are missing, both ends inclusive. */
    public record Gap(LocalDate from, LocalDate to) {
        /** How many. */
        public long days() {
            return ChronoUnit.DAYS.between(from, to) + 1;
        }
    }

    public StationSheet {
        days = Collections.unmodifiableMap(new TreeMap<>(days));
        faults = List.copyOf(faults);
        gaps = List.copyOf(gaps);
    }

    /** Reads a file as it is understood. */
    public static StationSheet read(String file, byte[] bytes, LocalDate today) {
        return read(file, bytes, today, StationLayout.Chosen.NOTHING);
    }

    /**
     * Reads a file.
     *
     * @param file its name
     * @param bytes of it
     * @param today days from here on cannot have been measured
     * @param chosen what was understood wrongly
     * @throws FaultySheetException when no days or temperatures can be found in it
     */
    public static StationSheet read(String file, byte[] bytes, LocalDate today, StationLayout.Chosen chosen) {
        StationRows rows = StationRows.of(file, bytes);
        if (rows.rows().isEmpty()) {
            throw new FaultySheetException(
                    List.of(new SheetFault(file, 0, new EntryFault.EmptyFile(String.join(",", COLUMNS)))));
        }
        return new Reading(file, StationUnderstood.of(file, rows, chosen), today).sheet();
    }

    /** One file while its rows become days. */
    private static final class Reading {
        private final String file;
        private final StationLayout layout;
        private final List<TextTable.Row> rows;
        private final LocalDate today;
        private final TreeMap<LocalDate, DailyRange> days = new TreeMap<>();
        private final Map<LocalDate, Long> lineOf = new HashMap<>();
        private final List<SheetFault> faults = new ArrayList<>();

        Reading(String file, StationUnderstood understood, LocalDate today) {
            this.file = file;
            this.layout = understood.layout();
            this.rows = understood.data();
            this.today = today;
        }

        StationSheet sheet() {
            if (layout.isOfReadings()) {
                sumUp();
            } else {
                rows.forEach(row -> attempt(row.line(), () -> day(row)));
            }
            refuseStuck();
            faults.sort(Comparator.comparingLong(SheetFault::line));
            return new StationSheet(layout, days, faults, gapsIn(days));
        }

        private void attempt(long line, Runnable reading) {
            try {
                reading.run();
            } catch (IllegalArgumentException wrong) {
                faults.add(new SheetFault(file, line, EntryRefused.faultOf(wrong)));
            }
        }

        private LocalDate dayOf(TextTable.Row row) {
            String written = row.cell(layout.day());
            return WrittenMoment.of(written, layout.dates())
                    .orElseThrow(() -> new EntryRefused(new EntryFault.NotADay(name(layout.day()), written)))
                    .day();
        }

        private void day(TextTable.Row row) {
            int low = layout.lowest().orElseThrow();
            int high = layout.highest().orElseThrow();
            if (StationRows.isNothing(row.cell(low)) && StationRows.isNothing(row.cell(high))) {
                return;
            }
            LocalDate day = dayOf(row);
            keep(day, celsius(row, low), celsius(row, high), row.line());
        }

        private void keep(LocalDate day, double minimum, double maximum, long line) {
            require(!day.isAfter(today.minusDays(1)), new EntryFault.NotOverYet(day));
            require(maximum <= HOTTEST && minimum >= COLDEST, new EntryFault.NeverMeasured(minimum, maximum));
            require(minimum <= maximum, new EntryFault.Swapped(minimum, maximum));
            require(days.putIfAbsent(day, new DailyRange(minimum, maximum)) == null, new EntryFault.DayTwice(day));
            lineOf.put(day, line);
        }

        private double celsius(TextTable.Row row, int column) {
            String written = row.cell(column);
            require(!StationRows.isNothing(written), new EntryFault.Empty(name(column)));
            double value = StationRows.number(written)
                    .orElseThrow(() -> new EntryRefused(new EntryFault.NotANumber(name(column), written)));
            return layout.unit().celsius(value);
        }

        private String name(int column) {
            return layout.columns().get(column);
        }

        /** Readings of a day: its hours, and what is lowest and highest of them. */
        private static final class Summed {
            private final long line;
            private final Set<Integer> hours = new HashSet<>();
            private double lowest = Double.POSITIVE_INFINITY;
            private double highest = Double.NEGATIVE_INFINITY;

            Summed(long line) {
                this.line = line;
            }
        }

        private void sumUp() {
            Map<LocalDate, Summed> sums = new TreeMap<>();
            int column = layout.reading().orElseThrow();
            for (TextTable.Row row : rows) {
                if (StationRows.isNothing(row.cell(column))) {
                    continue;
                }
                attempt(row.line(), () -> {
                    LocalDate day = dayOf(row);
                    double read = celsius(row, column);
                    require(read <= HOTTEST && read >= COLDEST, new EntryFault.NeverMeasured(read, read));
                    Summed sum = sums.computeIfAbsent(day, each -> new Summed(row.line()));
                    sum.hours.add(hour(row));
                    sum.lowest = Math.min(sum.lowest, read);
                    sum.highest = Math.max(sum.highest, read);
                });
            }
            sums.forEach((day, sum) -> attempt(sum.line, () -> {
                require(sum.hours.size() >= FEWEST_HOURS, new EntryFault.TooFewHours(day, sum.hours.size()));
                keep(day, sum.lowest, sum.highest, sum.line);
            }));
        }

        private int hour(TextTable.Row row) {
            String written = row.cell(layout.day());
            return layout.time()
                    .flatMap(column -> WrittenMoment.hourOf(row.cell(column)))
                    .or(() -> WrittenMoment.of(written, layout.dates()).flatMap(WrittenMoment::hour))
                    .orElseThrow(() -> new EntryRefused(new EntryFault.NotADay(name(layout.day()), written)));
        }

        /** A day without any swing, or the same lowest and highest for days on end, is no weather. */
        private void refuseStuck() {
            Set<LocalDate> stuck = new HashSet<>();
            List<LocalDate> alike = new ArrayList<>();
            for (Map.Entry<LocalDate, DailyRange> each : days.entrySet()) {
                boolean same = !alike.isEmpty()
                        && alike.get(alike.size() - 1).plusDays(1).equals(each.getKey())
                        && days.get(alike.get(0)).equals(each.getValue());
                if (!same) {
                    alike.clear();
                }
                alike.add(each.getKey());
                if (alike.size() >= DAYS_ALIKE || each.getValue().swing() == 0) {
                    stuck.addAll(alike.size() >= DAYS_ALIKE ? alike : List.of(each.getKey()));
                }
            }
            stuck.forEach(day -> {
                days.remove(day);
                faults.add(new SheetFault(file, lineOf.get(day), new EntryFault.Stuck(day)));
            });
        }
    }

    private static List<Gap> gapsIn(TreeMap<LocalDate, DailyRange> days) {
        List<Gap> gaps = new ArrayList<>();
        LocalDate before = null;
        for (LocalDate day : days.keySet()) {
            if (before != null && before.plusDays(1).isBefore(day)) {
                gaps.add(new Gap(before.plusDays(1), day.minusDays(1)));
            }
            before = day;
        }
        return gaps;
    }

    private static void require(boolean right, EntryFault otherwise) {
        if (!right) {
            throw new EntryRefused(otherwise);
        }
    }
}
