package kiver.server.demo;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import kiver.core.crop.ContainerCode;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.RecipeCode;
import kiver.server.media.MediaBook;
import kiver.server.media.Mixing;
import kiver.server.stock.MixLot;
import kiver.server.stock.MixingService;
import kiver.server.stock.Shed;
import kiver.server.stock.StockLedger;
import org.springframework.stereotype.Component;

/** How the invented nursery mixes: what it buys before the winter, and a heap made anew when one runs low or grows old. */
@Component
class DemoMixing {

    private static final int OLDEST_HEAP = 28;

    /** Litres made at once where no more are needed. */
    private static final double USUAL_HEAP = 80;

    private static final List<RecipeCode> FOR_SOWING =
            List.of(new RecipeCode("clean-fine"), new RecipeCode("living"), new RecipeCode("clean-fine"));
    private static final RecipeCode FOR_BLOCKS = new RecipeCode("block");
    private static final RecipeCode FOR_POTS = new RecipeCode("sieved-multipurpose");

    /** Price of a bag, and bags bought before the winter. */
    private record Bought(double price, int bags) {}

    private static final Map<String, Bought> BOUGHT = Map.of(
            "coir", new Bought(11.5, 21),
            "multipurpose", new Bought(8.4, 9),
            "compost", new Bought(3, 14),
            "loam", new Bought(4.5, 4),
            "sand", new Bought(3.2, 4),
            "perlite", new Bought(16, 4),
            "vermiculite", new Bought(21, 3),
            "seaweed-meal", new Bought(19, 3),
            "feather-meal", new Bought(14, 3),
            "rock-dust", new Bought(9, 3));

    /** Pots and trays that somebody counted before the winter; small pots run short in spring. */
    private static final List<InTheShed> IN_THE_SHED =
            List.of(new InTheShed("pot-9", 1_400), new InTheShed("pot-7", 120), new InTheShed("module-60", 60));

    private record InTheShed(String container, int pieces) {}

    private final MediaBook media;
    private final MixingService mixing;
    private final StockLedger ledger;
    private final Shed shed;

    DemoMixing(MediaBook media, MixingService mixing, StockLedger ledger, Shed shed) {
        this.shed = shed;
        this.media = media;
        this.mixing = mixing;
        this.ledger = ledger;
    }

    /** Takes the recipes and fills the store. */
    void found() {
        for (String recipe : List.of("clean-fine", "living", "sieved-multipurpose", "block")) {
            media.take(new RecipeCode(recipe));
        }
        media.set(new Mixing(12.0, 90.0, 0.05, 20, 0.32, 6.0));
        media.ingredients().values().forEach(this::buy);
        IN_THE_SHED.forEach(each ->
                shed.counted(id("shed/" + each.container()), new ContainerCode(each.container()), each.pieces(), null));
    }

    private void buy(Ingredient each) {
        Bought bought = BOUGHT.get(each.code().written());
        if (bought == null) {
            return;
        }
        media.put(new Ingredient(
                each.code(),
                each.name(),
                each.density(),
                each.bagLitres(),
                bought.price(),
                each.dusty(),
                each.alive()));
        // Most of it came before the winter; the last bags are of another delivery.
        int before = bought.bags() / 2;
        deliver(each.code(), "A1", before * each.bagLitres());
        deliver(each.code(), "B7", (bought.bags() - before) * each.bagLitres());
    }

    private void deliver(IngredientCode code, String lot, double litres) {
        mixing.deliver(id("delivery/" + code + "/" + lot), code, lot, "Millgate Yard", litres, null);
    }

    /** The mix that cells of a batch are filled from on a day; made first where the heap is too small or too old. */
    MixLot forSowing(int batch, boolean blocks, double litres, LocalDate today) {
        return heap(blocks ? FOR_BLOCKS : FOR_SOWING.get(batch % FOR_SOWING.size()), litres, today);
    }

    /** The mix that pots are filled from on a day. */
    MixLot forPots(double litres, LocalDate today) {
        return heap(FOR_POTS, litres, today);
    }

    private MixLot heap(RecipeCode recipe, double litres, LocalDate today) {
        List<MixLot> own = ledger.mixes().stream()
                .filter(mix -> mix.recipe().equals(recipe))
                .toList();
        return own.stream()
                .filter(mix -> mix.litres() >= litres * 1.2
                        && mix.madeOn().plusDays(OLDEST_HEAP).isAfter(today))
                .findFirst()
                .orElseGet(() -> {
                    int made = mixing.blend(
                            id("mix/" + recipe + "/" + today + "/" + own.size()),
                            recipe,
                            Math.max(USUAL_HEAP, Math.ceil(litres * 1.3)),
                            today,
                            null);
                    return ledger.mix(made).orElseThrow();
                });
    }

    private static UUID id(String what) {
        return UUID.nameUUIDFromBytes(what.getBytes(StandardCharsets.UTF_8));
    }
}
