package kiver.core.weather;

import java.util.Arrays;
import java.util.Optional;
import java.util.SplittableRandom;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Tunes a climate until it has the frost dates that were told, on the months that were told.
 *
 * <p>The coldest and the warmest month hold the waves. Five things are left to move: the day of the peak moves both frost dates
 * the same way, the shape of the wave moves them apart, and how far days are off in spring and in autumn sets how late a late
 * frost is, and how calm summers are sets how sharply frost ends. They are searched for together (Nelder and Mead 1965, "A simplex method for function minimization", The Computer
 * Journal 7), with the same draws each time.
 */
public final class ClimateFit {

    private static final int MOST_TRIED = 1_500;
    private static final int MOST_BEGUN = 6;
    private static final double WORTH_BEGINNING_ANEW = 0.5;
    private static final int SEASONS = 800;
    private static final int DAYS = 365;
    private static final int MIDSUMMER = 182;

    /** Warmest about so many days after midsummer where no frost says otherwise. */
    private static final double USUAL_PEAK = MIDSUMMER + 7;

    private static final double USUALLY_OFF = 3.2;
    private static final double LEAST_OFF = 0.8;
    private static final double MOST_OFF = 9;

    /** A longer wave of two swings has two summers. */
    private static final double MOST_SHAPE = 0.24;

    /** Of how far days are off halfway; more would leave no weather in summer. */
    private static final double MOST_CALMER = 0.5;

    /** Departures that are as bad as a day's miss of one date. */
    private static final double USUAL_SHAPES = 0.03;

    private static final double USUAL_DAYS_OFF_PEAK = 4;
    private static final double USUAL_BETWEEN_SEASONS = 0.6;
    private static final double USUALLY_CALMER = 0.1;
    private static final double USUAL_CALMS = 0.15;

    private static final double MOST_DAYS_OFF_PEAK = 30;
    private static final double FAR_TOO_MUCH = 1e4;

    /** Days²; what misses so little is not searched for elsewhere. */
    private static final double GOOD = 5;

    /** Where usual, harsh and mild winters begin to be looked for, K. */
    private static final double[] OFF_AT_FIRST = {USUALLY_OFF, 5, 2};

    /** What a month's mean has of the swing of its middle, for one and for two swings a year. */
    private static final double MONTH_OF_ONE = 0.989;

    private static final double MONTH_OF_TWO = 0.956;

    private final ToldClimate told;
    private final double[][] departures = new double[SEASONS][DAYS];

    private ClimateFit(ToldClimate told) {
        this.told = told;
        SplittableRandom random = new SplittableRandom(1981);
        double fresh = Math.sqrt(1 - EstimatedClimate.PERSISTENCE * EstimatedClimate.PERSISTENCE);
        for (double[] season : departures) {
            double departure = random.nextGaussian();
            for (int day = 0; day < DAYS; day++) {
                season[day] = departure;
                departure = EstimatedClimate.PERSISTENCE * departure + fresh * random.nextGaussian();
            }
        }
    }

    /**
     * A climate from what was told.
     *
     * @param climate as it came out
     * @param off the most days by which one of the frost dates told is missed; what was told may not fit together
     */
    public record Fitted(EstimatedClimate climate, double off) {}

    /** The climate that comes nearest to what was told. */
    public static Fitted of(ToldClimate told) {
        return new ClimateFit(told).fit();
    }

    /** When frost comes and goes where nothing but these months is known; nothing where half of the years have none. */
    static Optional<ToldClimate.Frosts> frostsOf(ToldClimate months) {
        ClimateFit fit = new ClimateFit(months);
        Dates dates = fit.frosts(fit.byMonthsAlone());
        if (dates.last <= 0 || dates.first >= DAYS - 1 || dates.lastAtWorst >= dates.firstAtWorst - 1) {
            return Optional.empty();
        }
        return Optional.of(new ToldClimate.Frosts(
                EstimatedClimate.calendarDay(dates.last, months.northern()),
                EstimatedClimate.calendarDay(dates.lastAtWorst, months.northern()),
                EstimatedClimate.calendarDay(dates.first, months.northern()),
                EstimatedClimate.calendarDay(dates.firstAtWorst, months.northern())));
    }

    private EstimatedClimate byMonthsAlone() {
        return climate(new double[] {USUAL_PEAK, 0, USUALLY_OFF, USUALLY_OFF, USUALLY_CALMER});
    }

    private Fitted fit() {
        if (told.frosts().isEmpty()) {
            return new Fitted(byMonthsAlone(), 0);
        }
        Dates wanted = wanted(told.frosts().get());
        PointValuePair best = null;
        for (double off : OFF_AT_FIRST) {
            PointValuePair found = downhill(wanted, new double[] {USUAL_PEAK, 0, off, off, USUALLY_CALMER});
            best = best == null || found.getValue() < best.getValue() ? found : best;
            if (best.getValue() < GOOD) {
                break;
            }
        }
        EstimatedClimate climate = climate(best.getPoint());
        return new Fitted(climate, wanted.off(frosts(climate)));
    }

