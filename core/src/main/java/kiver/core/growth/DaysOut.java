package kiver.core.growth;

/**
 * Which days plants that harden off may go out on, by the highest temperature where they stand; a day on which they
 * stay in is had later.
 *
 * @param warmestFrom °C that the day must reach
 * @param warmestTo °C that it must not pass, at least {@code warmestFrom}
 */
public record DaysOut(double warmestFrom, double warmestTo) {

    /** Every day. */
    public static final DaysOut ANY = new DaysOut(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

    public DaysOut {
        if (!(warmestFrom <= warmestTo)) {
            throw new IllegalArgumentException("The warmest day must not be below the coldest.");
        }
    }

    /** Whether a day with that highest temperature, °C, is one of them. */
    public boolean include(double maximum) {
        return maximum >= warmestFrom && maximum <= warmestTo;
    }
}
