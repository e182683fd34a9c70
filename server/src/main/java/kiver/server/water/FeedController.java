package kiver.server.water;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.care.FeedDose;
import kiver.core.care.FeedProduct;
import kiver.core.care.FeedSchool;
import kiver.core.media.RecipeCode;
import kiver.core.outlook.BatchOutlook;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.care.FeedBook;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.media.KeptRecipe;
import kiver.server.media.MediaBook;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Feeding: what is due, how much goes into the can, and what was given. */
@RestController
class FeedController {

    private static final int DAYS_SHOWN = 21;

    private final FeedBook feeds;
    private final FeedDays days;
    private final BatchAnalyst analyst;
    private final BatchBook batches;
    private final SeasonService seasons;
    private final Requests requests;
    private final NurseryClock clock;
    private final MediaBook media;

    FeedController(
            FeedBook feeds,
            FeedDays days,
            BatchAnalyst analyst,
            BatchBook batches,
            SeasonService seasons,
            Requests requests,
            NurseryClock clock,
            MediaBook media) {
        this.media = media;
        this.feeds = feeds;
        this.days = days;
        this.analyst = analyst;
        this.batches = batches;
        this.seasons = seasons;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * A feed, with what goes into the nursery's can at its usual strength.
     *
     * @param dose missing for a feed without nitrogen
     */
    record FeedView(FeedBook.Feed feed, @Nullable FeedDose dose) {}

    /**
     * When a batch is next fed.
     *
     * @param reserveEnds day from which its mix feeds it no more
     * @param due the next day; missing where it goes before
     */
    record FeedDay(
            int batch,
            String variety,
            String crop,
            String place,
            LocalDate reserveEnds,
            @Nullable LocalDate lastFed,
            @Nullable LocalDate due) {}

    /** How plants in a mix are fed; as the nursery does where no school is said. */
    record FedRecipe(String recipe, String name, @Nullable FeedSchool school) {}

    /** Feeding as it stands. */
    record FeedingView(
            FeedBook.Way way,
            List<FeedView> feeds,
            List<FeedDay> batches,
            List<FeedBook.Given> given,
            List<FedRecipe> recipes) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/feeding")
    FeedingView feeding() {
        LocalDate today = clock.today();
        FeedBook.Way way = feeds.way();
        FeedDays.Known known = days.known();
        List<FeedDay> next = analyst.all().stream()
                .filter(FeedController::isGrowing)
                .flatMap(batch -> known.clock(batch).stream()
                        .map(feed -> new FeedDay(
                                batch.number(),
                                batch.file().batch().variety(),
                                batch.crop().name(),
                                seasons.placeNames().get(batch.place()),
                                feed.reserveEnds(),
                                feed.lastFed().orElse(null),
                                feed.due().orElse(null))))
                .sorted(Comparator.comparing(FeedDay::due, Comparator.nullsLast(Comparator.naturalOrder()))
                        .thenComparing(FeedDay::batch))
                .toList();
        return new FeedingView(
                way,
                feeds.feeds().stream()
                        .map(feed -> new FeedView(feed, dose(feed, way)))
                        .toList(),
                next,
                feeds.givenSince(today.minusDays(DAYS_SHOWN)),
                recipes());
    }

    private List<FedRecipe> recipes() {
        Map<RecipeCode, FeedSchool> own = feeds.byRecipe();
        return media.recipes().stream()
                .map(KeptRecipe::recipe)
                .map(recipe -> new FedRecipe(recipe.code().written(), recipe.name(), own.get(recipe.code())))
                .toList();
    }

    /** How plants in a mix are fed from now on; missing for as the nursery does. */
    record RecipeFeedEntry(
            @NotBlank(message = "Choose the recipe.") @Size(max = 40, message = "Use at most 40 letters.")
            String recipe,

            @Nullable FeedSchool school) {}

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/feeding/recipes")
    @Transactional
    public void feedRecipe(@Valid @RequestBody RecipeFeedEntry entry) {
        feeds.feedBy(
                media.recipe(new RecipeCode(entry.recipe().strip())).recipe().code(), entry.school());
    }

    private static boolean isGrowing(BatchOutlook batch) {
        return batch.trouble().isEmpty() && batch.file().state().balance().alive() > 0;
    }

    @Nullable
    private static FeedDose dose(FeedBook.Feed feed, FeedBook.Way way) {
        return feed.nitrogen() > 0 ? FeedDose.of(feed.product(), way.strength(), way.canLitres()) : null;
    }

    /** A feed as its label tells it. */
    record FeedEntry(
            @NotBlank(message = "Enter a name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name,

            @NotNull(message = "Say whether it is liquid or powder.")
            FeedProduct.Form form,

            @NotNull(message = "Enter the nitrogen on the label.")
            @DecimalMin(value = "0", message = "Enter 0 to 60 %.")
            @DecimalMax(value = "60", message = "Enter 0 to 60 %.")
            Double nitrogen,

            @NotNull(message = "Enter the phosphorus on the label.")
            @DecimalMin(value = "0", message = "Enter 0 to 60 %.")
            @DecimalMax(value = "60", message = "Enter 0 to 60 %.")
            Double phosphorus,

            @NotNull(message = "Enter the potassium on the label.")
            @DecimalMin(value = "0", message = "Enter 0 to 60 %.")
            @DecimalMax(value = "60", message = "Enter 0 to 60 %.")
            Double potassium,

            @Nullable
            @DecimalMin(value = "0.5", message = "Enter 0.5 to 2 kg/L.")
            @DecimalMax(value = "2", message = "Enter 0.5 to 2 kg/L.")
            Double density) {}

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/feeding/feeds")
    void add(@Valid @RequestBody FeedEntry entry) {
        if (entry.nitrogen() + entry.phosphorus() + entry.potassium() > 100) {
            throw new Refusal("potassium", Said.of("Together a feed cannot hold more than 100 %."));
        }
        double density = entry.density() == null || entry.form() == FeedProduct.Form.POWDER ? 1 : entry.density();
        boolean added = feeds.add(new FeedBook.Feed(
                0,
                entry.name().strip(),
                entry.form(),
                entry.nitrogen(),
                entry.phosphorus(),
                entry.potassium(),
                density));
        if (!added) {
            throw new Refusal(
                    "name",
                    Said.of("There is a feed named \"{name}\" already.")
                            .with("name", entry.name().strip()));
        }
    }

    /** How the nursery feeds from now on. */
    record FeedWayEntry(
            @NotNull(message = "Say when seedlings are fed.")
            FeedSchool school,

            @NotNull(message = "Enter a strength.")
            @DecimalMin(value = "10", message = "Enter 10 to 400 mg per litre.")
            @DecimalMax(value = "400", message = "Enter 10 to 400 mg per litre.")
            Double strength,

            @NotNull(message = "Say how much your can holds.")
            @DecimalMin(value = "0.1", message = "A can holds 0.1 to 1,000 litres.")
            @DecimalMax(value = "1000", message = "A can holds 0.1 to 1,000 litres.")
            Double canLitres) {}

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/feeding/way")
    void feedBy(@Valid @RequestBody FeedWayEntry entry) {
        feeds.feedBy(new FeedBook.Way(entry.school(), entry.strength(), entry.canLitres()));
    }

    /**
     * What a batch was given.
     *
     * @param strength mg of nitrogen in a litre; missing for the nursery's usual
     * @param conductivity mS/cm, where there is a meter
     */
    record FeedGivenEntry(
            @NotNull UUID requestId,
            @NotNull(message = "Say which feed.") Long feedId,

            @Nullable
            @DecimalMin(value = "1", message = "Enter 1 to 1,000 mg per litre.")
            @DecimalMax(value = "1000", message = "Enter 1 to 1,000 mg per litre.")
            Double strength,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 20 mS/cm.")
            @DecimalMax(value = "20", message = "Enter 0 to 20 mS/cm.")
            Double conductivity,

            @Nullable LocalDate day) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/batches/{number}/feedings")
    @Transactional
    public void give(
            @PathVariable int number,
            @Valid @RequestBody FeedGivenEntry entry,
            @AuthenticationPrincipal Person person) {
        LocalDate day = entry.day() == null ? clock.today() : entry.day();
        LocalDate began = batches.file(number).state().sownOn().orElse(null);
        if (began == null || day.isBefore(began) || day.isAfter(clock.today())) {
            throw new Refusal("day", Said.of("A batch is fed after it was sown, and not on a day to come."));
        }
        FeedBook.Feed feed =
                feeds.feed(entry.feedId()).orElseThrow(() -> new NotFound(Said.of("There is no such feed.")));
        double strength = entry.strength() == null ? feeds.way().strength() : entry.strength();
        requests.once(
                entry.requestId(),
                Arrays.asList("feeding", number, feed.id(), strength, entry.conductivity(), day, person.id()),
                () -> {
                    feeds.give(entry.requestId(), number, feed.id(), strength, entry.conductivity(), day, person.id());
                    return number;
                });
    }
}
