package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
import kiver.core.place.PlaceId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
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

    BatchViews(
            SeasonService seasons, TrayBook trays, SeedStore seeds, BatchBook batches, LastSowDays lastSowDays) {
        this.seasons = seasons;
        this.trays = trays;
        this.seeds = seeds;
        this.batches = batches;
        this.lastSowDays = lastSowDays;
    }

    /** A run of cells of one tray. */
    public record RunView(int tray, int firstCell, int lastCell) {}

    /** Living plants in a tray, and the code of what that tray is. */
    public record TrayPlants(int tray, int plants, String container, @Nullable String place) {}

    /** One point of the emergence expected, in cells. */
    public record CurvePoint(LocalDate day, double low, double middle, double high) {}

    /** What a day's count found. */
    public record CountPoint(LocalDate day, int cells) {}

    /**
     * Something that was recorded.
     *
     * @param time of day at which it happened, hours and minutes, where it is known
     * @param device on which it was entered, where that is known
     */
    public record ChangeView(
            int sequence, LocalDate day, @Nullable String time, Said words, String by, @Nullable String device,
            boolean corrected, boolean isCorrection) {}

    /** A stay at a place. */
    public record StayView(String place, LocalDate from) {}

    /**
     * How the plants of a batch came that were raised elsewhere.
     *
     * @param leaves true leaves on arrival
     * @param price of one plant, in the nursery's own money
     */
    public record BoughtIn(double leaves, @Nullable Double price) {}

    /**
     * What it lies in.
     *
     * @param runs of cells it was sown in and potted on into
     * @param toSow runs still to be sown
     * @param container its plants are handed over in, by name
     * @param containers codes of those it passes
     * @param living plants by tray
     */
    public record Layout(
            List<RunView> runs, List<RunView> toSow, String container, List<String> containers, List<TrayPlants> living) {}

    /**
     * What it is raised from.
     *
     * @param lot code
     * @param lotId in the database
     * @param supplier of it
     * @param depth at which it is sown, mm
     * @param needsLight to come up
     * @param boughtIn how its plants came; missing where seed was sown
     */
    public record RaisedFrom(
            String lot, long lotId, String supplier, double depth, boolean needsLight, @Nullable BoughtIn boughtIn) {}

    /**
     * How it is meant to be grown.
     *
     * @param sowDay planned
     * @param latestSowDay last safe day for the day on which it is wanted now
     * @param accepted fewest plants that are enough
     * @param countsSeedlings whether its number counts the seedlings of its clumps
     * @param version how often its plan was changed
     */
    public record PlannedView(
            LocalDate sowDay, @Nullable LocalDate latestSowDay, int seedsPerCell, int cells, int cellsNeeded, int leavesFrom,
            int leavesTo, int accepted, boolean countsSeedlings, int version) {}

    /** The places it is to pass through, the one where it is now, and those where it stood. */
    public record Places(
            NamedPlace emergence, NamedPlace growingOn, NamedPlace hardening, @Nullable Long now, List<StayView> stays) {}

    /** A place by its name. */
    public record NamedPlace(long id, String name) {}

    /**
     * Its hardening.
     *
     * @param days it has had
     * @param programmeDays it takes
     * @param heldUntil when it begins, for plants that have their leaves and wait for it inside
     */
    public record HardeningView(
            String programme, int programmeDays, int days, @Nullable LocalDate startedOn, @Nullable LocalDate heldUntil) {}

    /**
     * Its emergence, in cells.
     *
     * @param expectedUp by this morning
     * @param expectedAtCount by the day of the last count
     * @param up in which something was seen
     * @param completelyCounted whether no more is waited for
     * @param source of what is known of the crop
     */
    public record EmergenceView(
            double expectedUp, double expectedAtCount, int up, boolean completelyCounted, List<CurvePoint> curve,
            List<CountPoint> counts, String source) {}

    /** How far its plants are. */
    public record GrowthView(double leavesNow, boolean leggy, int pottingsDone) {}

    /** How likely there are enough plants, and that they are ready in time; 0 to 1. */
    public record ChancesView(double enough, double inTime) {}

    /** A batch with everything the screens show of it. */
    public record BatchView(
            BatchSummary summary, Layout layout, RaisedFrom from, PlannedView plan, Places places, HardeningView hardening,
            EmergenceView emergence, GrowthView growth, ChancesView chances, String caution, List<ChangeView> changes) {}

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
                summarising().apply(outlook), layout(outlook), from(outlook), plan(outlook), places(outlook), hardening(outlook),
                emergence(outlook),
                new GrowthView(outlook.leavesNow(), outlook.leggy(), outlook.standing().pottingsDone()),
                new ChancesView(outlook.chances().enough(), outlook.forecast().chanceOnTarget()),
                outlook.crop().planting().caution(), changes(outlook, seasons.season()));
    }

    private Layout layout(BatchOutlook outlook) {
        return new Layout(
                runs(outlook), runViews(outlook.file().toSow()), outlook.container().name(),
                outlook.file().batch().containerCodes(), living(outlook.file().state()));
    }

    private RaisedFrom from(BatchOutlook outlook) {
        Batch batch = outlook.file().batch();
        SeedLot lot = seeds.lot(outlook.file().lotSown());
        return new RaisedFrom(
                lot.code(), lot.id(), lot.supplier(), outlook.crop().seed().depth(), outlook.crop().seed().needsLight(),
                boughtIn(batch));
    }

    private PlannedView plan(BatchOutlook outlook) {
        Batch batch = outlook.file().batch();
        return new PlannedView(
                batch.sowDay(), lastSowDays.last(outlook).orElse(null), batch.seedsPerCell(), batch.cells(), batch.cellsNeeded(),
                batch.stage().from(), batch.stage().to(), outlook.file().accepted(), outlook.file().countsSeedlings(),
                batch.planVersion());
    }

    private Places places(BatchOutlook outlook) {
        Way way = outlook.file().batch().way();
        BatchState state = outlook.file().state();
        return new Places(
                named(way.emergence()), named(way.growingOn()), named(way.hardening()),
                state.place().map(PlaceId::number).orElse(null),
                state.placements().stream().map(stay -> new StayView(named(stay.place()).name(), stay.from())).toList());
    }

    private NamedPlace named(PlaceId place) {
        return new NamedPlace(place.number(), seasons.season().place(place).name());
    }

    private HardeningView hardening(BatchOutlook outlook) {
        BatchState state = outlook.file().state();
        HardeningProgramme programme = outlook.file().batch().hardeningProgramme();
        return new HardeningView(
                programme.name(), state.hardeningStartedOn().isPresent() ? state.programmeDays() : programme.days(),
                state.hardeningDays(), state.hardeningStartedOn().orElse(null), heldUntil(outlook).orElse(null));
    }

    private static EmergenceView emergence(BatchOutlook outlook) {
        BatchState state = outlook.file().state();
        return new EmergenceView(
                outlook.emerging().expectedUp(), outlook.emerging().expectedAtCount(), state.emerged(),
                state.isCompletelyCounted(), curve(outlook),
                state.cellsUp().entrySet().stream()
                        .map(count -> new CountPoint(count.getKey(), count.getValue()))
                        .toList(),
                outlook.crop().sources().emergence());
    }

    private @Nullable BoughtIn boughtIn(Batch batch) {
        return batch.isBoughtIn()
                ? new BoughtIn(batch.leavesOnArrival(), seeds.priceOf(batch.lotId()).orElse(null))
                : null;
    }

    /** When hardening begins, for plants that have their leaves and wait for it inside. */
    private Optional<LocalDate> heldUntil(BatchOutlook analysis) {
        LocalDate today = seasons.today();
        LocalDate start = analysis.file().batch().target().minusDays(analysis.file().batch().hardeningProgramme().days());
        boolean grown = analysis.stage() == BatchStage.GROWING_ON
                && analysis.forecast().stageReached().map(spread -> !spread.middle().isAfter(today)).orElse(false);
        return grown && start.isAfter(today) ? Optional.of(start) : Optional.empty();
    }

    private static List<Integer> trayNumbers(BatchOutlook batch, Map<TrayId, Integer> numbers) {
        TreeSet<Integer> own = new TreeSet<>();
        batch.file().state().trays().forEach(tray -> own.add(numbers.get(tray)));
        batch.file().toSow().forEach(run -> own.add(numbers.get(run.tray())));
        return List.copyOf(own);
    }

    /** The cells it was sown in, then those it was potted on into. */
    private List<RunView> runs(BatchOutlook batch) {
        BatchState state = batch.file().state();
        List<CellRun> runs = new ArrayList<>(state.sowings().values().stream().map(each -> each.sown().run()).toList());
        state.arrivals().values().forEach(arrival -> runs.add(arrival.plants().run()));
        state.changes().stream()
                .filter(change -> !state.isCorrected(change.sequence()))
                .map(RecordedChange::change)
                .filter(BatchChange.PottedOn.class::isInstance)
                .forEach(change -> runs.add(((BatchChange.PottedOn) change).into()));
        runs.removeIf(run -> !state.trays().contains(run.tray()));
        return runViews(state.sownOn().isEmpty() ? batch.file().runs() : runs);
    }

    private List<RunView> runViews(List<CellRun> runs) {
        return runs.stream()
                .map(run -> new RunView(number(run.tray()), run.first(), run.last()))
                .toList();
    }

    private List<TrayPlants> living(BatchState state) {
        return state.trays().stream()
                .map(tray -> {
                    Tray numbered = trays.tray(tray);
                    return new TrayPlants(
                            numbered.number(), state.cellsIn(tray, CellCondition.ALIVE).size(), numbered.container(),
                            state.placeOf(tray).map(place -> seasons.season().place(place).name()).orElse(null));
                })
                .filter(tray -> tray.plants() > 0)
                .toList();
    }

    private int number(TrayId tray) {
        return trays.tray(tray).number();
    }

    /** From sowing until nearly all should be up, a little past today at least. */
    private static List<CurvePoint> curve(BatchOutlook batch) {
        List<CurvePoint> curve = new ArrayList<>();
        if (batch.emerging().course().isEmpty() || batch.emerging().watch().isEmpty()) {
            return curve;
        }
        double enough = batch.crop().emergence().progressWhen(0.99) * 1.2;
        LocalDate day = batch.file().state().sownOn().orElseThrow();
        for (int count = 0; count < MOST_CURVE_DAYS; count++) {
            double progress = batch.emerging().course().get().emergenceProgressUntil(day);
            ExpectedShare expected = batch.emerging().watch().get().expectedAt(progress);
            curve.add(new CurvePoint(day, expected.low(), expected.middle(), expected.high()));
            if (progress > enough) {
                break;
            }
            day = day.plusDays(1);
        }
        return curve;
    }

    private List<ChangeView> changes(BatchOutlook batch, Season season) {
        Map<Integer, BatchBook.Author> authors = batches.authors(batch.file().batch());
        ChangeWords words = new ChangeWords(
                place -> season.place(place).name(),
                tray -> trays.tray(tray).code(),
                lot -> seeds.lot(lot).code());
        return batch.file().state().changes().stream()
                .map(change -> new ChangeView(
                        change.sequence(), change.day(), change.time().map(LocalTime::toString).orElse(null),
                        words.of(change.change()), authors.get(change.sequence()).name(),
                        authors.get(change.sequence()).device().orElse(null),
                        batch.file().state().isCorrected(change.sequence()),
                        change.change() instanceof BatchChange.Corrected))
                .toList();
    }
}
