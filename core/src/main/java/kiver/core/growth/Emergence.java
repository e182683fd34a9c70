package kiver.core.growth;

import java.util.Objects;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * How the seedlings of a crop come up.
 *
 * <p>The median seedling is up when progress reaches 1. Single seedlings spread log-normally in progress, because
 * the spread in days grows with the days themselves.
 *
 * @param temperatures of emergence
 * @param daysAtBest days from sowing until the median seedling shows, at the optimum and sown 13 mm deep; positive
 * @param spread standard deviation of the logarithm of progress, about 0.15 even to 0.35 ragged; positive
 * @param taught what this nursery has learnt beside these figures
 */
public record Emergence(CardinalTemperatures temperatures, double daysAtBest, double spread, TaughtPace taught) {

    private static final NormalDistribution STANDARD_NORMAL = NormalDistribution.of(0, 1);

    public Emergence {
        if (!(daysAtBest > 0) || !(spread > 0)) {
            throw new IllegalArgumentException("Days to emergence and their spread must be positive.");
        }
        Objects.requireNonNull(taught);
    }

    /** As the crop's figures say, with nothing taught. */
    public Emergence(CardinalTemperatures temperatures, double daysAtBest, double spread) {
        this(temperatures, daysAtBest, spread, TaughtPace.NOTHING);
    }

    /** The same with what was taught. */
    public Emergence with(TaughtPace pace) {
        return new Emergence(temperatures, daysAtBest, spread, pace);
    }

    /**
     * Share of those seedlings that ever come up that is up at some progress: 0 to 1.
     *
     * @param progress 0 or more; 1 gives 0.5
     */
    public double shareUp(double progress) {
        return progress <= 0 ? 0 : STANDARD_NORMAL.cumulativeProbability(Math.log(progress) / spread);
    }

    /**
     * The progress at which that share is up, the inverse of {@link #shareUp}.
     *
     * @param share above 0 and below 1
     */
    public double progressWhen(double share) {
        return Math.exp(spread * STANDARD_NORMAL.inverseCumulativeProbability(share));
    }

    /**
     * Days from sowing to the median seedling at a constant temperature.
     *
     * @param temperature °C
     * @return days, or infinity where nothing emerges
     */
    public double daysAt(double temperature) {
        return daysAtBest / temperatures.rate(temperature);
    }
}
