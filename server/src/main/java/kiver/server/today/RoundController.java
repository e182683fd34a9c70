package kiver.server.today;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterSeen;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.space.Occupancy;
import kiver.core.today.RoundTask;
import kiver.core.today.TaskKind;
import kiver.core.today.Urgency;
import kiver.core.today.WhyNow;
import kiver.core.today.WorkPace;
import kiver.core.tray.CellRun;
import kiver.core.weather.DailyRange;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import kiver.server.light.PlaceLightView;
import kiver.server.light.PlaceLights;
import kiver.server.light.PlaceWarningView;
import kiver.server.light.Warmth;
import kiver.server.outlook.BatchSummary;
import kiver.server.outlook.BatchViews;
import kiver.server.outlook.EveningBook;
import kiver.server.place.NamedPlace;
import kiver.server.place.PlaceBook;
import kiver.server.promise.InPlaceBook;
import kiver.server.space.SpaceBook;
import kiver.server.water.WaterRound;
import kiver.server.weather.WeatherBook;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The round, place by place. */
@RestController
class RoundController {

    private final RoundService round;
    private final PlaceBook places;
    private final BatchViews views;
    private final WeatherBook weather;
    private final NurseryClock clock;
    private final SpaceBook space;
    private final EveningBook evenings;
    private final InPlaceBook inPlace;
    private final TaskMarks marks;
    private final HandsBook hands;
    private final Warmth warmth;
    private final PlaceLights lights;
    private final WaterRound water;

    RoundController(
            RoundService round,
            PlaceBook places,
            BatchViews views,
            WeatherBook weather,
            NurseryClock clock,
            SpaceBook space,
            EveningBook evenings,
            InPlaceBook inPlace,
            TaskMarks marks,
            HandsBook hands,
            Warmth warmth,
            PlaceLights lights,
            WaterRound water) {
        this.warmth = warmth;
        this.lights = lights;
        this.water = water;
        this.marks = marks;
        this.hands = hands;
        this.inPlace = inPlace;
        this.round = round;
        this.places = places;
        this.views = views;
        this.weather = weather;
        this.clock = clock;
        this.space = space;
        this.evenings = evenings;
    }

    /**
     * A piece of work, with the reason for it.
     *
     * @param minutes of one pair of hands, about
     * @param handedToId who is to do it; missing for anyone
     * @param handedTo by name
     * @param done whether it was ticked off today
     * @param putOffUntil the day to which it was put off; missing for what is to be done today
     */
    record TaskView(
            TaskKind kind,
            Urgency urgency,
            WhyNow why,
            double minutes,
            @Nullable Long handedToId,
            @Nullable String handedTo,
            boolean done,
            @Nullable LocalDate putOffUntil) {}

    /** A batch with what is to be done with it. */
    record BatchWork(BatchSummary batch, List<TaskView> tasks) {}

    /**
     * A stop on the round.
     *
     * @param caution that goes with work here; missing where an earlier stop said it
     * @param warnings what its thermometers showed and somebody should see to
     */
    record StopView(
            long placeId,
            String place,
            int slots,
            double slotsTaken,
            @Nullable Double lastMinimum,
            @Nullable Double lastMaximum,
            @Nullable Double setMinimum,
            @Nullable Double setMaximum,
            List<BatchWork> work,
            int quietBatches,
            @Nullable String caution,
            List<PlaceWarningView> warnings,
            PlaceLightView light,
            StopWater water) {}

    /**
     * Trays at a stop by what they want: numbers of those that want water and how, a look; and how many are left alone.
     *
     * @param again those that may not last until tomorrow's round
     * @param againFrom when the first of them comes to its mark; missing where all last
     */
    record StopWater(
            List<Integer> below,
            List<Integer> above,
            List<Integer> spray,
            List<Integer> look,
            int leave,
            List<Integer> again,
            @Nullable LocalDateTime againFrom) {}

    /** A day's temperatures. */
    record DayRange(LocalDate day, double minimum, double maximum) {}

    /** Plants that will not stand the coming night where they are, with the temperatures of the place and of the crop. */
    record EveningView(
            int batch,
            String variety,
            String place,
            List<Integer> trays,
            int plants,
            double tonight,
            double floor,
            double likelyLoss) {}

    /**
     * The round of a day.
     *
     * @param forecast of the days to come
     * @param estimated whether nobody measures the weather
     * @param evening what must come in or be covered before night
     * @param seedToGo seed that is to be with growers soon, to be sown in place
     * @param stops in walking order
     */
    record RoundView(
            LocalDate today,
            List<DayRange> forecast,
            boolean estimated,
            List<EveningView> evening,
            List<InPlaceBook.SeedToGo> seedToGo,
            List<StopView> stops) {}

