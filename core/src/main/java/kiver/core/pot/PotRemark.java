package kiver.core.pot;

/** What speaks against a pot, or is to be known of it. */
public sealed interface PotRemark {

    /** Less than a thumb of new mix at the sides; both across. */
    record TooNarrow(double widthMillimetres, double wantedMillimetres) implements PotRemark {}

    /** Less than a thumb of new mix below. */
    record TooShallow(double depthMillimetres, double wantedMillimetres) implements PotRemark {}

    /** About so many times the plug's volume, so new mix stays wet and goes sour. */
    record StaysWet(long times) implements PotRemark {}

    /** Fewer are in the shed than there are plants. */
    record TooFewInTheShed(int there, int wanted) implements PotRemark {}

    /** Nobody has counted how many are in the shed. */
    record NeverCounted() implements PotRemark {}
}
