package kiver.core.weather;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import kiver.core.sheet.DateOrder;

/**
 * How a station's file is laid out: as it was understood from the file itself, or as somebody chose.
 *
 * @param separator between cells
 * @param dates in which order a day's parts stand
 * @param unit of its temperatures
 * @param columns their names, or numbers where the file has no heading
 * @param day column of days, counted from 0
 * @param lowest column of each day's lowest; empty where rows are readings
 * @param highest column of each day's highest; empty where rows are readings
 * @param reading column of readings to be summed up by day; empty where a row is a day
 * @param time column of times of day where they stand apart from the days
 */
public record StationLayout(
        Separator separator,
        DateOrder dates,
        Unit unit,
        List<String> columns,
        int day,
        Optional<Integer> lowest,
        Optional<Integer> highest,
        Optional<Integer> reading,
        Optional<Integer> time) {

    /** What stands between cells. */
    public enum Separator {
        COMMA(','),
        SEMICOLON(';'),
        TAB('\t');

        private final char character;

        Separator(char character) {
            this.character = character;
        }

        static Separator of(char character) {
            return Arrays.stream(values())
                    .filter(each -> each.character == character)
                    .findFirst()
                    .orElse(COMMA);
        }
    }

    /** What temperatures are counted in. */
    public enum Unit {
        CELSIUS,
        FAHRENHEIT,
        TENTHS_OF_CELSIUS;

        double celsius(double value) {
            return switch (this) {
                case CELSIUS -> value;
                case FAHRENHEIT -> Math.round((value - 32) / 1.8 * 100) / 100.0;
                case TENTHS_OF_CELSIUS -> value / 10;
            };
        }
    }

    /**
     * What somebody chose because it was understood wrongly; empty where it was right.
     *
     * @param day column
     * @param lowest column
     * @param highest column
     * @param reading column; rows are readings then
     */
    public record Chosen(
            Optional<DateOrder> dates,
            Optional<Unit> unit,
            Optional<Integer> day,
            Optional<Integer> lowest,
            Optional<Integer> highest,
            Optional<Integer> reading) {

        /** Everything as it was understood. */
        public static final Chosen NOTHING = new Chosen(
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    public StationLayout {
        Objects.requireNonNull(separator);
        columns = List.copyOf(columns);
        if (reading.isEmpty() && (lowest.isEmpty() || highest.isEmpty())) {
            throw new IllegalArgumentException("A row is either a day with its lowest and highest, or a reading.");
        }
    }

    /** Whether rows are readings that are summed up by day. */
    public boolean isOfReadings() {
        return reading.isPresent();
    }
}
