package kiver.server.today;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.batch.BatchChange;
import kiver.core.batch.RecordedChange;
import kiver.core.crop.Container;
import kiver.core.growth.Season;
import kiver.core.harden.DayOutside;
import kiver.core.place.PlaceId;
import kiver.core.today.BatchSituation;
import kiver.core.today.Round;
import kiver.core.today.RoundTask;
import kiver.core.weather.DailyRange;
import kiver.server.batch.Batch;
import kiver.server.batch.BatchFile;
import kiver.server.clock.NurseryClock;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchAnalyst;
import kiver.server.growth.SeasonService;
import kiver.server.release.Release;
import kiver.server.release.ReleaseService;
import kiver.server.weather.WeatherBook;
import org.springframework.stereotype.Service;

/** Works out today's round. */
@Service
public class RoundService {

    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final WeatherBook weather;
    private final ReleaseService releases;
    private final NurseryClock clock;

    RoundService(
            BatchAnalyst analyst,
            SeasonService seasons,
            WeatherBook weather,
            ReleaseService releases,
            NurseryClock clock) {
        this.analyst = analyst;
        this.seasons = seasons;
        this.weather = weather;
        this.releases = releases;
        this.clock = clock;
    }

    /** A batch at a stop, with what is to be done with it. */
    public record Stop(PlaceId place, BatchAnalysis batch, List<RoundTask> tasks, int plantsStillWanted) {}

    /** Every batch that stands somewhere or is due to, in the order of batches. */
    public List<Stop> stops() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        Optional<DailyRange> outside = weather.forecast(today).stream().findFirst();
        List<BatchAnalysis> all = analyst.all();
        List<BatchFile> files = all.stream().map(BatchAnalysis::file).toList();
        List<Release> made = releases.releases();
        Map<Integer, Integer> released = releases.releasedByOrder(files, made);
        List<Stop> stops = new ArrayList<>();
        for (BatchAnalysis batch : all) {
            int wanted = Math.max(0,
                    batch.file().batch().plants() - released.getOrDefault(batch.file().batch().orderNumber(), 0));
            BatchSituation situation = situation(batch, season, outside, wanted);
            stops.add(new Stop(placeOf(batch), batch, Round.tasksFor(situation, today), wanted));
        }
        return stops;
    }

    private static Optional<LocalDate> lastReleasedOn(BatchFile file) {
        return file.state().changes().stream()
                .filter(change -> change.change() instanceof BatchChange.Released)
                .filter(change -> !file.state().isCorrected(change.sequence()))
                .map(RecordedChange::day)
                .reduce((earlier, later) -> later);
    }

    private static Optional<String> nextContainer(BatchAnalysis analysis) {
        int next = analysis.standing().pottingsDone() + 1;
        List<Container> containers = analysis.containers().containers();
        return next < containers.size() ? Optional.of(containers.get(next).name()) : Optional.empty();
    }

    private static PlaceId placeOf(BatchAnalysis batch) {
        return batch.file().state().place().orElse(batch.way().emergence());
    }

    private static BatchSituation situation(
            BatchAnalysis analysis, Season season, Optional<DailyRange> outside, int plantsStillWanted) {
        BatchFile file = analysis.file();
        Batch batch = file.batch();
        DayOutside advice = outside
                .map(range -> DayOutside.on(
                        analysis.crop().hardiness(), range, file.state().hardeningDays(), file.state().programmeDays()))
                .orElse(DayOutside.OUT);
        boolean atEmergencePlace = file.state().place()
                .filter(place -> place.equals(batch.way().emergence())
                        && !place.equals(batch.way().growingOn()))
                .isPresent();
        return new BatchSituation(
                file.state(), batch.sowDay(), Optional.ofNullable(batch.latestSowDay()), batch.target(),
                plantsStillWanted, lastReleasedOn(file), analysis.expectedUp(), analysis.verdict(), batch.cellsNeeded(), atEmergencePlace,
                nextContainer(analysis),
                analysis.forecast(), advice, batch.hardeningProgramme().days());
    }
}
