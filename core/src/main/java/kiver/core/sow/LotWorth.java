package kiver.core.sow;

import java.time.LocalDate;
import java.util.OptionalInt;
import kiver.core.crop.Survival;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;

/**
 * What a lot is worth to whoever sows it.
 *
 * @param germination what is known of it now
 * @param testedOn day of the test on its label
 */
public record LotWorth(Germination germination, LocalDate testedOn) {

    /** Cells that a hundred plants take with fresh seed, nine in ten of which came up in a test of a hundred. */
    public static final int CELLS_FOR_HUNDRED_FRESH =
            cells(new Germination(90, 10)).orElseThrow();

    /** Below this share two seeds a cell leave more than one cell in sixteen empty. */
    private static final double POOR = 0.75;

    private static final long OLD_DAYS = 730;

    /** Whether it comes up badly. */
    public boolean isPoor() {
        return germination.mean() < POOR;
    }

    /** Whether its test lies more than two years back. */
    public boolean isOldOn(LocalDate day) {
        return testedOn.plusDays(OLD_DAYS).isBefore(day);
    }

    /** Cells that a hundred plants take, two seeds a cell; empty where no number is enough. */
    public OptionalInt cellsForHundred() {
        return cells(germination);
    }

    private static OptionalInt cells(Germination germination) {
        try {
            return OptionalInt.of(new SowQuantity(GerminationNodes.of(germination), 2, Survival.USUAL.mean())
                    .cellsNeeded(100, Allowances.USUAL.confidence()));
        } catch (IllegalArgumentException noNumberIsEnough) {
            return OptionalInt.empty();
        }
    }
}
