package kiver.core.crop;

import java.util.List;
import java.util.Locale;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Emergence;
import kiver.core.growth.LeafGrowth;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;

/** Crops as rows of a sheet: in the library's file, in its table and in the form on the screen. */
public final class CropSheet {

    /** The columns, in their order. */
    public static final List<Column> COLUMNS = List.of(
            Column.of("code"),
            Column.of("name"),
            Column.choice("hardiness", "hardy", "half-hardy", "tender"),
            Column.of("emergence_base"),
            Column.of("emergence_optimum"),
            Column.of("emergence_ceiling"),
            Column.of("emergence_curvature"),
            Column.of("emergence_days_at_best"),
            Column.of("emergence_spread"),
            Column.of("leaf_base"),
            Column.of("leaf_optimum"),
            Column.of("leaf_ceiling"),
            Column.of("leaves_per_day"),
            Column.of("light_need"),
            Column.of("grow_at"),
            Column.of("leaf_limit"),
            Column.of("cell_days"),
            Column.choice("in_cells", "well", "moved young", "poorly"),
            Column.of("clump_seeds"),
            Column.of("seedlings_per_seed"),
            Column.choice("water", Thirst.WORDS.toArray(String[]::new)).orNone(),
            Column.choice("pot_depth", PotDepth.WORDS.toArray(String[]::new)).orNone(),
            Column.of("seed_depth"),
            Column.choice("needs_light", "yes", "no"),
            Column.of("soak_hours"),
            Column.choice("on_edge", "yes", "no").orNone(),
            Column.choice("eaten_by_mice", "yes", "no").orNone(),
            Column.of("thousand_seed_weight"),
            Column.of("night_floor").orNone(),
            Column.of("bolts_after").orNone(),
            Column.of("bolts_from_leaves").orNone(),
            Column.choice("cold_wanted", "yes", "no").orNone(),
            Column.choice("brushed", "yes", "no").orNone(),
            Column.of("pinched_from_leaves").orNone(),
            Column.of("flowers_off_from_leaves").orNone(),
            Column.of("soil_wait"),
            Column.of("sow_weeks"),
            Column.of("plant_weeks"),
            Column.of("maturity_days"),
            Column.of("long_day_hours").orNone(),
            Column.of("long_day_warmth").orNone(),
            Column.of("spacing"),
            Column.of("planting_depth"),
            Column.of("caution"),
            Column.of("emergence_source"),
            Column.of("growth_source"));

    /** The names of the columns. */
    public static final List<String> NAMES = COLUMNS.stream().map(Column::name).toList();

    /** Those that every file has. */
    public static final List<String> REQUIRED = Column.required(COLUMNS);

    private CropSheet() {}

    /**
     * The crop of a row.
     *
     * @throws IllegalArgumentException naming the column that is wrong
     */
    public static Crop read(SheetRow row) {
        return new Crop(
                new CropCode(row.words("code")),
                row.words("name"),
                hardiness(row),
                new Emergence(
                        new CardinalTemperatures(
                                row.number("emergence_base"),
                                row.number("emergence_optimum"),
                                row.number("emergence_ceiling"),
                                row.number("emergence_curvature")),
                        row.number("emergence_days_at_best"),
                        row.number("emergence_spread")),
                new LeafGrowth(
                        CardinalTemperatures.of(
                                row.number("leaf_base"), row.number("leaf_optimum"), row.number("leaf_ceiling")),
                        row.number("leaves_per_day"),
                        row.number("light_need")),
                row.number("grow_at"),
                row.number("leaf_limit"),
                new CellHabits(
                        row.number("cell_days"),
                        CellHabits.Habit.valueOf(row.oneOf("in_cells", List.of("well", "moved young", "poorly"))
                                .toUpperCase(Locale.ROOT)
                                .replace(' ', '_')),
                        row.wholeNumber("clump_seeds"),
                        row.number("seedlings_per_seed"),
                        thirst(row),
                        potDepth(row)),
                new SeedTraits(
                        row.number("seed_depth"),
                        row.yes("needs_light"),
                        row.wholeNumber("soak_hours"),
                        row.yesOrNothing("on_edge"),
                        row.yesOrNothing("eaten_by_mice"),
                        row.number("thousand_seed_weight")),
                cold(row),
                new Tending(
                        row.yesOrNothing("brushed"),
                        row.numberOr("pinched_from_leaves", 0),
                        row.numberOr("flowers_off_from_leaves", 0)),
                new OutdoorNeeds(
                        row.number("soil_wait"),
                        row.number("sow_weeks"),
                        row.number("plant_weeks"),
                        row.wholeNumber("maturity_days"),
                        new LongDays(row.numberOr("long_day_hours", 0), row.numberOr("long_day_warmth", 0))),
                new PlantingOut(row.wholeNumber("spacing"), row.words("planting_depth"), row.text("caution")),
                new Sources(row.words("emergence_source"), row.words("growth_source")),
                Learnt.NOTHING);
    }

