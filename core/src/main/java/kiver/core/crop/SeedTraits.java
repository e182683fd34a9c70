package kiver.core.crop;

/**
 * What to know when the seed is in the hand.
 *
 * @param depth mm of cover, 0 for pressed in and left uncovered
 * @param needsLight whether it comes up only in light
 * @param soakHours in water before sowing, 0 for none
 * @param thousandSeedWeight g for a thousand seeds, positive
 */
public record SeedTraits(double depth, boolean needsLight, int soakHours, double thousandSeedWeight) {
    public SeedTraits {
        if (depth < 0 || soakHours < 0 || !(thousandSeedWeight > 0)) {
            throw new IllegalArgumentException(
                    "Depth and soaking cannot be negative, and a thousand seeds must weigh something.");
        }
    }
}