    /** What was done about a night. */
    record EveningEntry(
            @NotNull(message = "Say which batch.") Integer batch,
            @NotNull(message = "Say what was done.") EveningBook.Done done) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/round/evening")
    @Transactional
    public void tick(@Valid @RequestBody EveningEntry entry, @AuthenticationPrincipal Person person) {
        evenings.tick(clock.today(), entry.batch(), entry.done(), person.id());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/round")
    RoundView round() {
        LocalDate today = clock.today();
        List<RoundService.Stop> all = round.stops();
        var readings = places.readings(today.minusDays(1));
        Function<BatchOutlook, BatchSummary> summary = views.summarising();
        Occupancy occupancy = space.occupancy();
        WorkPace pace = hands.pace();
        Map<TaskMarks.Key, TaskMarks.Mark> noted = marks.all();
        Set<String> cautioned = new HashSet<>();
        Map<PlaceId, List<PlaceWarningView>> warnings = warmth.warnings();
        Map<PlaceId, PlaceLightView> light = lights.all();
        Map<PlaceId, List<WaterRound.Called>> calls = water.calls().stream()
                .collect(Collectors.groupingBy(
                        called -> called.standing().group().place()));
        List<StopView> stops = new ArrayList<>();
        for (NamedPlace named : places.placesWithCautions()) {
            var place = named.place();
            List<RoundService.Stop> here =
                    all.stream().filter(stop -> stop.place().equals(place.id())).toList();
            DailyRange read = readings.getOrDefault(place.id(), Map.of()).get(today.minusDays(1));
            PlaceClimate.SetPoints set = place.climate() instanceof PlaceClimate.SetPoints points ? points : null;
            List<BatchWork> work = here.stream()
                    .filter(stop -> !stop.tasks().isEmpty())
                    .map(stop -> new BatchWork(
                            summary.apply(stop.batch()),
                            stop.tasks().stream()
                                    .map(task -> task(stop.batch(), task, pace, noted, today))
                                    .toList()))
                    .toList();
            boolean cautious = !work.isEmpty() && !named.caution().isBlank() && cautioned.add(named.caution());
            stops.add(new StopView(
                    place.id().number(),
                    place.name(),
                    place.slots(),
                    occupancy.used(place.id())[0],
                    read == null ? null : read.minimum(),
                    read == null ? null : read.maximum(),
                    set == null ? null : set.night(),
                    set == null ? null : set.day(),
                    work,
                    (int) here.stream()
                            .filter(stop -> stop.tasks().isEmpty() && standsThere(stop))
                            .count(),
                    cautious ? named.caution() : null,
                    warnings.getOrDefault(place.id(), List.of()),
                    light.get(place.id()),
                    stopWater(calls.getOrDefault(place.id(), List.of()))));
        }
        List<DayRange> forecast = new ArrayList<>();
        for (DailyRange range : weather.forecast(today)) {
            forecast.add(new DayRange(today.plusDays(forecast.size()), range.minimum(), range.maximum()));
        }
        return new RoundView(
                today,
                forecast,
                weather.isEstimated(),
                round.evening().stream().map(task -> view(task, summary)).toList(),
                inPlace.toGo(),
                stops);
    }

    private static StopWater stopWater(List<WaterRound.Called> calls) {
        return new StopWater(
                watered(calls, WaterSeen.How.BELOW),
                watered(calls, WaterSeen.How.ABOVE),
                trays(calls, call -> call.advice() == WaterCall.Advice.SPRAY),
                trays(calls, call -> call.advice() == WaterCall.Advice.LOOK),
                trays(calls, call -> call.advice() == WaterCall.Advice.LEAVE).size(),
                calls.stream()
                        .filter(called -> called.again().isPresent())
                        .map(called -> called.standing().tray().number())
                        .toList(),
                calls.stream()
                        .flatMap(called -> called.again().stream())
                        .min(LocalDateTime::compareTo)
                        .orElse(null));
    }

    private static List<Integer> watered(List<WaterRound.Called> calls, WaterSeen.How how) {
        return trays(calls, call -> call.advice() == WaterCall.Advice.WATER && call.how() == how);
    }

    private static List<Integer> trays(List<WaterRound.Called> calls, Predicate<WaterCall> wanted) {
        return calls.stream()
                .filter(called -> wanted.test(called.call()))
                .map(called -> called.standing().tray().number())
                .toList();
    }

    private static TaskView task(
            BatchOutlook batch,
            RoundTask task,
            WorkPace pace,
            Map<TaskMarks.Key, TaskMarks.Mark> noted,
            LocalDate today) {
        BatchFile file = batch.file();
        int trays = Math.max(file.state().trays().size(), (int)
                file.toSow().stream().map(CellRun::tray).distinct().count());
        TaskMarks.Mark mark = noted.get(new TaskMarks.Key(file.batch().number(), task.kind()));
        return new TaskView(
                task.kind(),
                task.urgency(),
                task.why(),
                pace.minutes(task.kind(), WorkAhead.size(file, trays)),
                mark == null ? null : mark.handedToId(),
                mark == null ? null : mark.handedTo(),
                mark != null && mark.isDone(today),
                mark == null ? null : mark.waitsUntil(today).orElse(null));
    }

    private EveningView view(RoundService.EveningTask task, Function<BatchOutlook, BatchSummary> summary) {
        BatchSummary batch = summary.apply(task.batch());
        return new EveningView(
                batch.number(),
                batch.variety(),
                batch.place(),
                batch.trays(),
                batch.plantsAlive(),
                task.night().minimum(),
                task.night().floor(),
                task.likelyLoss());
    }

    private static boolean standsThere(RoundService.Stop stop) {
        return stop.batch().file().state().sownOn().isPresent()
                && stop.batch().file().state().balance().alive()
                                + stop.batch().file().state().balance().waiting()
                        > 0;
    }
}
