package kiver.core.sow;

import org.apache.commons.statistics.inference.AlternativeHypothesis;
import org.apache.commons.statistics.inference.UnconditionedExactTest;

/**
 * Two ways of doing something side by side: of so many tried by each, so many did well.
 *
 * @param well that did well by the one, 0 to {@code of}
 * @param of tried by the one, 1 or more
 * @param otherWell that did well by the other, 0 to {@code otherOf}
 * @param otherOf tried by the other, 1 or more
 */
public record TwoShares(int well, int of, int otherWell, int otherOf) {

    /** A difference that chance alone gives more often than this is not told. */
    public static final double SURELY = 0.05;

    /** 0.975 and 0.8 quantiles of the standard normal distribution: told nineteen times in twenty, found four in five. */
    private static final double Z_TOLD = 1.959964;

    private static final double Z_FOUND = 0.841621;

    public TwoShares {
        if (of < 1 || otherOf < 1 || well < 0 || otherWell < 0 || well > of || otherWell > otherOf) {
            throw new IllegalArgumentException(well + " of " + of + " against " + otherWell + " of " + otherOf + ".");
        }
    }

    /**
     * A range in which a difference lies nineteen times in twenty.
     *
     * @param low end, −1 to 1
     * @param high end, −1 to 1
     */
    public record Interval(double low, double high) {}

    /** The share that did well by the one less that by the other, −1 to 1. */
    public double difference() {
        return (double) well / of - (double) otherWell / otherOf;
    }

    /**
     * How often chance alone gives a difference as large as this, either way; exact, whatever the common share is.
     *
     * <p>Reference: Boschloo 1970, Statistica Neerlandica 24. Only how many were tried is fixed, as it is when trays are laid
     * out, so Fisher's test, which fixes how many did well, too, would tell too seldom.
     */
    public double boschloo() {
        if (well + otherWell == 0 || well + otherWell == of + otherOf) {
            return 1;
        }
        return Math.min(
                1,
                2 * Math.min(oneSided(AlternativeHypothesis.GREATER_THAN), oneSided(AlternativeHypothesis.LESS_THAN)));
    }

    /** Either way is twice the likelier of the two ways: ordering tables by both ways at once leans to the smaller sample. */
    private double oneSided(AlternativeHypothesis way) {
        // Its columns are what is fixed: how many each got.
        int[][] table = {{well, otherWell}, {of - well, otherOf - otherWell}};
        return UnconditionedExactTest.withDefaults()
                .with(UnconditionedExactTest.Method.BOSCHLOO)
                .with(way)
                .test(table)
                .getPValue();
    }

    /** Whether the two are told apart. */
    public boolean isTold() {
        return boschloo() <= SURELY;
    }

    /**
     * Where the true difference lies.
     *
     * <p>Reference: Newcombe 1998, Statistics in Medicine 17, method 10: Wilson's score interval of each share, squared and
     * added.
     */
    public Interval newcombe() {
        double share = (double) well / of;
        double otherShare = (double) otherWell / otherOf;
        Interval one = wilson(share, of);
        Interval other = wilson(otherShare, otherOf);
        return new Interval(
                difference() - Math.hypot(share - one.low(), other.high() - otherShare),
                difference() + Math.hypot(one.high() - share, otherShare - other.low()));
    }

    private static Interval wilson(double share, int of) {
        double z = Z_TOLD * Z_TOLD;
        double middle = 2 * of * share + z;
        double half = Z_TOLD * Math.sqrt(z + 4 * of * share * (1 - share));
        return new Interval((middle - half) / (2 * (of + z)), (middle + half) / (2 * (of + z)));
    }

    /**
     * How many more would have to be tried by each for a difference that matters to be found four times in five.
     *
     * <p>Reference: Cohen 1988, Statistical Power Analysis, 6.4, by the arcsine of both shares, taken to lie evenly about what
     * was seen of both together.
     *
     * @param matters the difference, above 0, below 1
     * @return 0 or more
     */
    public int moreToTell(double matters) {
        double both = (double) (well + otherWell) / (of + otherOf);
        double middle = Math.min(Math.max(both, matters / 2), 1 - matters / 2);
        double apart = 2 * Math.asin(Math.sqrt(middle + matters / 2)) - 2 * Math.asin(Math.sqrt(middle - matters / 2));
        int needed = (int) Math.ceil(2 * Math.pow((Z_TOLD + Z_FOUND) / apart, 2));
        return Math.max(0, needed - Math.min(of, otherOf));
    }
}
