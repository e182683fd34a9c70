package kiver.core.crop;

import java.util.Locale;

/**
 * How a crop puts up with life in a cell.
 *
 * @param days most days after emergence in a cell of 40 mL before roots circle, positive
 * @param habit how it takes cells at all
 * @param clumpSeeds seeds sown together for a clump that is never separated, 0 where that is not done
 * @param seedlingsPerSeed seedlings that come of one seed: 1, or more for clusters, for example 2.2 for beet
 * @param thirst how wet it is kept
 * @param potDepth how deep it is set when it is potted up
 */
public record CellHabits(
        double days, Habit habit, int clumpSeeds, double seedlingsPerSeed, Thirst thirst, PotDepth potDepth) {

    /** Set level, as most are. */
    public CellHabits(double days, Habit habit, int clumpSeeds, double seedlingsPerSeed, Thirst thirst) {
        this(days, habit, clumpSeeds, seedlingsPerSeed, thirst, PotDepth.LEVEL);
    }

    /** The same, set otherwise when it is potted up. */
    public CellHabits set(PotDepth depth) {
        return new CellHabits(days, habit, clumpSeeds, seedlingsPerSeed, thirst, depth);
    }

    /** How a crop takes cells. */
    public enum Habit {
        /** Does well in cells. */
        WELL,
        /** Must be planted young. */
        MOVED_YOUNG,
        /** Is better sown in place. */
        POORLY;

        /** As a sheet says it, for example "moved young". */
        public String words() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ');
        }
    }

    public CellHabits {
        if (!(days > 0) || clumpSeeds < 0 || clumpSeeds > 12 || !(seedlingsPerSeed >= 1)) {
            throw new IllegalArgumentException(
                    "Days in a cell must be positive, clumps of 0 to 12 seeds, and a seed gives at least 1 seedling.");
        }
    }
}
