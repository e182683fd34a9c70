package kiver.core.crop;

/**
 * What long hot days do to a crop that runs to seed in them; two conditions that must both be met, as growers put it,
 * where the literature has photothermal sums (Summerfield et al. 1991): figures for those are not known for most of
 * these crops.
 *
 * @param hours of day, from sunrise to sunset, from which on it takes notice, for example 14; 0 for crops that do not
 * @param warmth °C, mean of day and night, from which on
 */
public record LongDays(double hours, double warmth) {

    /** Long days do nothing to it. */
    public static final LongDays HARMLESS = new LongDays(0, 0);

    public LongDays {
        if (hours != 0 && !(hours >= 8 && hours <= 24) || !(warmth >= 0 && warmth <= 35)) {
            throw new IllegalArgumentException("Long days have 8 to 24 hours, and hot ones 0 to 35 °C in the mean.");
        }
    }

    /** Whether it runs to seed in them. */
    public boolean bolts() {
        return hours > 0;
    }
}
