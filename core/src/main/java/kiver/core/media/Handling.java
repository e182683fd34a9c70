package kiver.core.media;

import java.util.Optional;

/**
 * How a mix is made ready and filled.
 *
 * @param sieve mm that coarse bits are sieved out at; empty for a mix that is not sieved
 * @param water litres to moisten a litre of the dry mix, 0 to 1
 * @param wetness how wet it is then
 * @param shrinkage share of volume lost when it is blended and wetted, 0 to 0.5
 * @param packing litres of loose mix that a litre of cell takes, 0.5 to 2: 1 for loose, more for firmed, about 1.4 for
 *     pressed blocks
 */
public record Handling(Optional<Double> sieve, double water, Wetness wetness, double shrinkage, double packing) {

    /** What a handful does when it is squeezed. */
    public enum Wetness {
        /** Holds together, no drop falls: for sowing. */
        HOLDS_TOGETHER,
        /** A drop or two between the fingers: for potting. */
        A_FEW_DROPS,
        /** Water just seeps: for pressed blocks. */
        JUST_SEEPS
    }

    public Handling {
        require(sieve.map(mesh -> mesh > 0 && mesh <= 50).orElse(true), "sieve", sieve.orElse(0.0));
        require(water >= 0 && water <= 1, "water", water);
        require(shrinkage >= 0 && shrinkage <= 0.5, "shrinkage", shrinkage);
        require(packing >= 0.5 && packing <= 2, "packing", packing);
    }

    private static void require(boolean holds, String what, double figure) {
        if (!holds) {
            throw new IllegalArgumentException("A mix with " + what + " " + figure + " cannot be.");
        }
    }
}
