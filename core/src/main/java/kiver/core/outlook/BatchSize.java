package kiver.core.outlook;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * How much of a batch that is not sown yet is to be sown, and when.
 *
 * @param plants it is to give
 * @param target day for which it is grown
 * @param seedsPerCell 1 to 10
 * @param cells 1 or more
 * @param cellsNeeded cells in which something must come up
 * @param sowDay planned
 * @param latestSowDay last safe day, or null
 */
public record BatchSize(
        int plants,
        LocalDate target,
        int seedsPerCell,
        int cells,
        int cellsNeeded,
        LocalDate sowDay,
        @Nullable LocalDate latestSowDay) {}
