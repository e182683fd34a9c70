package kiver.server.stock;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.crop.ContainerCode;
import kiver.core.media.BarrowSheet;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.MakeOrBuy;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.account.Person;
import kiver.server.crop.CropBook;
import kiver.server.media.KeptRecipe;
import kiver.server.media.MediaBook;
import kiver.server.media.Mixing;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The store of mixes and ingredients, and what goes into the barrow. */
@RestController
class StockController {

    private final StockLedger ledger;
    private final StockMapper mapper;
    private final MixingService mixing;
    private final MediaBook media;
    private final CropBook crops;

    StockController(StockLedger ledger, StockMapper mapper, MixingService mixing, MediaBook media, CropBook crops) {
        this.ledger = ledger;
        this.mapper = mapper;
        this.mixing = mixing;
        this.media = media;
        this.crops = crops;
    }

    /** What of an ingredient went into a mix, and of which delivery. */
    record MixPartView(String ingredient, String lot, String supplier, double litres) {}

    /** A batch that was filled from a mix. */
    record FilledView(int batch, LocalDate day, double litres) {}

    /**
     * A mix.
     *
     * @param litres left; below 0 where more was filled than was made, and it wants looking at
     * @param words what a record calls it
     */
    record MixLotView(
            int number,
            String name,
            String recipe,
            Recipe.Use use,
            LocalDate madeOn,
            double made,
            double litres,
            String words,
            List<MixPartView> parts,
            List<FilledView> filled) {}

    /** A delivery of an ingredient, and what is left of it. */
    record DeliveryView(long id, String code, String supplier, LocalDate boughtOn, double litres) {}

    /** An ingredient and its deliveries of which something is left. */
    record InStoreView(String code, String name, double litres, double bagLitres, List<DeliveryView> deliveries) {}

    /** The store. */
    record StockView(List<MixLotView> mixes, List<InStoreView> ingredients) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/stock")
    StockView stock() {
        List<MixLot> mixes = ledger.mixes();
        Integer[] numbers = mixes.stream().map(MixLot::number).toArray(Integer[]::new);
        Map<Integer, List<StockMapper.PartRow>> parts =
                mapper.parts(numbers).stream().collect(Collectors.groupingBy(StockMapper.PartRow::mix));
        Map<Integer, List<StockMapper.FilledRow>> filled =
                mapper.filled(numbers).stream().collect(Collectors.groupingBy(StockMapper.FilledRow::mix));
        Map<IngredientCode, List<IngredientLot>> lots =
                ledger.lots().stream().collect(Collectors.groupingBy(IngredientLot::ingredient));
        Map<RecipeCode, Recipe.Use> uses =
                media.recipes().stream().map(KeptRecipe::recipe).collect(Collectors.toMap(Recipe::code, Recipe::use));
        return new StockView(
                mixes.stream()
                        .map(mix -> new MixLotView(
                                mix.number(),
                                mix.name(),
                                mix.recipe().written(),
                                uses.getOrDefault(mix.recipe(), Recipe.Use.SOWING),
                                mix.madeOn(),
                                mix.made(),
                                mix.litres(),
                                mix.words(),
                                parts.getOrDefault(mix.number(), List.of()).stream()
                                        .map(part -> new MixPartView(
                                                part.name(), part.lot(), part.supplier(), part.litres()))
                                        .toList(),
                                filled.getOrDefault(mix.number(), List.of()).stream()
                                        .map(each -> new FilledView(each.batch(), each.day(), each.litres()))
                                        .toList()))
                        .toList(),
                media.ingredients().values().stream()
                        .map(ingredient -> inStore(ingredient, lots.getOrDefault(ingredient.code(), List.of())))
                        .toList());
    }

    private static InStoreView inStore(Ingredient ingredient, List<IngredientLot> lots) {
        return new InStoreView(
                ingredient.code().written(),
                ingredient.name(),
                lots.stream().mapToDouble(lot -> Math.max(0, lot.litres())).sum(),
                ingredient.bagLitres(),
                lots.stream()
                        .filter(lot -> Math.abs(lot.litres()) > 0.005)
                        .map(lot ->
                                new DeliveryView(lot.id(), lot.code(), lot.supplier(), lot.boughtOn(), lot.litres()))
                        .toList());
    }

    /** Bags that came. */
    record DeliveryEntry(
            @NotNull UUID requestId,

            @NotBlank(message = "Choose the ingredient.") @Size(max = 40, message = "Use at most 40 letters.")
            String ingredient,

            @NotBlank(message = "Enter what stands on the bags, or the day.")
            @Size(max = 40, message = "Use at most 40 letters.")
            String lot,

            @NotNull(message = "Enter the supplier, or nothing.") @Size(max = 80, message = "Use at most 80 letters.")
            String supplier,

            @NotNull(message = "Enter how much.")
            @DecimalMin(value = "0.1", message = "Enter 0.1 to 100000 L.")
            @DecimalMax(value = "100000", message = "Enter 0.1 to 100000 L.")
            Double litres) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/stock/deliveries")
    void deliver(@Valid @RequestBody DeliveryEntry entry, @AuthenticationPrincipal Person person) {
        mixing.deliver(
                entry.requestId(),
                code(entry.ingredient()),
                entry.lot().strip(),
                entry.supplier().strip(),
                entry.litres(),
                person.id());
    }

    private static IngredientCode code(String written) {
        return new IngredientCode(written.strip());
    }

    /** A mix that was made. */
    record MixEntry(
            @NotNull UUID requestId,
            @NotBlank(message = "Choose the recipe.") String recipe,

            @NotNull(message = "Enter how much.")
            @DecimalMin(value = "0.1", message = "Enter 0.1 to 20000 L.")
            @DecimalMax(value = "20000", message = "Enter 0.1 to 20000 L.")
            Double litres,

            @Nullable LocalDate day) {}

