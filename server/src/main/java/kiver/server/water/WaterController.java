package kiver.server.water;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.care.AfterSowing;
import kiver.core.care.TrayWeight;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterSeen;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.server.account.Occasion;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.care.TrayScale;
import kiver.server.care.WaterBook;
import kiver.server.care.WeighedTrays;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.place.NamedPlace;
import kiver.server.place.PlaceBook;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Water by need: what each tray wants, what was done and seen, and what filled containers weigh. */
@RestController
class WaterController {

    private static final int DAYS_BACK = 14;

    private static final Map<WaterBook.Kind, Set<String>> WORDS = Map.of(
            WaterBook.Kind.WEIGHED, Set.of(),
            WaterBook.Kind.LIFTED, names(WaterSeen.Heft.values()),
            WaterBook.Kind.SURFACE, Set.of("DARK", "PALE"),
            WaterBook.Kind.WATERED, names(WaterSeen.How.values()));

    private final WaterRound round;
    private final WaterBook water;
    private final WeighedTrays weighed;
    private final TrayScale scale;
    private final TrayBook trays;
    private final CropBook crops;
    private final PlaceBook places;
    private final Requests requests;
    private final NurseryClock clock;

    WaterController(
            WaterRound round,
            WaterBook water,
            WeighedTrays weighed,
            TrayScale scale,
            TrayBook trays,
            CropBook crops,
            PlaceBook places,
            Requests requests,
            NurseryClock clock) {
        this.round = round;
        this.water = water;
        this.weighed = weighed;
        this.scale = scale;
        this.trays = trays;
        this.crops = crops;
        this.places = places;
        this.requests = requests;
        this.clock = clock;
    }

    private static Set<String> names(Enum<?>[] values) {
        return Arrays.stream(values).map(Enum::name).collect(Collectors.toSet());
    }

    /**
     * What a tray wants.
     *
     * @param share of available water that it most likely holds, 0 to 1
     * @param low share that it holds at least, nine times in ten
     * @param high share that it holds at most, nine times in ten
     * @param mark share at which its crop is watered
     * @param atMark when it comes to that; missing where it is days ahead
     * @param again when it wants somebody once more today, after what is advised was done; missing where it lasts
     * @param minutes that it stands in water; 0 where it is not stood in it
     * @param untilUp how it is kept until something shows; missing once it does
     * @param lastSeen when it was last watered, weighed, lifted or looked at; missing where nobody has noted anything
     * @param held litres of water between dry and soaked
     */
    record TrayWaterView(
            int tray,
            String code,
            int batch,
            String variety,
            String crop,
            WaterCall.Advice advice,
            double share,
            double low,
            double high,
            double mark,
            @Nullable LocalDateTime atMark,
            @Nullable LocalDateTime again,
            WaterSeen.How how,
            int minutes,
            boolean neverDries,
            @Nullable AfterSowing untilUp,
            @Nullable LocalDateTime lastSeen,
            double held) {}

    /** The trays of a place. */
    record WaterStop(long placeId, String place, List<TrayWaterView> trays) {}

    /**
     * What a filled container weighs, g.
     *
     * @param isWeighed whether somebody weighed it; worked out from its mix otherwise
     */
    record ContainerWeightView(String container, String name, double dry, double soaked, boolean isWeighed) {}

    /** Water as it stands, in walking order. */
    record WaterView(LocalDateTime now, boolean hasScale, List<WaterStop> stops, List<ContainerWeightView> weights) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/water")
    WaterView water() {
        Map<Long, List<TrayWaterView>> byPlace = round.calls().stream()
                .sorted(Comparator.comparing(
                                (WaterRound.Called called) -> called.call().advice())
                        .thenComparing(called -> called.standing().tray().number()))
                .collect(Collectors.groupingBy(
                        called -> called.standing().group().place().number(),
                        Collectors.mapping(WaterController::view, Collectors.toList())));
        List<WaterStop> stops = new ArrayList<>();
        for (NamedPlace named : places.placesWithCautions()) {
            List<TrayWaterView> here = byPlace.get(named.place().id().number());
            if (here != null) {
                stops.add(
                        new WaterStop(named.place().id().number(), named.place().name(), here));
            }
        }
        return new WaterView(clock.now(), scale.isThere(), stops, weights());
    }

    private List<ContainerWeightView> weights() {
        Map<String, TrayWeight> own = water.weights();
        return crops.containers().stream()
                .map(container -> {
                    TrayWeight weight = WaterBook.weight(own, container, container);
                    String code = container.code().written();
                    return new ContainerWeightView(
                            code, container.name(), weight.dry(), weight.full(), own.containsKey(code));
                })
                .toList();
    }

    private static TrayWaterView view(WaterRound.Called called) {
        WaterCall call = called.call();
        WaterRound.Standing standing = called.standing();
        double spread = 1.645 * call.now().deviation();
        return new TrayWaterView(
                standing.tray().number(),
                standing.tray().code(),
                standing.batch().number(),
                standing.batch().file().batch().variety(),
                standing.batch().crop().name(),
                call.advice(),
                call.now().share(),
                Math.max(0, call.now().share() - spread),
                Math.min(1, call.now().share() + spread),
                call.mark(),
                call.atMark().orElse(null),
                called.again().orElse(null),
                call.how(),
                call.minutes(),
                call.neverDries(),
                standing.untilUp().orElse(null),
                called.lastSeen().orElse(null),
                standing.weight().held() / 1000);
    }

