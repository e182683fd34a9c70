package kiver.core.emerge;

/**
 * What is to be expected of a batch at some time, as cells with something up.
 *
 * @param low one batch in ten has fewer
 * @param middle half of them have fewer
 * @param high one in ten has more
 */
public record ExpectedShare(double low, double middle, double high) {}
