package kiver.core.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Draws a believable station record: a yearly wave, days that resemble the day before, and bright days that swing
 * further than dull ones.
 *
 * <p>Reference: the first-order autoregressive generator of Richardson (1981), Water Resources Research 17, without
 * its rain. The wave is warmest on 22 July in the northern hemisphere.
 */
public final class StationSimulator {

    private static final int DAY_OF_YEAR_WARMEST = 203;
    private static final double DAYS_IN_YEAR = 365.25;
    private static final double SMALLEST_SWING = 1.5;

    private StationSimulator() {}

    /**
     * Draws a record.
     *
     * @param climate what is typical
     * @param random the seeded source of chance; the same seed gives the same record
     * @param firstDay first day drawn
     * @param days number of days drawn, at least 1
     */
    public static StationRecord draw(StationClimate climate, RandomGenerator random, LocalDate firstDay, int days) {
        List<DailyRange> drawn = new ArrayList<>(days);
        double shockDeviation =
                climate.dayToDayDeviation() * Math.sqrt(1 - climate.persistence() * climate.persistence());
        double departure = random.nextGaussian() * climate.dayToDayDeviation();
        for (int day = 0; day < days; day++) {
            double mean = seasonalMean(climate, firstDay.plusDays(day)) + departure;
            double brightness = Math.exp(0.35 * random.nextGaussian());
            double swing = Math.max(SMALLEST_SWING, climate.dailySwing() * brightness);
            drawn.add(new DailyRange(toTenth(mean - swing / 2), toTenth(mean + swing / 2)));
            departure = climate.persistence() * departure + shockDeviation * random.nextGaussian();
        }
        return new StationRecord(firstDay, drawn);
    }

    private static double seasonalMean(StationClimate climate, LocalDate day) {
        double phase = 2 * Math.PI * (day.getDayOfYear() - DAY_OF_YEAR_WARMEST) / DAYS_IN_YEAR;
        return climate.annualMean() + climate.seasonalAmplitude() * Math.cos(phase);
    }

    private static double toTenth(double temperature) {
        return Math.round(temperature * 10) / 10.0;
    }
}
