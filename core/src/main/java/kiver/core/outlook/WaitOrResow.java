package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import kiver.core.plan.CountBack;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.Allowances;
import kiver.core.sow.SowQuantity;

/**
 * Whether to wait for a batch that comes up badly, or to sow more: the chance that what is wanted of it is met, for each.
 *
 * @param waiting the chance if nothing is done, 0 to 1
 * @param living plants of it that may be counted on, as likely as not
 * @param missing plants that are wanted beyond those, 0 or more
 * @param resowings by the day on which more is sown
 */
public record WaitOrResow(double waiting, int living, int missing, List<Resowing> resowings) {

    /** Counts of large batches are looked at in so many steps. */
    private static final int STEPS = 60;

    private static final double EVEN = 0.5;

    public WaitOrResow {
        resowings = List.copyOf(resowings);
    }

    /**
     * A sowing beside what is up already.
     *
     * @param day on which
     * @param cells of it, 0 where what is up is as good as enough
     * @param seeds that they take
     * @param chance that what is wanted is met with both together, 0 to 1
     */
    public record Resowing(LocalDate day, int cells, int seeds, double chance) {}

    /**
     * What to choose between.
     *
     * @param batch that comes up
     * @param known of its lot's germination without its own counts, by which it is judged
     * @param next what the lot's next sowing is expected to do
     * @param countBack along its path, for its present target and places
     * @param today the day
     * @param days on which more could be sown, rising
     */
    public static WaitOrResow of(
            BatchOutlook batch,
            Germination known,
            Germination next,
            CountBack countBack,
            LocalDate today,
            List<LocalDate> days) {
        BatchFile file = batch.file();
        int wanted = file.stillWanted();
        EnoughPlants plants =
                new EnoughPlants(file, batch.crop(), known, batch.emerging().watch(), today);
        double[] atLeast = atLeast(wanted, plants::chanceOf);
        int living = IntStream.rangeClosed(0, wanted)
                .filter(count -> atLeast[count] >= EVEN)
                .max()
                .orElse(0);
        double inTime = batch.forecast().chanceOnTarget() * (1 - batch.lossTonight());
        int seedsPerCell = file.batch().seedsPerCell();
        SowQuantity quantity = new SowQuantity(
                GerminationNodes.of(next).withMishaps(),
                seedsPerCell,
                batch.crop().learnt().living());
        List<Resowing> resowings = new ArrayList<>();
        if (wanted > 0) {
            int cells = cells(wanted, atLeast, quantity);
            for (LocalDate day : days) {
                double ready = countBack.drawnChance(day, file.batch().target());
                double together = together(wanted, atLeast, count -> quantity.chanceOfAtLeast(count, cells));
                double alone = quantity.chanceOfAtLeast(wanted, cells);
                resowings.add(new Resowing(
                        day,
                        cells,
                        cells * seedsPerCell,
                        inTime * ready * together
                                + inTime * (1 - ready) * atLeast[wanted]
                                + (1 - inTime) * ready * alone));
            }
        }
        return new WaitOrResow(inTime * atLeast[wanted], living, Math.max(0, wanted - living), resowings);
    }

    /** The fewest cells with which both together are enough as surely as any sowing is planned to be. */
    private static int cells(int wanted, double[] atLeast, SowQuantity quantity) {
        double confidence = Allowances.USUAL.confidence();
        if (atLeast[wanted] >= confidence) {
            return 0;
        }
        int low = 1;
        int high = quantity.cellsNeeded(wanted, confidence);
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (together(wanted, atLeast, count -> quantity.chanceOfAtLeast(count, middle)) >= confidence) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return high;
    }

    /** The chance of at least each number from 0 to the one wanted; of large numbers some are read off between others. */
    private static double[] atLeast(int wanted, IntToDoubleFunction chanceOf) {
        double[] chances = new double[wanted + 1];
        int step = Math.max(1, wanted / STEPS);
        int before = 0;
        chances[0] = 1;
        for (int count = Math.min(step, wanted); before < wanted; count = Math.min(count + step, wanted)) {
            chances[count] = Math.min(chances[before], chanceOf.applyAsDouble(count));
            for (int between = before + 1; between < count; between++) {
                double share = (between - before) / (double) (count - before);
                chances[between] = chances[before] + share * (chances[count] - chances[before]);
            }
            before = count;
        }
        return chances;
    }

    /**
     * The chance that two independent counts together are at least so many.
     *
     * @param wanted 0 or more
     * @param atLeast chance that the first is at least each number from 0 to {@code wanted}
     * @param other chance that the second is at least a number
     */
    static double together(int wanted, double[] atLeast, IntToDoubleFunction other) {
        double chance = atLeast[wanted];
        for (int count = 0; count < wanted; count++) {
            double exactly = atLeast[count] - atLeast[count + 1];
            if (exactly > 0) {
                chance += exactly * other.applyAsDouble(wanted - count);
            }
        }
        return Math.min(1, chance);
    }
}
