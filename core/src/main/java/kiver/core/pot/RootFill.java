package kiver.core.pot;

import kiver.core.batch.RootsSeen;
import kiver.core.growth.NormalHierarchy;

/**
 * How full of roots the cell of a plant is: 1 where they begin to circle.
 *
 * <p>The leaves a plant can carry in a cell grow with the cube root of its volume ({@link
 * kiver.core.crop.Crop#leafLimitIn}), so the volume its roots fill grows with the cube of its leaves, which follow the warmth
 * and light that it had. Growth slows long before: Poorter, Bühler, van Dusschoten, Climent and Postma (2012), Functional Plant
 * Biology 39: twice the volume gives plants 43 % heavier. What the hand sees of roots sets the index right ({@link RootPace}),
 * since mix and water drive them, too.
 *
 * @param index 0 or more; from 0.2 on roots reach the edge, from 0.75 on they come out below, from 1 on they circle
 * @param least of its 80 % band
 * @param most of its 80 % band
 */
public record RootFill(double index, double least, double most) {

    /** Roots fill a volume, leaves stand for a length. */
    static final double LEAVES_TO_ROOTS = 3;

    private static final double AT_EDGE = 0.2;
    private static final double OUT = 0.75;
    private static final double CIRCLING = 1;

    /**
     * As leaves alone tell.
     *
     * @param leaves true leaves, 0 or more
     * @param leafLimit leaves at which a plant of its crop is past its best in that container, above 0
     */
    public static double worked(double leaves, double leafLimit) {
        return Math.pow(leaves / leafLimit, LEAVES_TO_ROOTS);
    }

    /** With what is known of the batch's roots. */
    public static RootFill of(double leaves, double leafLimit, RootPace pace) {
        double index = worked(leaves, leafLimit) * Math.exp(pace.logMean());
        double spread = Math.exp(NormalHierarchy.Normal.EIGHT_OF_TEN * pace.logDeviation());
        return new RootFill(index, index / spread, index * spread);
    }

    /** What the hand would see at that index. */
    public RootsSeen looksLike() {
        return index < AT_EDGE
                ? RootsSeen.NONE
                : index < OUT ? RootsSeen.AT_EDGE : index < CIRCLING ? RootsSeen.OUT : RootsSeen.CIRCLING;
    }

    /** The index from which on that is seen. */
    static double from(RootsSeen seen) {
        return switch (seen) {
            case NONE -> 0;
            case AT_EDGE -> AT_EDGE;
            case OUT -> OUT;
            case CIRCLING -> CIRCLING;
        };
    }

    /** The index until which that is seen. */
    static double until(RootsSeen seen) {
        return switch (seen) {
            case NONE -> AT_EDGE;
            case AT_EDGE -> OUT;
            case OUT -> CIRCLING;
            case CIRCLING -> Double.POSITIVE_INFINITY;
        };
    }
}
