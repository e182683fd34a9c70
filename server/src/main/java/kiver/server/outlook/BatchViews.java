package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.RecordedChange;
import kiver.core.emerge.ExpectedShare;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.HardeningAhead;
import kiver.core.place.PlaceId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Component;

/** Puts what is known of batches into the form the screens show. */
@Component
public class BatchViews {

    private static final int MOST_CURVE_DAYS = 60;

    private final SeasonService seasons;
    private final TrayBook trays;
    private final SeedStore seeds;
    private final BatchBook batches;
    private final LastSowDays lastSowDays;

    BatchViews(SeasonService seasons, TrayBook trays, SeedStore seeds, BatchBook batches, LastSowDays lastSowDays) {
        this.seasons = seasons;
        this.trays = trays;
        this.seeds = seeds;
        this.batches = batches;
        this.lastSowDays = lastSowDays;
    }

    /** Puts batches in one line each; what all of them need is looked up once. */
    public Function<BatchOutlook, BatchSummary> summarising() {
        Season season = seasons.season();
        LocalDate today = seasons.today();
        Map<TrayId, Integer> numbers = trays.all().stream().collect(Collectors.toMap(Tray::trayId, Tray::number));
        return batch -> BatchSummary.of(batch, season, trayNumbers(batch, numbers), today);
    }

    /** A batch with everything the screens show of it. */
    public BatchView view(BatchOutlook outlook) {
        return new BatchView(
                summarising().apply(outlook),
                layout(outlook),
                from(outlook),
                plan(outlook),
                places(outlook),
                hardening(outlook),
                emergence(outlook),
                new BatchView.GrowthView(
                        outlook.leavesNow(), outlook.leggy(), outlook.standing().pottingsDone()),
                new BatchView.ChancesView(
                        outlook.chances().enough(),
                        outlook.forecast().chanceOnTarget(),
                        1 - outlook.lossTonight(),
                        outlook.file().stillWanted(),
                        Math.exp(outlook.journey().paces().emergence().logMean()),
                        outlook.crop().leaves().taught().longerAt(outlook.way().growingOn())),
                outlook.crop().planting().caution(),
                changes(outlook, seasons.season()));
    }

    private BatchView.Layout layout(BatchOutlook outlook) {
        return new BatchView.Layout(
                runs(outlook),
                runViews(outlook.file().toSow()),
                outlook.container().name(),
                outlook.file().batch().containerCodes(),
                living(outlook.file().state()));
    }

    private BatchView.RaisedFrom from(BatchOutlook outlook) {
        Batch batch = outlook.file().batch();
        SeedLot lot = seeds.lot(outlook.file().lotSown());
        return new BatchView.RaisedFrom(
                lot.code(),
                lot.id().number(),
                lot.supplier(),
                outlook.crop().seed().depth(),
                outlook.crop().seed().needsLight(),
                boughtIn(batch));
    }

    private BatchView.PlannedView plan(BatchOutlook outlook) {
        Batch batch = outlook.file().batch();
        return new BatchView.PlannedView(
                batch.sowDay(),
                lastSowDays.last(outlook).orElse(null),
                batch.seedsPerCell(),
                batch.cells(),
                batch.cellsNeeded(),
                batch.stage().from(),
                batch.stage().to(),
                outlook.file().accepted(),
                outlook.file().countsSeedlings(),
                batch.planVersion());
    }

    private BatchView.Places places(BatchOutlook outlook) {
        Way way = outlook.file().batch().way();
        BatchState state = outlook.file().state();
        return new BatchView.Places(
                named(way.emergence()),
                named(way.growingOn()),
                named(way.hardening()),
                state.place().map(PlaceId::number).orElse(null),
                state.placements().stream()
                        .map(stay -> new BatchView.StayView(named(stay.place()).name(), stay.from()))
                        .toList());
    }

    private BatchView.NamedPlace named(PlaceId place) {
        return new BatchView.NamedPlace(
                place.number(), seasons.season().place(place).name());
    }

    private BatchView.HardeningView hardening(BatchOutlook outlook) {
        BatchState state = outlook.file().state();
        HardeningProgramme programme = outlook.file().batch().hardeningProgramme();
        return new BatchView.HardeningView(
                programme.code(),
                programme.name(),
                state.hardeningStartedOn().isPresent() ? state.programmeDays() : programme.days(),
                HardeningAhead.programme(outlook).on(state.hardeningDays() + 1).hours(),
                state.hardeningDays(),
                state.hardeningStartedOn().orElse(null),
                heldUntil(outlook).orElse(null));
    }

    private static BatchView.EmergenceView emergence(BatchOutlook outlook) {
        BatchState state = outlook.file().state();
        return new BatchView.EmergenceView(
                outlook.emerging().expectedUp(),
                outlook.emerging().expectedAtCount(),
                state.emerged(),
                state.isCompletelyCounted(),
                curve(outlook),
                state.cellsUp().entrySet().stream()
                        .map(count -> new BatchView.CountPoint(count.getKey(), count.getValue()))
                        .toList(),
                outlook.crop().sources().emergence());
    }

