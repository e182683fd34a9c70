package kiver.core.weather;

/**
 * The lowest and the highest temperature of one day.
 *
 * @param minimum °C, for example −2.5; not above {@code maximum}
 * @param maximum °C, for example 11.0
 */
public record DailyRange(double minimum, double maximum) {

    public DailyRange {
        if (!Double.isFinite(minimum) || !Double.isFinite(maximum)) {
            throw new IllegalArgumentException("A day's temperatures must be numbers: " + minimum + " to " + maximum);
        }
        if (minimum > maximum) {
            throw new IllegalArgumentException(
                    "The minimum " + minimum + " °C is above the maximum " + maximum + " °C: are they swapped?");
        }
    }

    /** Half way between minimum and maximum, °C. */
    public double middle() {
        return (minimum + maximum) / 2;
    }

    /** Maximum less minimum, K, never negative. */
    public double swing() {
        return maximum - minimum;
    }
}
