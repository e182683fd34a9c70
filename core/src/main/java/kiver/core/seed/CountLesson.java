package kiver.core.seed;

import java.util.Map;
import java.util.TreeMap;

/**
 * What the counts of one batch say about its lot.
 *
 * @param seedsUp seeds of cells that were counted and came up, 0 or more
 * @param seedsFailed seeds of cells that were counted, or in which nothing was seen, and did not, 0 or more
 * @param cellsSeenUp cells in which something was seen to be up without being counted, by the seeds sown there
 */
public record CountLesson(int seedsUp, int seedsFailed, Map<Integer, Integer> cellsSeenUp) {

    public CountLesson {
        cellsSeenUp = Map.copyOf(new TreeMap<>(cellsSeenUp));
        if (seedsUp < 0 || seedsFailed < 0 || cellsSeenUp.values().stream().anyMatch(cells -> cells < 0)) {
            throw new IllegalArgumentException("A count cannot be negative.");
        }
    }

    /**
     * The logarithm of the chance of such counts when seeds come up with that share: a counted seed is one trial, a
     * cell of k seeds with something up says 1 − (1 − p)^k.
     *
     * @param share above 0, below 1
     */
    double logLikelihood(double share) {
        double sum = seedsUp * Math.log(share) + seedsFailed * Math.log1p(-share);
        for (Map.Entry<Integer, Integer> seen : cellsSeenUp.entrySet()) {
            sum += seen.getValue() * Math.log(-Math.expm1(seen.getKey() * Math.log1p(-share)));
        }
        return sum;
    }
}