    private @Nullable BatchView.BoughtIn boughtIn(Batch batch) {
        return batch.isBoughtIn()
                ? new BatchView.BoughtIn(
                        batch.leavesOnArrival(), seeds.priceOf(batch.lot()).orElse(null))
                : null;
    }

    /** When hardening begins, for plants that have their leaves and wait for it inside. */
    private Optional<LocalDate> heldUntil(BatchOutlook analysis) {
        LocalDate today = seasons.today();
        LocalDate start = analysis.forecast()
                .hardeningFrom()
                .orElse(analysis.file().batch().target());
        boolean grown = analysis.stage() == BatchStage.GROWING_ON
                && analysis.forecast()
                        .stageReached()
                        .map(spread -> !spread.middle().isAfter(today))
                        .orElse(false);
        return grown && start.isAfter(today) ? Optional.of(start) : Optional.empty();
    }

    private static List<Integer> trayNumbers(BatchOutlook batch, Map<TrayId, Integer> numbers) {
        TreeSet<Integer> own = new TreeSet<>();
        batch.file().state().trays().forEach(tray -> own.add(numbers.get(tray)));
        batch.file().toSow().forEach(run -> own.add(numbers.get(run.tray())));
        return List.copyOf(own);
    }

    /** The cells it was sown in, then those it was potted on into, then what went over into trays of its own. */
    private List<BatchView.RunView> runs(BatchOutlook batch) {
        BatchState state = batch.file().state();
        List<CellRun> runs = new ArrayList<>(
                state.sowings().values().stream().map(each -> each.sown().run()).toList());
        state.arrivals().values().forEach(arrival -> runs.add(arrival.plants().run()));
        state.changes().stream()
                .filter(change -> !state.isCorrected(change.sequence()))
                .map(RecordedChange::change)
                .filter(BatchChange.PottedOn.class::isInstance)
                .forEach(change -> runs.add(((BatchChange.PottedOn) change).into()));
        runs.removeIf(run -> !state.trays().contains(run.tray()));
        Set<TrayId> told = runs.stream().map(CellRun::tray).collect(Collectors.toSet());
        state.trays().stream()
                .filter(tray -> !told.contains(tray))
                .forEach(tray -> state.spanIn(tray).ifPresent(runs::add));
        return runViews(state.sownOn().isEmpty() ? batch.file().runs() : runs);
    }

    private List<BatchView.RunView> runViews(List<CellRun> runs) {
        return runs.stream()
                .map(run -> new BatchView.RunView(number(run.tray()), run.first(), run.last()))
                .toList();
    }

    private List<BatchView.TrayPlants> living(BatchState state) {
        return state.trays().stream()
                .map(tray -> {
                    Tray numbered = trays.tray(tray);
                    return new BatchView.TrayPlants(
                            numbered.number(),
                            state.cellsIn(tray, CellCondition.ALIVE).size(),
                            numbered.container(),
                            state.gradeOf(tray),
                            state.placeOf(tray)
                                    .map(place -> seasons.season().place(place).name())
                                    .orElse(null));
                })
                .filter(tray -> tray.plants() > 0)
                .toList();
    }

    private int number(TrayId tray) {
        return trays.tray(tray).number();
    }

    /** From sowing until nearly all should be up, a little past today at least. */
    private static List<BatchView.CurvePoint> curve(BatchOutlook batch) {
        List<BatchView.CurvePoint> curve = new ArrayList<>();
        if (batch.emerging().course().isEmpty() || batch.emerging().watch().isEmpty()) {
            return curve;
        }
        double enough = batch.crop().emergence().progressWhen(0.99) * 1.2;
        LocalDate day = batch.file().state().sownOn().orElseThrow();
        for (int count = 0; count < MOST_CURVE_DAYS; count++) {
            double progress = batch.emerging().course().get().emergenceProgressUntil(day);
            ExpectedShare expected = batch.emerging().watch().get().expectedAt(progress);
            curve.add(new BatchView.CurvePoint(day, expected.low(), expected.middle(), expected.high()));
            if (progress > enough) {
                break;
            }
            day = day.plusDays(1);
        }
        return curve;
    }

    private List<BatchView.ChangeView> changes(BatchOutlook batch, Season season) {
        Map<Integer, BatchBook.Author> authors = batches.authors(batch.file().batch());
        ChangeWords words = new ChangeWords(
                place -> season.place(place).name(),
                tray -> trays.tray(tray).code(),
                lot -> seeds.lot(lot).code());
        return batch.file().state().changes().stream()
                .map(change -> new BatchView.ChangeView(
                        change.sequence(),
                        change.day(),
                        change.time().map(LocalTime::toString).orElse(null),
                        words.of(change.change()),
                        authors.get(change.sequence()).name(),
                        authors.get(change.sequence()).device().orElse(null),
                        batch.file().state().isCorrected(change.sequence()),
                        change.change() instanceof BatchChange.Corrected))
                .toList();
    }
}
