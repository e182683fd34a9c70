package kiver.server.potting;

import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.media.Recipe;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.PlaceId;
import kiver.core.pot.PottingDay;
import kiver.core.pot.PottingNeeds;
import kiver.core.space.Occupancy;
import kiver.core.today.TaskKind;
import kiver.core.today.WorkPace;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.media.MediaBook;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.space.SpaceBook;
import kiver.server.stock.MixLot;
import kiver.server.stock.Shed;
import kiver.server.stock.StockLedger;
import kiver.server.today.RoundService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The plan for a morning of potting. */
@RestController
class PottingDayController {

    /** What comes due within so many days may be potted along. */
    private static final int DAYS_ALONG = 5;

    private final BatchAnalyst analyst;
    private final RoundService round;
    private final PottingAhead ahead;
    private final Shed shed;
    private final StockLedger stock;
    private final MediaBook media;
    private final SpaceBook space;
    private final SeasonService seasons;
    private final NurseryClock clock;

    PottingDayController(
            BatchAnalyst analyst,
            RoundService round,
            PottingAhead ahead,
            Shed shed,
            StockLedger stock,
            MediaBook media,
            SpaceBook space,
            SeasonService seasons,
            NurseryClock clock) {
        this.analyst = analyst;
        this.round = round;
        this.ahead = ahead;
        this.shed = shed;
        this.stock = stock;
        this.media = media;
        this.space = space;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * A batch that could be potted.
     *
     * @param due whether it wants to be today; otherwise it may come along
     * @param from day on which it has the leaves for it; missing where its roots alone ask for it
     * @param by last day on which it should go on; missing where that is not in sight
     */
    record PottableView(
            int batch,
            String variety,
            String crop,
            int plants,
            boolean due,
            @Nullable LocalDate from,
            @Nullable LocalDate by) {}

    /**
     * A batch in its turn.
     *
     * @param changesPots whether other pots than before are fetched
     * @param fromMinute after the beginning
     * @param untilMinute after the beginning
     * @param litres of loose mix
     * @param slotsBefore bench room that comes free, in trays
     * @param slotsAfter bench room that the pots take, in trays
     */
    record PottingStep(
            int batch,
            String variety,
            String crop,
            String standsIn,
            String into,
            List<Integer> trays,
            int plants,
            int carriers,
            boolean changesPots,
            double fromMinute,
            double untilMinute,
            double litres,
            double slotsBefore,
            double slotsAfter,
            String place) {}

    /** Pots of a kind that the morning takes, and what is in the shed; missing where nobody counted. */
    record PotsView(
            ContainerCode container,
            String name,
            int pieces,
            @Nullable Integer inShed) {}

    /** A batch that stands where pots are to go and is due to leave. */
    record LeavingView(int batch, String variety, TaskKind task, double slots) {}

    /**
     * A place that pots are put down in.
     *
     * @param free room there today, in trays
     * @param more room that the pots take there beyond what they free, in trays
     * @param leaving what could go first, where that is more than is free
     */
    record PottingRoom(long placeId, String place, double free, double more, List<LeavingView> leaving) {}

    /**
     * The morning.
     *
     * @param pottable all that could be potted, those of it that want to be today first
     * @param minutes until the last is done with so many hands
     * @param mixLitres of loose mix in all
     * @param mixThere litres of made potting mix in the store
     * @param labels one for each carrier
     */
    record PottingDayView(
            LocalDate today,
            int hands,
            List<PottableView> pottable,
            List<PottingStep> steps,
            double minutes,
            double mixLitres,
            double mixThere,
            int labels,
            List<PotsView> pots,
            List<PottingRoom> rooms) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/potting-day")
    PottingDayView day(
            @RequestParam(defaultValue = "1")
                    @Min(value = 1, message = "At least one pair of hands is needed.")
                    @Max(value = 50, message = "At most 50 pairs of hands.")
                    int hands,
            @RequestParam(required = false) @Nullable List<Integer> batches) {
        LocalDate today = clock.today();
        Map<Integer, Pottable> pottable = pottable(today);
        List<Pottable> chosen = pottable.values().stream()
                .filter(each -> batches == null
                        ? each.due()
                        : batches.contains(each.batch().number()))
                .toList();
        WorkPace pace = ahead.pace();
        PottingDay day = PottingDay.of(
                chosen.stream()
                        .map(each -> new PottingDay.Piece(
                                each.batch().number(),
                                each.batch().crop().code(),
                                each.needs(),
                                ahead.minutes(each.needs(), pace),
                                each.batch().rooting().potBy()))
                        .toList(),
                hands);
        List<PottingStep> steps = day.steps().stream()
                .map(step -> view(step, pottable.get(step.piece().batch())))
                .toList();
        return new PottingDayView(
                today,
                hands,
                pottable.values().stream().map(PottingDayController::view).toList(),
                steps,
                day.minutes(),
                steps.stream().mapToDouble(PottingStep::litres).sum(),
                pottingMix(),
                chosen.stream().mapToInt(each -> each.needs().carriers()).sum(),
                pots(chosen),
                rooms(chosen, today));
    }

    /** A batch with what it would take. */
    private record Pottable(BatchOutlook batch, PottingAhead.Waiting waiting, PottingNeeds needs, boolean due) {}

    private Map<Integer, Pottable> pottable(LocalDate today) {
        Map<Integer, Pottable> due = new LinkedHashMap<>();
        Map<Integer, Pottable> along = new LinkedHashMap<>();
        List<Integer> asked = round.stops().stream()
                .filter(stop -> stop.tasks().stream().anyMatch(task -> task.kind() == TaskKind.POT_ON))
                .map(stop -> stop.batch().number())
                .toList();
        for (BatchOutlook batch : analyst.all()) {
            Optional<PottingAhead.Waiting> waiting = ahead.waiting(batch);
            Optional<Container> next = waiting.flatMap(each -> PottingAhead.next(batch, each));
            boolean now = asked.contains(batch.number());
            boolean soon = PottingAhead.from(batch)
                    .filter(from -> !from.isAfter(today.plusDays(DAYS_ALONG)))
                    .isPresent();
            if (next.isPresent() && (now || soon)) {
                Pottable each = new Pottable(batch, waiting.get(), PottingAhead.needs(waiting.get(), next.get()), now);
                (now ? due : along).put(batch.number(), each);
            }
        }
        due.putAll(along);
        return due;
    }

    private static PottableView view(Pottable each) {
        return new PottableView(
                each.batch().number(),
                each.batch().file().batch().variety(),
                each.batch().crop().name(),
                each.needs().plants(),
                each.due(),
                PottingAhead.from(each.batch()).orElse(null),
                each.batch().rooting().potBy().orElse(null));
    }

    private PottingStep view(PottingDay.Step step, Pottable each) {
        PottingNeeds needs = each.needs();
        return new PottingStep(
                each.batch().number(),
                each.batch().file().batch().variety(),
                each.batch().crop().name(),
                needs.from().name(),
                needs.into().name(),
                ahead.numbers(each.waiting()),
                needs.plants(),
                needs.carriers(),
                step.changesPots(),
                step.from(),
                step.until(),
                ahead.litres(needs),
                needs.slotsBefore(),
                needs.slotsAfter(),
                seasons.season().place(each.batch().way().growingOn()).name());
    }

    private double pottingMix() {
        List<Recipe> potting = media.recipes().stream()
                .map(kept -> kept.recipe())
                .filter(recipe -> recipe.use() == Recipe.Use.POTTING)
                .toList();
        return stock.mixes().stream()
                .filter(mix -> potting.stream().anyMatch(recipe -> recipe.code().equals(mix.recipe())))
                .mapToDouble(MixLot::litres)
                .filter(litres -> litres > 0)
                .sum();
    }

    private List<PotsView> pots(List<Pottable> chosen) {
        Map<ContainerCode, Integer> inShed = shed.pieces();
        Map<ContainerCode, List<PottingNeeds>> byPot = chosen.stream()
                .map(Pottable::needs)
                .collect(Collectors.groupingBy(needs -> needs.into().code(), LinkedHashMap::new, Collectors.toList()));
        return byPot.entrySet().stream()
                .map(each -> new PotsView(
                        each.getKey(),
                        each.getValue().get(0).into().name(),
                        each.getValue().stream().mapToInt(PottingNeeds::pieces).sum(),
                        inShed.get(each.getKey())))
                .toList();
    }

    /** Where the pots will stand, and what could make room there. */
    private List<PottingRoom> rooms(List<Pottable> chosen, LocalDate today) {
        Occupancy occupancy = space.occupancy();
        Map<PlaceId, Double> more = new LinkedHashMap<>();
        for (Pottable each : chosen) {
            PlaceId goal = each.batch().way().growingOn();
            more.merge(goal, each.needs().slotsAfter(), Double::sum);
            each.batch().file().state().place().ifPresent(here -> {
                if (here.equals(goal)) {
                    more.merge(goal, -each.needs().slotsBefore(), Double::sum);
                }
            });
        }
        List<PottingRoom> rooms = new ArrayList<>();
        more.forEach((place, slots) -> {
            // What stands there today is what counts: the plan has the pots in it already.
            double free = seasons.season().place(place).slots() - occupancy.used(place)[0];
            rooms.add(new PottingRoom(
                    place.number(),
                    seasons.season().place(place).name(),
                    free,
                    slots,
                    slots > free ? leaving(place, occupancy, today) : List.of()));
        });
        return rooms;
    }

    private List<LeavingView> leaving(PlaceId place, Occupancy occupancy, LocalDate today) {
        Map<Integer, Double> slots = occupancy.standingAt(place, today).stream()
                .collect(Collectors.toMap(Occupancy.StandingThere::batch, Occupancy.StandingThere::slots, Double::sum));
        List<LeavingView> leaving = new ArrayList<>();
        for (RoundService.Stop stop : round.stops()) {
            BatchOutlook batch = stop.batch();
            boolean ready = batch.stage() == BatchStage.READY;
            Optional<TaskKind> task = stop.tasks().stream()
                    .map(each -> each.kind())
                    .filter(kind -> kind == TaskKind.MOVE_TO_GROW_ON
                            || kind == TaskKind.START_HARDENING
                            || kind == TaskKind.RELEASE
                            || kind == TaskKind.CLEAR_SPARES)
                    .findFirst()
                    .or(() -> ready ? Optional.of(TaskKind.RELEASE) : Optional.empty());
            if (stop.place().equals(place) && task.isPresent() && slots.containsKey(batch.number())) {
                leaving.add(new LeavingView(
                        batch.number(), batch.file().batch().variety(), task.get(), slots.get(batch.number())));
            }
        }
        return leaving;
    }
}