    /** A simplex that has grown flat finds no further; begun anew from where it stopped, it does. */
    private PointValuePair downhill(Dates wanted, double[] first) {
        PointValuePair best = null;
        double[] from = first;
        for (int begun = 0; begun < MOST_BEGUN; begun++) {
            PointValuePair found = new SimplexOptimizer(1e-4, 1e-2)
                    .optimize(
                            new MaxEval(MOST_TRIED),
                            new ObjectiveFunction(tried ->
                                    outside(tried) + unusual(tried) + wanted.squaresOff(frosts(climate(tried)))),
                            GoalType.MINIMIZE,
                            new InitialGuess(from),
                            new NelderMeadSimplex(new double[] {8, 0.05, 1, 1, 0.2}));
            boolean settled = best != null && found.getValue() > best.getValue() - WORTH_BEGINNING_ANEW;
            best = best == null || found.getValue() < best.getValue() ? found : best;
            if (settled) {
                break;
            }
            from = best.getPoint();
        }
        return best;
    }

    /** What lies outside of what climates are costs more than any date that is missed. */
    private static double outside(double[] tried) {
        double over = beyond(tried[0] - USUAL_PEAK, -MOST_DAYS_OFF_PEAK, MOST_DAYS_OFF_PEAK) / 10
                + 10 * beyond(tried[1], -MOST_SHAPE, MOST_SHAPE)
                + beyond(tried[2], LEAST_OFF, MOST_OFF)
                + beyond(tried[3], LEAST_OFF, MOST_OFF)
                + 10 * beyond(tried[4], -MOST_CALMER, MOST_CALMER);
        return FAR_TOO_MUCH * over * over;
    }

    /** Of climates that have the same frosts the plainer is taken, day² of dates missed. */
    private static double unusual(double[] tried) {
        double shape = tried[1] / USUAL_SHAPES;
        double seasons = (tried[2] - tried[3]) / USUAL_BETWEEN_SEASONS;
        double calmer = (tried[4] - USUALLY_CALMER) / USUAL_CALMS;
        double peak = (tried[0] - USUAL_PEAK) / USUAL_DAYS_OFF_PEAK;
        return shape * shape + seasons * seasons + calmer * calmer + peak * peak;
    }

    private static double beyond(double value, double least, double most) {
        return Math.max(0, Math.max(least - value, value - most));
    }

    /** Of the day of the peak, the shape as a share of the swing, and how far days are off in spring and in autumn. */
    private EstimatedClimate climate(double[] tried) {
        double swing = (told.warmest().minimum() - told.coldest().minimum()) / 2;
        return climate(tried[0], tried[1] * swing, Math.max(0.1, tried[2]), Math.max(0.1, tried[3]), tried[4]);
    }

    private EstimatedClimate climate(double peak, double shape, double spring, double autumn, double calmer) {
        return new EstimatedClimate(
                wave(told.coldest().minimum(), told.warmest().minimum(), shape),
                wave(told.coldest().maximum(), told.warmest().maximum(), shape),
                peak,
                spring,
                autumn,
                calmer * (spring + autumn) / 2,
                told.northern());
    }

    /** The wave whose coldest and warmest months have those means. */
    private static EstimatedClimate.Wave wave(double coldest, double warmest, double shape) {
        return new EstimatedClimate.Wave(
                (coldest + warmest) / 2 - shape * MONTH_OF_TWO, (warmest - coldest) / 2 / MONTH_OF_ONE, shape);
    }

    /** Days of the season; of frosts that never come the first and the last. */
    private record Dates(double last, double lastAtWorst, double first, double firstAtWorst) {
        double squaresOff(Dates got) {
            return square(last - got.last)
                    + square(lastAtWorst - got.lastAtWorst)
                    + square(first - got.first)
                    + square(firstAtWorst - got.firstAtWorst);
        }

        private static double square(double value) {
            return value * value;
        }

        double off(Dates got) {
            return Math.max(
                    Math.max(Math.abs(last - got.last), Math.abs(lastAtWorst - got.lastAtWorst)),
                    Math.max(Math.abs(first - got.first), Math.abs(firstAtWorst - got.firstAtWorst)));
        }
    }

    private Dates wanted(ToldClimate.Frosts frosts) {
        return new Dates(
                ToldClimate.seasonDay(frosts.last(), told.northern()),
                ToldClimate.seasonDay(frosts.lastAtWorst(), told.northern()),
                ToldClimate.seasonDay(frosts.first(), told.northern()),
                ToldClimate.seasonDay(frosts.firstAtWorst(), told.northern()));
    }

    private Dates frosts(EstimatedClimate climate) {
        double[] usual = new double[DAYS];
        double[] off = new double[DAYS];
        for (int day = 0; day < DAYS; day++) {
            double angle = climate.angle(day);
            usual[day] = climate.lowest().at(angle);
            off[day] = climate.off(angle);
        }
        double[] last = new double[SEASONS];
        double[] first = new double[SEASONS];
        for (int season = 0; season < SEASONS; season++) {
            last[season] = firstFrost(usual, off, departures[season], -1);
            first[season] = firstFrost(usual, off, departures[season], 1);
        }
        Arrays.sort(last);
        Arrays.sort(first);
        return new Dates(last[SEASONS / 2], last[SEASONS * 9 / 10], first[SEASONS / 2], first[SEASONS / 10]);
    }

    /** The season's day of the frost that is nearest to midsummer on one side; between two days by how cold they are. */
    private static double firstFrost(double[] usual, double[] off, double[] departure, int step) {
        int day = MIDSUMMER;
        double before = usual[day] + off[day] * departure[day];
        while (day > 0 && day < DAYS - 1) {
            double next = usual[day + step] + off[day + step] * departure[day + step];
            if (next <= 0) {
                return before <= 0 ? day : day + step * before / (before - next);
            }
            before = next;
            day += step;
        }
        return day;
    }
}
