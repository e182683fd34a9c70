package kiver.core.sow;

/**
 * One way to sow for a wish.
 *
 * @param seedsPerCell 1 or more
 * @param cells to sow
 * @param trays to fill, the last one perhaps in part
 * @param seeds to take from stock
 * @param chance that enough cells give a plant, 0 to 1
 */
public record SowingOption(int seedsPerCell, int cells, int trays, int seeds, double chance) {}