    private static Hardiness hardiness(SheetRow row) {
        return Hardiness.valueOf(row.oneOf("hardiness", List.of("hardy", "half-hardy", "tender"))
                .toUpperCase(Locale.ROOT)
                .replace('-', '_'));
    }

    private static ColdNeeds cold(SheetRow row) {
        return new ColdNeeds(
                row.numberOr("night_floor", hardiness(row).stuntsBelow()),
                row.numberOr("bolts_after", 0),
                row.numberOr("bolts_from_leaves", 0),
                row.yesOrNothing("cold_wanted"));
    }

    private static Thirst thirst(SheetRow row) {
        return row.text("water").isEmpty() ? Thirst.EVEN : Thirst.of(row.oneOf("water", Thirst.WORDS));
    }

    private static PotDepth potDepth(SheetRow row) {
        return row.text("pot_depth").isEmpty()
                ? PotDepth.LEVEL
                : PotDepth.valueOf(row.oneOf("pot_depth", PotDepth.WORDS).toUpperCase(Locale.ROOT));
    }

    /** The row of a crop; {@link #read} gives the crop back. */
    public static SheetRow write(Crop crop) {
        CardinalTemperatures emergence = crop.emergence().temperatures();
        CardinalTemperatures leaves = crop.leaves().temperatures();
        return SheetText.row(
                NAMES,
                crop.code().written(),
                crop.name(),
                crop.hardiness().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                emergence.base(),
                emergence.optimum(),
                emergence.ceiling(),
                emergence.curvature(),
                crop.emergence().daysAtBest(),
                crop.emergence().spread(),
                leaves.base(),
                leaves.optimum(),
                leaves.ceiling(),
                crop.leaves().leavesPerDayAtBest(),
                crop.leaves().lightNeed(),
                crop.growAt(),
                crop.leafLimit(),
                crop.cells().days(),
                crop.cells().habit().words(),
                crop.cells().clumpSeeds(),
                crop.cells().seedlingsPerSeed(),
                crop.cells().thirst().words(),
                crop.cells().potDepth().words(),
                crop.seed().depth(),
                crop.seed().needsLight() ? "yes" : "no",
                crop.seed().soakHours(),
                crop.seed().onEdge() ? "yes" : "no",
                crop.seed().eatenByMice() ? "yes" : "no",
                crop.seed().thousandSeedWeight(),
                crop.cold().nightFloor(),
                crop.cold().boltsAfter(),
                crop.cold().boltsFromLeaves(),
                crop.cold().wanted() ? "yes" : "no",
                crop.tending().brushed() ? "yes" : "no",
                crop.tending().pinchedFrom(),
                crop.tending().flowersOffFrom(),
                crop.outdoors().soilWait(),
                crop.outdoors().sowWeeks(),
                crop.outdoors().plantWeeks(),
                crop.outdoors().maturityDays(),
                crop.outdoors().longDays().hours(),
                crop.outdoors().longDays().warmth(),
                crop.planting().spacing(),
                crop.planting().depth(),
                crop.planting().caution(),
                crop.sources().emergence(),
                crop.sources().growth());
    }
}
