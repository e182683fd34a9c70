package kiver.server.space;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import kiver.core.growth.Way;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.RoomRelief;
import kiver.core.outlook.SpaceHelp;
import kiver.core.outlook.SpaceSuggestion;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.Occupancy;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.PlanEdit;
import kiver.server.growth.SeasonService;
import kiver.server.plan.Wish;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Places and how full they are through time; what can be done about it; placing all at once. */
@RestController
class SpaceController {

    private final SpaceBook space;
    private final BatchOutlooks batches;
    private final SeasonService seasons;
    private final AssignmentService assignment;

    SpaceController(SpaceBook space, BatchOutlooks batches, SeasonService seasons, AssignmentService assignment) {
        this.space = space;
        this.batches = batches;
        this.seasons = seasons;
        this.assignment = assignment;
    }

    /** A place with what it uses day by day, from the first day shown. */
    record PlaceInTime(
            long id,
            String name,
            int walkingOrder,
            int slots,
            @Nullable Double day,
            @Nullable Double night,
            double lampLight,
            @Nullable LocalDate existsFrom,
            @Nullable LocalDate existsUntil,
            List<PlaceUse> uses,
            List<Double> used,
            List<Double> mean) {}

    /** Room through time. */
    record SpaceView(LocalDate firstDay, List<PlaceInTime> places, List<OverflowView> overflows) {}

    /** A placing in names. */
    record PlacingView(
            int batch, String variety, String from, String to, LocalDate sowDayBefore, LocalDate sowDay, Said reason) {}

    /** How far placing all is. */
    record AssignmentView(
            boolean started,
            boolean running,
            double progress,
            @Nullable OutcomeView outcome,
            @Nullable String failure) {}

    /** What placing all found. */
    record OutcomeView(
            List<PlacingView> changed,
            List<PlacingView> unchanged,
            int pinned,
            double overflowBefore,
            double overflowAfter,
            double gap,
            boolean stopped) {}

    /**
     * What could be done about days on which a place is over-full.
     *
     * @param help what to do
     * @param chanceBefore of what is wanted of the batch, as it stands, 0 to 1
     * @param chance of it then, 0 to 1
     * @param relief tray places it frees where they are lacking, on the worst day
     * @param edit that does it; missing where it is for people to settle
     */
    record SuggestionView(
            SpaceHelp help,
            double chanceBefore,
            double chance,
            double relief,
            @Nullable PlanEdit edit) {}

    /**
     * What stands at a place on a day.
     *
     * @param slots tray places it takes
     */
    record StandingThereView(int batch, String variety, double slots) {}

    /** A place on a day: what stands there makes up what is used. */
    record PlaceOnDayView(long place, LocalDate day, double used, List<StandingThereView> standing) {}

    /** How many batches were changed. */
    record Taken(int batches) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space")
    SpaceView space() {
        Occupancy occupancy = space.occupancy();
        var season = seasons.season();
        return new SpaceView(
                occupancy.firstDay(),
                season.places().stream()
                        .map(place -> view(place, occupancy, weeks(place, occupancy)))
                        .toList(),
                OverflowView.of(occupancy));
    }

    /** Mean temperature by week, so that one sees what it suits. */
    private List<Double> weeks(Place place, Occupancy occupancy) {
        var season = seasons.season();
        return java.util.stream.IntStream.range(0, occupancy.days() / 7)
                .mapToObj(week -> Math.round(10
                                * season.meanTemperature(
                                        place.id(), occupancy.firstDay().plusWeeks(week), 7))
                        / 10.0)
                .toList();
    }

