package kiver.core.care;

import java.util.List;
import kiver.core.crop.ColdNeeds;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.weather.DayCurve;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What cold nights have done to plants that show nothing of it: the days they cost, and whether they make them run to seed.
 *
 * @param nights below the crop's floor
 * @param coldest °C of the coldest night; +∞ where there was none
 * @param daysLost days of growth that they cost, against nights at the floor; 0 or more
 * @param coldDays days, at the temperature that works best, that count towards bolting; 0 for crops that do not
 * @param bolting share of plants that are likely to bolt for it, 0 to 1
 */
public record ColdNights(int nights, double coldest, double daysLost, double coldDays, double bolting) {

    /**
     * Cardinal temperatures of the answer to cold; estimates for vegetables, a little above those that the method's authors
     * give for winter wheat (-1.3, 4.9 and 15.7 °C).
     */
    private static final double COLD_BASE = -1;

    private static final double COLD_BEST = 6;
    private static final double COLD_CEILING = 15;

    /** How far plants of a crop differ in the cold they take, as a standard deviation of its logarithm; an estimate. */
    private static final double PLANTS_DIFFER = 0.35;

    /**
     * A day on which the plants stood somewhere.
     *
     * @param minimum °C
     * @param maximum °C, not below {@code minimum}
     * @param leaves true leaves that they had, 0 or more
     */
    public record Day(double minimum, double maximum, double leaves) {}

    /** What some days did to plants of a crop, from the first true thing that was up on. */
    public static ColdNights of(List<Day> days, ColdNeeds cold, CardinalTemperatures growth) {
        int nights = 0;
        double coldest = Double.POSITIVE_INFINITY;
        double lost = 0;
        double grown = 0;
        double coldDays = 0;
        for (Day day : days) {
            double rate = DayCurve.meanOverDay(day.minimum(), day.maximum(), growth::rate);
            double spared = rate;
            coldest = Math.min(coldest, day.minimum());
            if (day.minimum() < cold.nightFloor()) {
                nights++;
                spared = DayCurve.meanOverDay(
                        cold.nightFloor(), Math.max(cold.nightFloor(), day.maximum()), growth::rate);
                lost += Math.max(0, spared - rate);
            }
            grown += Math.max(rate, spared);
            if (cold.bolts() && day.leaves() >= cold.boltsFromLeaves()) {
                coldDays += DayCurve.meanOverDay(day.minimum(), day.maximum(), ColdNights::answerToCold);
            }
        }
        double usual = days.isEmpty() ? 0 : grown / days.size();
        return new ColdNights(
                nights,
                coldest,
                usual > 0 ? lost / usual : 0,
                coldDays,
                cold.bolts() && coldDays > 0
                        ? NormalDistribution.of(0, PLANTS_DIFFER)
                                .cumulativeProbability(Math.log(coldDays / cold.boltsAfter()))
                        : 0);
    }

    /**
     * How much a temperature counts as cold, 0 to 1; 1 at 6 °C, 0 from 15 °C on.
     *
     * <p>Reference: Wang and Engel (1998), "Simulation of phenological development of wheat crops", Agricultural Systems 58,
     * the vernalization function.
     */
    static double answerToCold(double celsius) {
        if (celsius <= COLD_BASE || celsius >= COLD_CEILING) {
            return 0;
        }
        double alpha = Math.log(2) / Math.log((COLD_CEILING - COLD_BASE) / (COLD_BEST - COLD_BASE));
        double here = Math.pow(celsius - COLD_BASE, alpha);
        double best = Math.pow(COLD_BEST - COLD_BASE, alpha);
        return (2 * here * best - here * here) / (best * best);
    }
}
