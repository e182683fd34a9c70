package kiver.server.today;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.care.FeedClock;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.Season;
import kiver.core.harden.NightOut;
import kiver.core.harden.Outing;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.HardeningAhead;
import kiver.core.place.PlaceId;
import kiver.core.today.BatchSituation;
import kiver.core.today.Round;
import kiver.core.today.RoundTask;
import kiver.core.today.TaskKind;
import kiver.core.weather.DayAhead;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.outlook.EveningBook;
import kiver.server.outlook.LastSowDays;
import kiver.server.water.FeedDays;
import kiver.server.weather.WeatherBook;
import org.springframework.stereotype.Service;

/** Works out today's round. */
@Service
public class RoundService {

    private final BatchAnalyst analyst;
    private final SeasonService seasons;
    private final WeatherBook weather;
    private final LastSowDays lastSowDays;
    private final EveningBook evenings;
    private final TaskMarks marks;
    private final FeedDays feedDays;
    private final NurseryClock clock;

    RoundService(
            BatchAnalyst analyst,
            SeasonService seasons,
            WeatherBook weather,
            LastSowDays lastSowDays,
            EveningBook evenings,
            TaskMarks marks,
            FeedDays feedDays,
            NurseryClock clock) {
        this.analyst = analyst;
        this.seasons = seasons;
        this.weather = weather;
        this.lastSowDays = lastSowDays;
        this.evenings = evenings;
        this.marks = marks;
        this.feedDays = feedDays;
        this.clock = clock;
    }

    /** A batch at a stop, with what is to be done with it. */
    public record Stop(PlaceId place, BatchOutlook batch, List<RoundTask> tasks, int plantsStillWanted) {}

    /** Every batch that stands somewhere or is due to, in the order of batches. */
    public List<Stop> stops() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        Optional<DayAhead> outside = weather.ahead(today).stream().findFirst();
        List<BatchOutlook> all = analyst.all();
        Set<Integer> seenTo = new HashSet<>(evenings.safeOn(today.minusDays(1)));
        seenTo.addAll(evenings.foundWholeOn(today));
        Map<TaskMarks.Key, TaskMarks.Mark> noted = marks.all();
        FeedDays.Known feeding = feedDays.known();
        List<Stop> stops = new ArrayList<>();
        for (BatchOutlook batch : all) {
            if (batch.stage() == BatchStage.RELEASED && batch.trouble().isEmpty()) {
                continue;
            }
            int wanted = batch.file().plantsStillToGo();
            if (batch.trouble().isPresent()) {
                stops.add(new Stop(batch.place(), batch, List.of(), wanted));
                continue;
            }
            Optional<Double> frost = seenTo.contains(batch.file().batch().number())
                    ? Optional.empty()
                    : frostToLookFor(batch, season, today);
            BatchSituation situation = situation(batch, outside, soakedOn(batch, noted), feeding.clock(batch), frost);
            stops.add(new Stop(batch.place(), batch, Round.tasksFor(situation, today), wanted));
        }
        return stops;
    }

    private static Optional<LocalDate> soakedOn(BatchOutlook batch, Map<TaskMarks.Key, TaskMarks.Mark> noted) {
        return Optional.ofNullable(noted.get(new TaskMarks.Key(batch.number(), TaskKind.SOAK)))
                .map(TaskMarks.Mark::doneOn);
    }

    /** The last night's minimum where the batch stood, when it was too cold and no loss has been noted since. */
    private static Optional<Double> frostToLookFor(BatchOutlook batch, Season season, LocalDate today) {
        boolean stoodThere = batch.file().state().placements().stream()
                .reduce((earlier, later) -> later)
                .filter(last -> last.from().isBefore(today))
                .isPresent();
        boolean noted = batch.file().state().changes().stream()
                .anyMatch(change -> change.change() instanceof BatchChange.Lost
                        && change.day().equals(today));
        return stoodThere && !noted
                ? batch.night(season, today).filter(NightOut::isTooCold).map(NightOut::minimum)
                : Optional.empty();
    }

    /** A batch that will not stand the coming night where it stands. */
    public record EveningTask(BatchOutlook batch, PlaceId place, NightOut night) {

        /** Plants likely lost when nothing is done. */
        public double likelyLoss() {
            return batch.file().plantsAlive() * night.likelyLoss();
        }
    }

    /** What must come in or be covered this evening and has not been, the worst loss first. */
    public List<EveningTask> evening() {
        LocalDate today = clock.today();
        Season season = seasons.season(today);
        Set<Integer> safe = evenings.safeOn(today);
        return analyst.all().stream()
                .filter(batch -> batch.lossTonight() > 0
                        && !safe.contains(batch.file().batch().number()))
                .map(batch -> new EveningTask(
                        batch,
                        batch.file().state().place().orElseThrow(),
                        batch.night(season, today.plusDays(1)).orElseThrow()))
                .sorted(Comparator.comparingDouble(EveningTask::likelyLoss).reversed())
                .toList();
    }

    private BatchSituation situation(
            BatchOutlook batch,
            Optional<DayAhead> outside,
            Optional<LocalDate> soakedOn,
            Optional<FeedClock> feed,
            Optional<Double> frostToLookFor) {
        BatchState state = batch.file().state();
        Outing advice = outside.map(day -> HardeningAhead.outing(
                        batch, seasons.season().place(batch.way().hardening()), day, state.hardeningDays()))
                .orElse(HardeningAhead.AS_PLANNED);
        return new BatchSituation(batch, lastSowDay(batch), advice, soakedOn, feed, frostToLookFor);
    }

    /** Looked up only where the round says it: for what is due to be sown, or short. */
    private Optional<LocalDate> lastSowDay(BatchOutlook analysis) {
        boolean said = !analysis.file().batch().sowDay().isAfter(clock.today())
                && (analysis.file().state().sownOn().isEmpty()
                        || analysis.emerging().verdict() == EmergenceVerdict.FAILING
                        || analysis.stage() == BatchStage.FAILED);
        return said ? lastSowDays.last(analysis) : Optional.empty();
    }
}
