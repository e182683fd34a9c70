package kiver.core.crop;

/**
 * What a crop asks of the open before it may be planted out, with the rules of thumb that people go by.
 *
 * @param soilWait °C of soil to wait for, 0 for none, for example 18 for squash
 * @param sowWeeks rule of thumb: weeks from the average last frost to sowing under cover, negative before it
 * @param plantWeeks rule of thumb: weeks from the average last frost to planting out, negative before it
 * @param maturityDays from planting out to harvest in long days; 0 where harvest is not the aim
 * @param longDays what long hot days do to it
 */
public record OutdoorNeeds(double soilWait, double sowWeeks, double plantWeeks, int maturityDays, LongDays longDays) {

    /** Those of a crop that takes no notice of long days. */
    public OutdoorNeeds(double soilWait, double sowWeeks, double plantWeeks, int maturityDays) {
        this(soilWait, sowWeeks, plantWeeks, maturityDays, LongDays.HARMLESS);
    }

    public OutdoorNeeds {
        if (soilWait < 0 || soilWait > 30 || maturityDays < 0 || plantWeeks < sowWeeks) {
            throw new IllegalArgumentException("Soil to wait for must be 0 to 30 °C, days to harvest not negative, "
                    + "and planting not before sowing.");
        }
    }
}
