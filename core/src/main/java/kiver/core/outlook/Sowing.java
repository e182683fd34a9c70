package kiver.core.outlook;

import kiver.core.seed.LotId;

/**
 * How much of a lot a batch is sown from.
 *
 * @param lot seed lot, or consignment of plants that are bought in
 * @param seedsPerCell planned, 1 to 10
 * @param cells planned, 1 or more
 * @param cellsNeeded cells in which something must come up for what is wanted to be met
 */
public record Sowing(LotId lot, int seedsPerCell, int cells, int cellsNeeded) {}
