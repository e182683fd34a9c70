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
            Column.of("code", "Code", "short and lasting, for example curly-kale"),
            Column.of("name", "Name", "as growers say it"),
            Column.choice("hardiness", "Hardiness", "hardy", "half-hardy", "tender"),
            Column.of("emergence_base", "Curve begins at, °C", "where the fitted curve of coming up meets nothing; may lie below what a seed would truly do"),
            Column.of("emergence_optimum", "Fastest up at, °C", ""),
            Column.of("emergence_ceiling", "Curve ends at, °C", ""),
            Column.of("emergence_curvature", "Curvature of coming up", "1 for the plain curve"),
            Column.of("emergence_days_at_best", "Days to half up at best", "at the temperature at which it is fastest"),
            Column.of("emergence_spread", "Raggedness", "0.15 even to 0.35 ragged"),
            Column.of("leaf_base", "Makes leaves above, °C", ""),
            Column.of("leaf_optimum", "Makes leaves fastest at, °C", ""),
            Column.of("leaf_ceiling", "Makes leaves below, °C", ""),
            Column.of("leaves_per_day", "True leaves a day at best", ""),
            Column.of("light_need", "Light need, mol per m² and day", ""),
            Column.of("grow_at", "Grows sturdy at, °C", "mean of day and night"),
            Column.of("leaf_limit", "True leaves at its limit", "in a cell of 40 mL"),
            Column.of("cell_days", "Days at its limit", "after emergence, in a cell of 40 mL"),
            Column.choice("in_cells", "Takes cells", "well", "moved young", "poorly"),
            Column.of("clump_seeds", "Seeds to a clump", "0 where it is not grown in clumps"),
            Column.of("seedlings_per_seed", "Seedlings of one seed", "1, more for clusters"),
            Column.of("seed_depth", "Sown deep, mm", "0 for pressed in"),
            Column.choice("needs_light", "Needs light to come up", "yes", "no"),
            Column.of("soak_hours", "Soaked before, hours", "0 for none"),
            Column.of("thousand_seed_weight", "A thousand seeds weigh, g", ""),
            Column.of("soil_wait", "Waits for soil of, °C", "0 for none"),
            Column.of("sow_weeks", "Rule: sown, weeks from last frost", "negative before it"),
            Column.of("plant_weeks", "Rule: planted, weeks from last frost", "negative before it"),
            Column.of("maturity_days", "Days from planting to harvest", "0 where harvest is not the aim"),
            Column.of("spacing", "Planted apart, cm", ""),
            Column.of("planting_depth", "Planted how deep", "in words, for the delivery note"),
            Column.of("caution", "Caution", "what can hurt the person who handles it"),
            Column.of("emergence_source", "Source of coming up", "a publication, a fit, or estimate"),
            Column.of("growth_source", "Source of leaf growth", "a publication, a fit, or estimate"));

    /** The names of the columns. */
    public static final List<String> NAMES = COLUMNS.stream().map(Column::name).toList();

    private CropSheet() {}

    /**
     * The crop of a row.
     *
     * @throws IllegalArgumentException naming the column that is wrong
     */
    public static Crop read(SheetRow row) {
        return new Crop(
                row.words("code"),
                row.words("name"),
                Hardiness.valueOf(row.oneOf("hardiness", List.of("hardy", "half-hardy", "tender"))
                        .toUpperCase(Locale.ROOT).replace('-', '_')),
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
                                .toUpperCase(Locale.ROOT).replace(' ', '_')),
                        row.wholeNumber("clump_seeds"),
                        row.number("seedlings_per_seed")),
                new SeedTraits(
                        row.number("seed_depth"),
                        row.yes("needs_light"),
                        row.wholeNumber("soak_hours"),
                        row.number("thousand_seed_weight")),
                new OutdoorNeeds(
                        row.number("soil_wait"),
                        row.number("sow_weeks"),
                        row.number("plant_weeks"),
                        row.wholeNumber("maturity_days")),
                new PlantingOut(row.wholeNumber("spacing"), row.words("planting_depth"), row.text("caution")),
                new Sources(row.words("emergence_source"), row.words("growth_source")));
    }

    /** The row of a crop; {@link #read} gives the crop back. */
    public static SheetRow write(Crop crop) {
        CardinalTemperatures emergence = crop.emergence().temperatures();
        CardinalTemperatures leaves = crop.leaves().temperatures();
        return SheetText.row(
                NAMES,
                crop.code(), crop.name(), crop.hardiness().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                emergence.base(), emergence.optimum(), emergence.ceiling(), emergence.curvature(),
                crop.emergence().daysAtBest(), crop.emergence().spread(),
                leaves.base(), leaves.optimum(), leaves.ceiling(),
                crop.leaves().leavesPerDayAtBest(), crop.leaves().lightNeed(), crop.growAt(), crop.leafLimit(),
                crop.cells().days(), crop.cells().habit().words(), crop.cells().clumpSeeds(),
                crop.cells().seedlingsPerSeed(),
                crop.seed().depth(), crop.seed().needsLight() ? "yes" : "no", crop.seed().soakHours(),
                crop.seed().thousandSeedWeight(),
                crop.outdoors().soilWait(), crop.outdoors().sowWeeks(), crop.outdoors().plantWeeks(),
                crop.outdoors().maturityDays(),
                crop.planting().spacing(), crop.planting().depth(), crop.planting().caution(),
                crop.sources().emergence(), crop.sources().growth());
    }
}
