package kiver.server.diagnosis;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import kiver.core.care.Ailment;
import kiver.core.care.LookRule;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.care.LookBook;
import kiver.server.clock.NurseryClock;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.place.PlaceBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.stock.StockLedger;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What to look for at each place today, by what stands there and by the season; and what was seen. */
@RestController
class LooksController {

    private static final int SEEDLING_DAYS = 14;

    /** So long a place and a mix are looked at twice after damping-off. */
    private static final int DAYS_OF_CAUTION = 21;

    private final LookBook looks;
    private final BatchAnalyst analyst;
    private final PlaceBook places;
    private final StockLedger stock;
    private final Requests requests;
    private final NurseryClock clock;

    LooksController(
            LookBook looks,
            BatchAnalyst analyst,
            PlaceBook places,
            StockLedger stock,
            Requests requests,
            NurseryClock clock) {
        this.looks = looks;
        this.analyst = analyst;
        this.places = places;
        this.stock = stock;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * Something to look for at a place.
     *
     * @param batches on which
     * @param seenToday share of the plants there in which it was seen today; missing while nobody has looked
     */
    record LookView(
            long placeId,
            Ailment ailment,
            List<Integer> batches,
            @Nullable Double seenToday) {}

    /**
     * A place in which damping-off was seen lately.
     *
     * @param mixes numbers of the mixes that batches there were filled from
     */
    record DampingOff(long placeId, String place, LocalDate seenOn, double share, List<Integer> mixes) {}

    /** What to look for today, and where to take care. */
    record LooksView(List<LookView> looks, List<DampingOff> dampingOff) {}

    /** What was seen at a place. */
    record SeenEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Choose a place.") Long placeId,
            @NotNull(message = "Say what was looked for.") Ailment ailment,

            @NotNull(message = "Say on how many of the plants.")
            @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
            @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
            Double share,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/looks")
    LooksView looks() {
        LocalDate today = clock.today();
        List<LookBook.Seen> seen = looks.seenSince(today.minusDays(DAYS_OF_CAUTION));
        List<LookView> views = new ArrayList<>();
        List<LookRule> rules = looks.rules();
        for (Place place : places.places()) {
            Map<Ailment, List<Integer>> here = new TreeMap<>();
            for (BatchOutlook batch : standingAt(place)) {
                LookRule.Standing standing = standing(batch, place, today);
                rules.stream()
                        .filter(rule -> rule.asksFor(standing, today, clock.latitude() < 0))
                        .forEach(rule -> here.computeIfAbsent(rule.ailment(), ailment -> new ArrayList<>())
                                .add(standing.batch()));
            }
            here.forEach((ailment, batches) -> views.add(new LookView(
                    place.id().number(),
                    ailment,
                    batches.stream().distinct().sorted().toList(),
                    seen.stream()
                            .filter(each -> each.placeId() == place.id().number()
                                    && each.ailment() == ailment
                                    && each.seenOn().equals(today))
                            .map(LookBook.Seen::share)
                            .findFirst()
                            .orElse(null))));
        }
        return new LooksView(views, dampingOff(seen));
    }

    private List<BatchOutlook> standingAt(Place place) {
        return analyst.all().stream()
                .filter(batch -> batch.trouble().isEmpty()
                        && batch.file()
                                .state()
                                .place()
                                .filter(place.id()::equals)
                                .isPresent()
                        && batch.file().state().balance().alive()
                                        + batch.file().state().balance().waiting()
                                > 0)
                .toList();
    }

    private static LookRule.Standing standing(BatchOutlook batch, Place place, LocalDate today) {
        LookRule.PlantKind kind = batch.file().state().cellsUp().entrySet().stream()
                .filter(count -> count.getValue() > 0)
                .findFirst()
                .map(first -> first.getKey().plusDays(SEEDLING_DAYS).isBefore(today)
                        ? LookRule.PlantKind.GROWN
                        : LookRule.PlantKind.SEEDLING)
                .orElse(batch.file().batch().isBoughtIn() ? LookRule.PlantKind.GROWN : LookRule.PlantKind.SOWN);
        return new LookRule.Standing(
                batch.file().batch().number(),
                batch.crop().code(),
                kind,
                place.climate() instanceof PlaceClimate.SetPoints,
                place.keepsMiceOut());
    }

    private List<DampingOff> dampingOff(List<LookBook.Seen> seen) {
        List<DampingOff> cautions = new ArrayList<>();
        for (Place place : places.places()) {
            seen.stream()
                    .filter(each -> each.placeId() == place.id().number()
                            && each.ailment() == Ailment.DAMPING_OFF
                            && each.share() > 0)
                    .findFirst()
                    .ifPresent(each -> cautions.add(new DampingOff(
                            place.id().number(),
                            place.name(),
                            each.seenOn(),
                            each.share(),
                            stock.mixesOf(standingAt(place).stream()
                                    .map(batch -> batch.file().batch().number())
                                    .toList()))));
        }
        return cautions;
    }

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/looks/notes")
    @Transactional
    public void note(@Valid @RequestBody SeenEntry entry, @AuthenticationPrincipal Person person) {
        LocalDate day = entry.day() == null ? clock.today() : entry.day();
        if (day.isAfter(clock.today())) {
            throw new Refusal("day", Said.of("This day is still to come."));
        }
        if (places.places().stream().noneMatch(place -> place.id().number() == entry.placeId())) {
            throw new Refusal("placeId", Said.of("This place does not exist."));
        }
        requests.once(
                entry.requestId(),
                Arrays.asList("look", entry.placeId(), entry.ailment(), entry.share(), day, person.id()),
                () -> {
                    looks.note(
                            entry.requestId(),
                            new LookBook.Seen(entry.placeId(), entry.ailment(), entry.share(), day),
                            person.id());
                    return 0;
                });
    }
}
