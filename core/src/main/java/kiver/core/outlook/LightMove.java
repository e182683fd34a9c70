package kiver.core.outlook;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import kiver.core.care.FierceSun;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;
import kiver.core.space.Stay;

/**
 * Moving a batch to light that suits it, with what that does to its date and to the room there.
 *
 * @param batch number
 * @param place to which
 * @param light there over the coming fortnight, mol m⁻² d⁻¹
 * @param wanted light that keeps it sturdy in the warmth there, mol m⁻² d⁻¹
 * @param ready then, most likely; empty where it is not ready this season
 * @param chance of being fit on the day wanted, 0 to 1
 * @param takes tray places
 * @param free tray places there today
 */
public record LightMove(
        int batch,
        PlaceId place,
        double light,
        double wanted,
        Optional<LocalDate> ready,
        double chance,
        double takes,
        double free) {

    private static final int DAYS_AHEAD = 14;
    private static final int DAYS_OF_FORECAST = 5;
    private static final int MOST = 3;

    /** Whether all of it has room there. */
    public boolean fits() {
        return takes <= free + 1e-9;
    }

    /**
     * The places where a batch would neither stretch nor scorch, and no night and no noon of the forecast would harm it;
     * those with room first, of them the best chance.
     *
     * @param free tray places of a place, today
     */
    public static List<LightMove> of(
            Season season, LocalDate today, BatchOutlook batch, ToDoubleFunction<PlaceId> free) {
        Crop crop = batch.crop();
        double takes = batch.stays().stream()
                .filter(stay -> stay.covers(today))
                .mapToDouble(Stay::slots)
                .sum();
        return Stream.concat(asPlanned(batch), elsewhere(season, today, batch))
                .filter(each -> !tooColdOrHot(season, today, each.place(), crop))
                .map(each -> new LightMove(
                        batch.number(),
                        each.place(),
                        season.meanLight(each.place(), today, DAYS_AHEAD),
                        crop.leaves().leggyBelow(season.meanTemperature(each.place(), today, DAYS_AHEAD)),
                        each.ready(),
                        each.chance(),
                        takes,
                        free.applyAsDouble(each.place())))
                .filter(move -> move.light() >= move.wanted() && move.light() <= FierceSun.scorchesAbove(crop.leaves()))
                .sorted(Comparator.comparing((LightMove move) -> !move.fits()).thenComparing(move -> -move.chance()))
                .limit(MOST)
                .toList();
    }

    /** A place with what becomes of the batch there. */
    private record Possible(PlaceId place, Optional<LocalDate> ready, double chance) {}

    /** Where it is to grow on, if it still stands where it came up; its dates hold that already. */
    private static Stream<Possible> asPlanned(BatchOutlook batch) {
        PlaceId planned = batch.way().growingOn();
        return batch.file().state().place().filter(planned::equals).isPresent()
                        || batch.standing().hardeningStarted()
                ? Stream.empty()
                : Stream.of(new Possible(
                        planned,
                        batch.forecast().ready().map(DateSpread::middle),
                        batch.forecast().chanceOnTarget()));
    }

    private static Stream<Possible> elsewhere(Season season, LocalDate today, BatchOutlook batch) {
        return new Rescheduling(season, batch.crop(), batch.journey())
                .elsewhere(batch.file().batch().target(), today).stream()
                        .map(each -> new Possible(
                                each.way().growingOn(), each.ready().map(DateSpread::middle), each.chance()));
    }

    /** While the forecast lasts all weather years say the same. */
    private static boolean tooColdOrHot(Season season, LocalDate today, PlaceId place, Crop crop) {
        ClimateSeries climate = season.climate(place).get(0);
        int from = (int) (today.toEpochDay() - climate.firstDay().toEpochDay());
        for (int day = from; day < Math.min(climate.days(), from + DAYS_OF_FORECAST); day++) {
            if (climate.minimum(day) < crop.cold().nightFloor()
                    || climate.maximum(day) >= crop.leaves().tooHotFrom()) {
                return true;
            }
        }
        return false;
    }
}
