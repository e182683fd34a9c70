package kiver.core.outlook;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellState;
import kiver.core.crop.Crop;
import kiver.core.crop.Survival;
import kiver.core.emerge.EmergenceWatch;
import kiver.core.order.LineId;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.ClumpSizes;
import kiver.core.sow.SowQuantity;

/**
 * The chance that enough plants of a batch reach their release; deaths are still to come until then. What is planned and
 * not sown yet counts as it was planned.
 *
 * @param file of the batch
 * @param crop it is of
 * @param germination what is known of its lot, its own counts left out
 * @param watch on its emergence; empty before sowing, and for plants that were raised elsewhere
 * @param today the day
 */
record EnoughPlants(
        BatchFile file, Crop crop, Germination germination, Optional<EmergenceWatch> watch, LocalDate today) {

    /** The chance of at least so many plants more, 0 to 1. */
    double chanceOf(int wanted) {
        BatchState state = file.state();
        Survival living = crop.learnt().living();
        if (file.batch().isBoughtIn()) {
            return living.over(wayToGo()).chanceOfAtLeast(file.plantsAlive() + cellsToSow(), wanted);
        }
        if (state.sownOn().isEmpty() || watch.isEmpty()) {
            return chanceAsPlanned(wanted, living);
        }
        Survival ahead = living.over(wayToGo());
        if (state.balance().waiting() == 0) {
            return ahead.chanceOfAtLeast(file.plantsAlive() + stillToSow(), wanted);
        }
        double plantsPerCell = file.countsSeedlings() ? Math.max(1, clump()) : 1;
        int wantedCells = (int) Math.ceil((wanted - stillToSow()) / plantsPerCell);
        // What is mixed comes up and lives as the rest does, and serves nobody.
        int mixed = (int)
                state.cells().values().stream().filter(CellState::isInDoubt).count();
        return watch.get().chanceOfLiving(wantedCells + mixed, state.balance().alive(), ahead);
    }

    /**
     * The chance that each line gets what its grower takes as whole, by the line's number. Whoever was promised first is
     * served first, so a line waits for those before it.
     *
     * @param forecastFor the batch's forecast for a day on which its plants are wanted
     */
    Map<LineId, Double> chanceByLine(Function<LocalDate, BatchForecast> forecastFor) {
        Map<LineId, Integer> released = file.releasedByLine();
        Map<LineId, Double> chances = new LinkedHashMap<>();
        int before = 0;
        for (Promised promise : file.promises()) {
            int wanted = promise.accepted() - released.getOrDefault(promise.line(), 0);
            if (wanted <= 0) {
                chances.put(promise.line(), 1.0);
                continue;
            }
            before += wanted;
            chances.put(promise.line(), forecastFor.apply(promise.target()).chanceOnTarget() * chanceOf(before));
        }
        return chances;
    }

    private double chanceAsPlanned(int wanted, Survival living) {
        Batch batch = file.batch();
        GerminationNodes nodes = GerminationNodes.of(germination).withMishaps();
        return file.countsSeedlings()
                ? new ClumpSizes(nodes, batch.seedsPerCell(), crop.cells().seedlingsPerSeed())
                        .chanceOfAtLeast(wanted, batch.cells(), living.mean())
                : new SowQuantity(nodes, batch.seedsPerCell(), living).chanceOfAtLeast(wanted, batch.cells());
    }

    private int cellsToSow() {
        return file.toSow().stream().mapToInt(run -> run.length()).sum();
    }

    /** Plants that may be expected of cells not sown yet. */
    private int stillToSow() {
        double up = 1 - Math.pow(1 - germination.mean(), file.batch().seedsPerCell());
        return (int) Math.floor(cellsToSow() * (file.countsSeedlings() ? clump() : up));
    }

    /** Seedlings that may be expected in a cell. */
    private double clump() {
        return file.batch().seedsPerCell() * germination.mean() * crop.cells().seedlingsPerSeed();
    }

    /** The share of the way from emergence to the target that is still to come, 0 to 1. */
    private double wayToGo() {
        BatchState state = file.state();
        LocalDate target = file.batch().target();
        LocalDate up = state.cellsUp().isEmpty()
                ? state.sownOn().orElse(today)
                : state.cellsUp().firstKey();
        double whole = Math.max(1, target.toEpochDay() - up.toEpochDay());
        return (target.toEpochDay() - today.toEpochDay()) / whole;
    }
}