    /**
     * What was done with, or seen of, some trays.
     *
     * @param word LIGHT, SOME, HEAVY of trays that were lifted; DARK, PALE of a surface; BELOW, ABOVE, SPRAY of water
     * @param grams of a tray that was weighed
     */
    record WaterEntry(
            @NotNull UUID requestId,

            @NotEmpty(message = "Say which trays.") @Size(max = 1000, message = "Say at most 1,000 trays at once.")
            List<@NotNull(message = "Say which trays.") Integer> trays,

            @NotNull(message = "Say what was done.") WaterBook.Kind kind,
            @Nullable String word,

            @Nullable
            @DecimalMin(value = "1", message = "Enter 1 to 100,000 g.")
            @DecimalMax(value = "100000", message = "Enter 1 to 100,000 g.")
            Double grams,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/water")
    @Transactional
    public void note(@Valid @RequestBody WaterEntry entry, @AuthenticationPrincipal Person person) {
        requireSense(entry);
        LocalDateTime at = when(entry.day());
        requests.once(
                entry.requestId(),
                Arrays.asList(
                        "water",
                        entry.trays(),
                        entry.kind(),
                        entry.word(),
                        entry.grams(),
                        at.toLocalDate(),
                        person.id()),
                () -> {
                    water.note(
                            entry.requestId(),
                            entry.trays(),
                            at,
                            new WaterBook.Done(entry.kind(), entry.grams(), entry.word()),
                            person.id());
                    return 0;
                });
    }

    private void requireSense(WaterEntry entry) {
        boolean isWeighed = entry.kind() == WaterBook.Kind.WEIGHED;
        if (isWeighed != (entry.grams() != null)) {
            throw new Refusal(
                    "grams",
                    isWeighed
                            ? Said.of("Enter what the scale showed.")
                            : Said.of("Grams belong to a tray that was weighed."));
        }
        if (isWeighed ? entry.word() != null : !WORDS.get(entry.kind()).contains(String.valueOf(entry.word()))) {
            throw new Refusal(
                    "word", Said.of("\"{word}\" does not tell that.").with("word", String.valueOf(entry.word())));
        }
        if (isWeighed && entry.trays().size() > 1) {
            throw new Refusal("trays", Said.of("One weight is one tray's."));
        }
        if (new HashSet<>(entry.trays()).size() < entry.trays().size()) {
            throw new Refusal("trays", Said.of("A tray is named twice."));
        }
        Set<Integer> there = trays.all().stream().map(Tray::number).collect(Collectors.toSet());
        entry.trays().stream().filter(tray -> !there.contains(tray)).findFirst().ifPresent(tray -> {
            throw new Refusal("trays", Said.of("There is no tray T{tray}.").with("tray", tray));
        });
        if (isWeighed) {
            weighed.faultIn(entry.trays().get(0), entry.grams()).ifPresent(fault -> {
                throw new Refusal("grams", fault);
            });
        }
    }

    /** As whoever did it says; of a day that is over without an hour at noon. A clock that goes ahead is held back. */
    private LocalDateTime when(@Nullable LocalDate day) {
        LocalDateTime now = clock.now();
        LocalDate on = day == null ? now.toLocalDate() : day;
        if (on.isAfter(now.toLocalDate()) || on.isBefore(now.toLocalDate().minusDays(DAYS_BACK))) {
            throw new Refusal(
                    "day",
                    Said.of("Choose a day from {from} to {until}.")
                            .with("from", now.toLocalDate().minusDays(DAYS_BACK))
                            .with("until", now.toLocalDate()));
        }
        LocalDateTime at = on.atTime(Occasion.ofThisRequest()
                .at()
                .orElse(on.equals(now.toLocalDate()) ? now.toLocalTime() : LocalTime.NOON));
        return at.isAfter(now) ? now : at;
    }

    /** What the scale on the bench shows. */
    record ScaleView(double grams) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/scale/trays/{number}")
    ScaleView weigh(@PathVariable int number) {
        OptionalDouble shown = scale.show(trays.numbered(number));
        return new ScaleView(
                shown.orElseThrow(() -> new NotFound(Said.of("No scale is connected: enter what yours shows."))));
    }

    /** What a filled container weighs, dry and soaked. */
    record ContainerWeightEntry(
            @NotNull(message = "Enter what it weighs dry.")
            @DecimalMin(value = "1", message = "Enter 1 to 100,000 g.")
            @DecimalMax(value = "100000", message = "Enter 1 to 100,000 g.")
            Double dry,

            @NotNull(message = "Enter what it weighs soaked.")
            @DecimalMin(value = "1", message = "Enter 1 to 100,000 g.")
            @DecimalMax(value = "100000", message = "Enter 1 to 100,000 g.")
            Double soaked) {}

    @OpenTo(Callers.THE_NURSERY)
    @PutMapping("/api/water/containers/{code}")
    @Transactional
    public ContainerWeightView weigh(@PathVariable String code, @Valid @RequestBody ContainerWeightEntry entry) {
        Container container = crops.container(new ContainerCode(code));
        if (entry.soaked() <= entry.dry()) {
            throw new Refusal("soaked", Said.of("Soaked it weighs more than dry."));
        }
        water.weigh(container, new TrayWeight(entry.dry(), entry.soaked()));
        return new ContainerWeightView(code, container.name(), entry.dry(), entry.soaked(), true);
    }
}
