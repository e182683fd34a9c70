package kiver.server.emerge;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kiver.core.batch.BatchProjection;
import kiver.core.batch.BatchState;
import kiver.core.emerge.LotOrPlace;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.seed.Shortfall;
import kiver.core.sow.LotLessons;
import kiver.server.batch.BatchBook;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedStore;
import org.springframework.stereotype.Component;

/** What was counted to the end, batch by batch: what a lot and a place are judged by. */
@Component
class LotEvidence {

    private final BatchBook batches;
    private final SeedStore seeds;
    private final SeasonService seasons;

    LotEvidence(BatchBook batches, SeedStore seeds, SeasonService seasons) {
        this.batches = batches;
        this.seeds = seeds;
        this.seasons = seasons;
    }

    /**
     * A count with what stood around it.
     *
     * @param place by name
     * @param sown day of its first sowing
     * @param meanCelsius °C of the place from sowing to the last count; empty where that is not known
     */
    record Told(LotOrPlace.Count count, String place, LocalDate sown, Optional<Double> meanCelsius) {}

    /** The count of a batch by the lot it was sown from first; empty until its last look, and for plants raised elsewhere. */
    Optional<Told> of(int batch) {
        BatchFile file = batches.file(batch);
        return told(file).stream()
                .filter(each -> each.count().lot().equals(file.lotSown()))
                .findFirst();
    }

    /** Every batch in hand that was counted to its end, lot by lot. */
    List<Told> all() {
        return batches.files().stream().flatMap(file -> told(file).stream()).toList();
    }

    private List<Told> told(BatchFile file) {
        BatchState state = file.state();
        if (!state.isCompletelyCounted()
                || state.sowings().isEmpty()
                || state.placements().isEmpty()) {
            return List.of();
        }
        Map<LotId, List<LotLessons.CountedCells>> byLot =
                LotLessons.cellsOf(BatchProjection.of(state).orElseThrow()).stream()
                        .collect(Collectors.groupingBy(LotLessons.CountedCells::lot));
        BatchState.Placement first = state.placements().get(0);
        List<Told> told = new ArrayList<>();
        byLot.forEach((lot, cells) -> told.add(new Told(
                new LotOrPlace.Count(
                        file.batch().number(),
                        lot,
                        first.place(),
                        seeds.lot(lot).labelOn(first.from()),
                        trials(cells)),
                seasons.season().place(first.place()).name(),
                first.from(),
                mean(first.place(), first.from(), state.cellsUp().lastKey()))));
        return told;
    }

    /** Seeds where they were counted; whole cells where in any it was only seen that something came up. */
    private static List<Shortfall.Trials> trials(List<LotLessons.CountedCells> cells) {
        boolean bySeed = cells.stream().noneMatch(cell -> cell.onlySeen() || cell.cameUp() > cell.seeds());
        if (bySeed) {
            return List.of(new Shortfall.Trials(
                    1,
                    cells.stream().mapToInt(cell -> cell.cells() * cell.seeds()).sum(),
                    cells.stream()
                            .mapToInt(cell -> cell.cells() * cell.cameUp())
                            .sum()));
        }
        Map<Integer, int[]> bySeeds = new TreeMap<>();
        for (LotLessons.CountedCells cell : cells) {
            int[] sum = bySeeds.computeIfAbsent(cell.seeds(), seeds -> new int[2]);
            sum[0] += cell.cells();
            sum[1] += cell.cameUp() > 0 ? cell.cells() : 0;
        }
        return bySeeds.entrySet().stream()
                .map(each -> new Shortfall.Trials(each.getKey(), each.getValue()[0], each.getValue()[1]))
                .toList();
    }

    private Optional<Double> mean(PlaceId place, LocalDate from, LocalDate until) {
        Season season = seasons.season();
        int days = (int) ChronoUnit.DAYS.between(from, until);
        boolean known = !from.isBefore(season.firstDay()) && days > 0 && !until.isAfter(seasons.today());
        return known ? Optional.of(season.meanTemperature(place, from, days)) : Optional.empty();
    }
}
