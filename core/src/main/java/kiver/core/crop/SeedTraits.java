package kiver.core.crop;

import java.time.LocalDate;

/**
 * What to know when the seed is in the hand.
 *
 * @param depth mm of cover, 0 for pressed in and left uncovered
 * @param needsLight whether it comes up only in light
 * @param soakHours in water before sowing, 0 for none
 * @param onEdge whether its flat seed is set on edge, so that water runs off
 * @param eatenByMice whether mice dig it out
 * @param thousandSeedWeight g for a thousand seeds, positive
 */
public record SeedTraits(
        double depth,
        boolean needsLight,
        int soakHours,
        boolean onEdge,
        boolean eatenByMice,
        double thousandSeedWeight) {
    /** Seed that lies so long is laid in water on the evening before. */
    private static final int OVERNIGHT_HOURS = 6;

    public SeedTraits {
        if (depth < 0 || soakHours < 0 || !(thousandSeedWeight > 0)) {
            throw new IllegalArgumentException(
                    "Depth and soaking cannot be negative, and a thousand seeds must weigh something.");
        }
    }

    /** The same seed in a coat of clay or film, which water would wash off before it is sown. */
    public SeedTraits coated() {
        return new SeedTraits(depth, needsLight, 0, onEdge, eatenByMice, thousandSeedWeight);
    }

    /**
     * The day on which seed that is soaked goes into water: the evening before, or where it takes few hours the same
     * morning.
     */
    public LocalDate soakDay(LocalDate sowDay) {
        return soakHours >= OVERNIGHT_HOURS ? sowDay.minusDays(1) : sowDay;
    }
}