    private static PlaceInTime view(Place place, Occupancy occupancy, List<Double> mean) {
        PlaceClimate.SetPoints set = place.climate() instanceof PlaceClimate.SetPoints points ? points : null;
        return new PlaceInTime(
                place.id().number(),
                place.name(),
                place.walkingOrder(),
                place.slots(),
                set == null ? null : set.day(),
                set == null ? null : set.night(),
                place.light().lamps().light(),
                place.exists().firstDay().orElse(null),
                place.exists().lastDay().orElse(null),
                place.suits().stream().sorted().toList(),
                Arrays.stream(occupancy.used(place.id()))
                        .map(slots -> Math.round(100 * slots) / 100.0)
                        .boxed()
                        .toList(),
                mean);
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space/standing")
    PlaceOnDayView standing(@RequestParam long place, @RequestParam LocalDate day) {
        Occupancy occupancy = space.occupancy();
        PlaceId id = seasons.season().places().stream()
                .map(Place::id)
                .filter(each -> each.number() == place)
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no place {place} in this nursery.").with("place", place)));
        long index = ChronoUnit.DAYS.between(occupancy.firstDay(), day);
        if (index < 0 || index >= occupancy.days()) {
            throw new Refusal(
                    "day",
                    Said.of("Choose a day from {from} to {until}.")
                            .with("from", occupancy.firstDay())
                            .with("until", occupancy.firstDay().plusDays(occupancy.days() - 1L)));
        }
        Map<Integer, String> varieties = varieties();
        return new PlaceOnDayView(
                place,
                day,
                occupancy.used(id)[(int) index],
                occupancy.standingAt(id, day).stream()
                        .map(each -> new StandingThereView(
                                each.batch(), varieties.getOrDefault(each.batch(), ""), each.slots()))
                        .toList());
    }

    private Map<Integer, String> varieties() {
        Map<Integer, String> varieties = new HashMap<>();
        for (BatchOutlook batch : batches.all()) {
            varieties.put(batch.number(), batch.file().batch().variety());
        }
        return varieties;
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space/suggestions")
    List<SuggestionView> suggestions(
            @RequestParam long place, @RequestParam LocalDate from, @RequestParam LocalDate to) {
        if (to.isBefore(from) || to.isAfter(from.plusDays(Wish.DAYS_AHEAD))) {
            throw new Refusal(
                    "to", Said.of("Choose a span from 1 to {daysAhead} days.").with("daysAhead", Wish.DAYS_AHEAD));
        }
        return space.suggestions(new RoomRelief.Crowded(new PlaceId(place), from, to)).stream()
                .map(this::view)
                .toList();
    }

    private SuggestionView view(SpaceSuggestion suggestion) {
        int number = suggestion.help().batch();
        return new SuggestionView(
                suggestion.help(),
                suggestion.chanceBefore(),
                suggestion.chance(),
                suggestion.relief(),
                suggestion
                        .plan()
                        .map(plan -> PlanEdit.between(
                                number, standing(number).file().batch().plan(), plan))
                        .orElse(null));
    }

    private BatchOutlook standing(int number) {
        return batches.all().stream()
                .filter(batch -> batch.number() == number)
                .findFirst()
                .orElseThrow();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/space/assignment")
    AssignmentView start() {
        return view(assignment.start());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/space/assignment")
    AssignmentView standing() {
        return view(assignment.standing());
    }

    @OpenTo(Callers.PROPAGATOR)
    @DeleteMapping("/api/space/assignment")
    AssignmentView stop() {
        return view(assignment.stop());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/space/assignment/taking")
    Taken take(@AuthenticationPrincipal Person person) {
        return new Taken(assignment.take(person.id()));
    }

    private AssignmentView view(AssignmentService.Standing standing) {
        return new AssignmentView(
                standing.started(),
                standing.running(),
                standing.progress(),
                standing.outcome().map(this::view).orElse(null),
                standing.failure().orElse(null));
    }

    private OutcomeView view(Placings outcome) {
        Map<PlaceId, String> names = seasons.placeNames();
        Map<Integer, String> varieties = varieties();
        return new OutcomeView(
                placings(outcome, true, names, varieties),
                placings(outcome, false, names, varieties),
                outcome.pinned(),
                outcome.overflowBefore(),
                outcome.overflowAfter(),
                outcome.gap(),
                outcome.stopped());
    }

    private static List<PlacingView> placings(
            Placings outcome, boolean changed, Map<PlaceId, String> names, Map<Integer, String> varieties) {
        return outcome.placings().stream()
                .filter(each -> each.changes() == changed)
                .map(each -> new PlacingView(
                        each.batch(),
                        varieties.getOrDefault(each.batch(), ""),
                        words(each.from(), names),
                        words(each.to(), names),
                        each.sowDayBefore(),
                        each.sowDay(),
                        each.reason()))
                .toList();
    }

    private static String words(Way way, Map<PlaceId, String> names) {
        return names.get(way.emergence()) + ", " + names.get(way.growingOn()) + ", " + names.get(way.hardening());
    }
}
