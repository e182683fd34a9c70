package kiver.core.crop;

import java.util.Objects;
import kiver.core.growth.Development;
import kiver.core.growth.Emergence;
import kiver.core.growth.LeafGrowth;
import kiver.core.growth.OverWinter;
import kiver.core.growth.Path;
import kiver.core.growth.TaughtPace;

/**
 * A kind of plant with everything that is common to its varieties.
 *
 * @param code what it is known by
 * @param name as growers say it, for example "Curly kale"
 * @param hardiness what cold it stands
 * @param emergence how it comes up
 * @param leaves how fast its leaves unfold
 * @param growAt °C, the mean at which young plants grow sturdy, for example 14
 * @param leafLimit true leaves at which it is past its best in a cell of 40 mL, positive
 * @param cells how it puts up with life in a cell
 * @param seed what to know about the seed
 * @param cold what cold does to it while it is young
 * @param tending steps that this nursery takes with it and others do not
 * @param outdoors what it asks of the open
 * @param planting what the grower is told
 * @param sources where the figures come from
 * @param learnt what this nursery has learnt beside them
 */
public record Crop(
        CropCode code,
        String name,
        Hardiness hardiness,
        Emergence emergence,
        LeafGrowth leaves,
        double growAt,
        double leafLimit,
        CellHabits cells,
        SeedTraits seed,
        ColdNeeds cold,
        Tending tending,
        OutdoorNeeds outdoors,
        PlantingOut planting,
        Sources sources,
        Learnt learnt) {

    private static final double STANDARD_CELL_VOLUME = 40;

    public Crop {
        Objects.requireNonNull(hardiness);
        Objects.requireNonNull(cells);
        Objects.requireNonNull(cold);
        Objects.requireNonNull(tending);
        Objects.requireNonNull(outdoors);
        Objects.requireNonNull(learnt);
        if (!(leafLimit > 0)) {
            throw new IllegalArgumentException("The leaf limit of " + name + " must be positive.");
        }
    }

    /** One of which nothing was learnt beside its figures; cold does to it what it does to its class, and it is tended like most. */
    public Crop(
            CropCode code,
            String name,
            Hardiness hardiness,
            Emergence emergence,
            LeafGrowth leaves,
            double growAt,
            double leafLimit,
            CellHabits cells,
            SeedTraits seed,
            OutdoorNeeds outdoors,
            PlantingOut planting,
            Sources sources) {
        this(
                code,
                name,
                hardiness,
                emergence,
                leaves,
                growAt,
                leafLimit,
                cells,
                seed,
                ColdNeeds.of(hardiness),
                Tending.NONE,
                outdoors,
                planting,
                sources,
                Learnt.NOTHING);
    }

    /** How it gets from seed to the field. */
    public Development development() {
        return new Development(emergence, leaves, hardiness.daysOut());
    }

    /**
     * The same with what was learnt.
     *
     * @param coming pace of its emergence at each place
     * @param growing pace of its leaves at each place
     * @param beside all else
     */
    public Crop taught(TaughtPace coming, TaughtPace growing, Learnt beside) {
        return new Crop(
                code,
                name,
                hardiness,
                emergence.with(coming),
                leaves.with(growing),
                growAt,
                leafLimit,
                cells,
                seed,
                cold,
                tending,
                outdoors,
                planting,
                sources,
                beside);
    }

    /** The same, tended and set otherwise. */
    public Crop tended(Tending otherwise, PotDepth depth) {
        return with(cells.set(depth), seed, otherwise, outdoors);
    }

    /** The same with seed of another kind. */
    public Crop sownAs(SeedTraits otherwise) {
        return with(cells, otherwise, tending, outdoors);
    }

    /** The same, ripe so many days after planting out. */
    public Crop maturing(int days) {
        return with(
                cells,
                seed,
                tending,
                new OutdoorNeeds(
                        outdoors.soilWait(), outdoors.sowWeeks(), outdoors.plantWeeks(), days, outdoors.longDays()));
    }

    private Crop with(CellHabits otherCells, SeedTraits otherSeed, Tending otherTending, OutdoorNeeds otherOutdoors) {
        return new Crop(
                code,
                name,
                hardiness,
                emergence,
                leaves,
                growAt,
                leafLimit,
                otherCells,
                otherSeed,
                cold,
                otherTending,
                otherOutdoors,
                planting,
                sources,
                learnt);
    }

    /**
     * True leaves at which a plant is past its best in that container.
     *
     * <p>Roots fill a volume, leaves stand for a length: the limit grows with the cube root of the cell's volume. An
     * estimate; a cell of 15 mL gives 0.7 of the limit, one of 300 mL twice.
     */
    public double leafLimitIn(Container container) {
        return leafLimit * roominess(container);
    }

    /**
     * Days after emergence at which roots begin to circle in that container, as the leaf limit follows its volume.
     *
     * @param container it grows in
     */
    public double dayLimitIn(Container container) {
        return cells.days() * roominess(container);
    }

    /** The same path for plants of this crop that stand over winter. */
    public Path overWinter(Path path) {
        return path.overWinter(
                leaves.leavesPerDayInUsualWarmth(),
                new OverWinter(cold.bolts() ? Math.max(1, cold.boltsFromLeaves()) : Double.POSITIVE_INFINITY));
    }

    private static double roominess(Container container) {
        return Math.cbrt(container.cellVolume() / STANDARD_CELL_VOLUME);
    }
}