    /** The number to be written on it. */
    record MadeView(int number) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/stock/mixes")
    MadeView blend(@Valid @RequestBody MixEntry entry, @AuthenticationPrincipal Person person) {
        return new MadeView(mixing.blend(
                entry.requestId(), new RecipeCode(entry.recipe()), entry.litres(), entry.day(), person.id()));
    }

    /** What somebody found to be left, of a mix or of a delivery. */
    record StockCountEntry(
            @NotNull UUID requestId,
            @Nullable Integer mix,
            @Nullable Long delivery,

            @NotNull(message = "Enter how much.")
            @DecimalMin(value = "0", message = "Enter 0 to 100000 L.")
            @DecimalMax(value = "100000", message = "Enter 0 to 100000 L.")
            Double litres) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/stock/counts")
    void count(@Valid @RequestBody StockCountEntry entry, @AuthenticationPrincipal Person person) {
        if (entry.mix() != null) {
            mixing.countMix(entry.requestId(), entry.mix(), entry.litres(), person.id());
        } else if (entry.delivery() != null) {
            mixing.countLot(entry.requestId(), entry.delivery(), entry.litres(), person.id());
        } else {
            throw new Refusal("mix", Said.of("Say which mix or which delivery was looked at."));
        }
    }

    /** Containers to be filled. */
    record FillEntry(
            @NotNull(message = "Choose the container.") ContainerCode container,

            @NotNull(message = "Say how many.")
            @Min(value = 1, message = "Enter 1 to 10000.")
            @Max(value = 10000, message = "Enter 1 to 10000.")
            Integer count) {}

    /** What is to be mixed: so many litres, or for containers. */
    record BarrowEntry(
            @NotBlank(message = "Choose the recipe.") String recipe,

            @Nullable
            @DecimalMin(value = "0.1", message = "Enter 0.1 to 20000 L.")
            @DecimalMax(value = "20000", message = "Enter 0.1 to 20000 L.")
            Double litres,

            @Nullable @Valid @Size(max = 40, message = "Enter at most 40 kinds of containers.")
            List<FillEntry> fills) {}

    /** A line of the sheet. */
    record BarrowLineView(
            String ingredient, double litres, double buckets, int bags, double bagLitres, double mass, double cost) {}

    /** What one container takes. */
    record FillCostView(String container, int count, double litres, double cost) {}

    /**
     * What goes into the barrow; litres, kilograms and the nursery's own money.
     *
     * @param loads barrows it takes
     * @param heaviest kg of the heaviest thing to be lifted
     * @param priced whether every ingredient has a price
     */
    record BarrowSheetView(
            String recipe,
            String name,
            double litres,
            double dry,
            double water,
            double mass,
            int loads,
            double heaviest,
            double cost,
            boolean priced,
            double bucket,
            boolean dusty,
            boolean alive,
            List<BarrowLineView> lines,
            List<FillCostView> fills,
            MakeOrBuy worth) {}

    @OpenTo(Callers.THE_NURSERY)
    @PostMapping("/api/barrow-sheets")
    BarrowSheetView barrow(@Valid @RequestBody BarrowEntry entry) {
        KeptRecipe kept = media.recipe(new RecipeCode(entry.recipe()));
        Mixing tools = media.mixing();
        List<FillEntry> fills = entry.fills() == null ? List.of() : entry.fills();
        if (fills.isEmpty() && entry.litres() == null) {
            throw new Refusal("litres", Said.of("Enter how much, or what is to be filled."));
        }
        Map<IngredientCode, Ingredient> ingredients = media.ingredients();
        BarrowSheet sheet = fills.isEmpty()
                ? BarrowSheet.of(kept.recipe(), entry.litres(), ingredients, ledger.inStore(), tools.tools())
                : BarrowSheet.of(
                        kept.recipe(),
                        fills.stream()
                                .map(fill -> new BarrowSheet.Fill(crops.container(fill.container()), fill.count()))
                                .toList(),
                        ingredients,
                        ledger.inStore(),
                        tools.tools());
        return view(sheet, tools, plants(fills));
    }

    /** Plants that the containers hold, by which one tells whether it is worth the trouble. */
    private OptionalInt plants(List<FillEntry> fills) {
        return fills.isEmpty()
                ? OptionalInt.empty()
                : OptionalInt.of(fills.stream()
                        .mapToInt(fill ->
                                fill.count() * crops.container(fill.container()).cells())
                        .sum());
    }

    private static BarrowSheetView view(BarrowSheet sheet, Mixing tools, OptionalInt plants) {
        return new BarrowSheetView(
                sheet.recipe().code().written(),
                sheet.recipe().name(),
                sheet.litres(),
                sheet.dry(),
                sheet.water(),
                sheet.mass(),
                sheet.loads(),
                sheet.heaviest(),
                sheet.cost(),
                sheet.lines().stream().allMatch(line -> line.ingredient().bagPrice() > 0),
                tools.bucket(),
                sheet.isDusty(),
                sheet.isAlive(),
                sheet.lines().stream()
                        .map(line -> new BarrowLineView(
                                line.ingredient().name(),
                                line.litres(),
                                line.buckets(),
                                line.bags(),
                                line.ingredient().bagLitres(),
                                line.mass(),
                                line.cost()))
                        .toList(),
                sheet.fills().stream()
                        .map(fill -> new FillCostView(
                                fill.fill().container().name(), fill.fill().count(), fill.litres(), fill.cost()))
                        .toList(),
                MakeOrBuy.of(
                        sheet, plants, tools.leastPlants(), tools.bought(), tools.workPerBarrow() * sheet.loads()));
    }
}
