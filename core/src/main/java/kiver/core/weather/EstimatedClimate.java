package kiver.core.weather;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * A year of lowest and highest temperatures with what single days are off from it, worked out from little: waves of one and
 * of two swings a year, and residuals that last from one day to the next and are shared by both.
 *
 * <p>Reference: Richardson (1981), "Stochastic simulation of daily precipitation, temperature, and solar radiation", Water
 * Resources Research 17, without its rain.
 *
 * @param lowest wave of the days' lowest, °C
 * @param highest wave of the days' highest, °C
 * @param peak day on which both are warmest, counted from the beginning of the season half a year before midsummer
 * @param offInSpring standard deviation of single days in spring, K, positive
 * @param offInAutumn the same in autumn
 * @param calmerInSummer how much less they are off in summer than halfway, and more in winter, K
 * @param northern whether midsummer is in July
 */
public record EstimatedClimate(
        Wave lowest,
        Wave highest,
        double peak,
        double offInSpring,
        double offInAutumn,
        double calmerInSummer,
        boolean northern) {

    static final double YEAR = 365.25;

    /** How much of a day's departure is left on the next. */
    static final double PERSISTENCE = 0.7;

    /** Of a departure the highest share so much with the lowest. */
    private static final double SHARED = 0.8;

    private static final double SMALLEST_SWING = 1;
    private static final int MIDSUMMER_NORTH = 196;
    private static final int MIDSUMMER_SOUTH = 14;
    private static final int HALF_A_YEAR = 182;

    /**
     * A wave over the year.
     *
     * @param mean °C
     * @param swing K by which the warmest day lies above the mean, of one swing a year
     * @param shape K of two swings a year; negative where springs and autumns are warm
     */
    public record Wave(double mean, double swing, double shape) {
        double at(double angle) {
            return mean + swing * Math.cos(angle) + shape * Math.cos(2 * angle);
        }
    }

    /** Days from the beginning of the season, half a year before midsummer. */
    static int seasonDay(LocalDate day, boolean northern) {
        int midsummer = northern ? MIDSUMMER_NORTH : MIDSUMMER_SOUTH;
        return Math.floorMod(day.getDayOfYear() - midsummer + HALF_A_YEAR, 365);
    }

    /** The day of a season's year on which so many days of it are over. */
    static MonthDay calendarDay(double seasonDay, boolean northern) {
        int midsummer = northern ? MIDSUMMER_NORTH : MIDSUMMER_SOUTH;
        int dayOfYear = Math.floorMod(Math.round(seasonDay) + midsummer - HALF_A_YEAR - 1, 365) + 1;
        return MonthDay.from(LocalDate.ofYearDay(2027, dayOfYear));
    }

    double angle(double seasonDay) {
        return 2 * Math.PI * (seasonDay - peak) / YEAR;
    }

    /** How far single days are off then, K. */
    double off(double angle) {
        return (offInSpring + offInAutumn) / 2
                + (offInAutumn - offInSpring) / 2 * Math.sin(angle)
                - calmerInSummer * Math.cos(angle);
    }

    /** A day as it usually is. */
    public DailyRange usual(LocalDate day) {
        double angle = angle(seasonDay(day, northern));
        return range(lowest.at(angle), highest.at(angle));
    }

    /**
     * Draws years as they might have been.
     *
     * @param random the seeded source of chance; the same seed gives the same record
     * @param firstDay first day drawn
     * @param days number of days drawn, at least 1
     */
    public StationRecord draw(RandomGenerator random, LocalDate firstDay, int days) {
        List<DailyRange> drawn = new ArrayList<>(days);
        double fresh = Math.sqrt(1 - PERSISTENCE * PERSISTENCE);
        double departure = random.nextGaussian();
        double own = random.nextGaussian();
        for (int index = 0; index < days; index++) {
            double angle = angle(seasonDay(firstDay.plusDays(index), northern));
            double off = off(angle);
            double ofHighest = SHARED * departure + Math.sqrt(1 - SHARED * SHARED) * own;
            drawn.add(range(lowest.at(angle) + off * departure, highest.at(angle) + off * ofHighest));
            departure = PERSISTENCE * departure + fresh * random.nextGaussian();
            own = PERSISTENCE * own + fresh * random.nextGaussian();
        }
        return new StationRecord(firstDay, drawn);
    }

    private static DailyRange range(double minimum, double maximum) {
        double low = Math.round(minimum * 10) / 10.0;
        return new DailyRange(low, Math.max(low + SMALLEST_SWING, Math.round(maximum * 10) / 10.0));
    }
}
