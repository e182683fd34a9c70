package kiver.core.crop;

import java.util.Objects;

/**
 * When a variety is ripe, as its packet says. Packets count from different days, and seldom from the one that matters to
 * whoever plants out.
 *
 * @param days 1 to 730, in the long days of summer
 * @param from the day that they count from
 */
public record Maturity(int days, From from) {

    /** The longest that is believed. */
    public static final int LONGEST = 730;

    /** What is planted out is not picked sooner, whatever was counted from. */
    private static final int SHORTEST_IN_THE_BED = 14;

    private static final int DAYS_IN_WEEK = 7;

    /** The day from which days to maturity count. */
    public enum From {
        SOWING,
        EMERGENCE,
        PLANTING
    }

    public Maturity {
        Objects.requireNonNull(from);
        if (days < 1 || days > LONGEST) {
            throw new IllegalArgumentException(days + " days to maturity are not believed.");
        }
    }

    /**
     * The same from planting out. What counts from the sowing is less by the weeks that the crop usually stands under cover (the
     * rules of thumb by which it is sown and planted out), and what counts from emergence by those less the days until it is up at
     * its best temperature.
     *
     * @return days, 14 or more
     */
    public int fromPlanting(Crop crop) {
        OutdoorNeeds needs = crop.outdoors();
        double underCover = (needs.plantWeeks() - needs.sowWeeks()) * DAYS_IN_WEEK;
        double up = crop.emergence().daysAt(crop.emergence().temperatures().optimum());
        double counted = switch (from) {
            case SOWING -> days - underCover;
            case EMERGENCE -> days - Math.max(0, underCover - up);
            case PLANTING -> days;
        };
        return (int) Math.max(Math.min(days, SHORTEST_IN_THE_BED), Math.round(counted));
    }
}
