package kiver.core.weather;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.sheet.EntryFault;
import kiver.core.sheet.EntryRefused;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetFault;
import kiver.core.sheet.SheetText;

/**
 * A station's days as a sheet: day, minimum, maximum in °C. Reads what is right and lists what is not.
 *
 * @param days that can be used, by date
 * @param faults lines that cannot, in their order
 * @param gaps runs of days between the first and the last that the file lacks
 */
public record StationSheet(Map<LocalDate, DailyRange> days, List<SheetFault> faults, List<Gap> gaps) {

    /** The columns. */
    public static final List<String> COLUMNS = List.of("day", "minimum", "maximum");

    /** Beyond anything measured in the shade on Earth. */
    private static final double HOTTEST = 57;

    private static final double COLDEST = -70;

    /** A valley's summer means in °F lie above this, in °C they never do. */
    private static final double FAHRENHEIT_WARM_HALF = 38;

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

    /**
     * Reads a file.
     *
     * @param file its name
     * @param bytes of it
     * @param today days from here on cannot have been measured
     * @throws FaultySheetException when nothing of it can be read: wrong encoding, separator, heading or unit
     */
    public static StationSheet read(String file, byte[] bytes, LocalDate today) {
        TreeMap<LocalDate, DailyRange> days = new TreeMap<>();
        List<SheetFault> faults = new ArrayList<>();
        List<Double> maxima = new ArrayList<>();
        for (SheetText.Line line : SheetText.lines(file, SheetText.decoded(file, bytes), COLUMNS)) {
            try {
                LocalDate day = line.row().day("day");
                double minimum = line.row().number("minimum");
                double maximum = line.row().number("maximum");
                maxima.add(maximum);
                require(!day.isAfter(today.minusDays(1)), new EntryFault.NotOverYet(day));
                require(maximum <= HOTTEST && minimum >= COLDEST, new EntryFault.NeverMeasured(minimum, maximum));
                require(minimum <= maximum, new EntryFault.Swapped(minimum, maximum));
                require(days.putIfAbsent(day, new DailyRange(minimum, maximum)) == null, new EntryFault.DayTwice(day));
            } catch (IllegalArgumentException wrong) {
                faults.add(new SheetFault(file, line.number(), EntryRefused.faultOf(wrong)));
            }
        }
        refuseFahrenheit(file, maxima);
        return new StationSheet(days, faults, gapsIn(days));
    }

    /** In °C fewer than one day in ten is warmer than 38; in °F of a temperate year more than two in three. */
    private static void refuseFahrenheit(String file, List<Double> maxima) {
        long warm = maxima.stream()
                .filter(maximum -> maximum > FAHRENHEIT_WARM_HALF)
                .count();
        if (maxima.size() >= 20 && warm > maxima.size() / 2) {
            throw new FaultySheetException(List.of(new SheetFault(file, 0, new EntryFault.LooksFahrenheit())));
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
