package kiver.server.stock;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import kiver.server.clock.NurseryClock;
import kiver.server.media.KeptRecipe;
import kiver.server.media.MediaBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Takes down deliveries, mixings and counts of the store. */
@Service
public class MixingService {

    /** What is used without ever having been written down is used of this lot. */
    private static final String UNKNOWN = "?";

    private final StockMapper mapper;
    private final StockLedger ledger;
    private final MediaBook media;
    private final Requests requests;
    private final NurseryClock clock;
    private final JsonMapper json;

    MixingService(
            StockMapper mapper,
            StockLedger ledger,
            MediaBook media,
            Requests requests,
            NurseryClock clock,
            JsonMapper json) {
        this.mapper = mapper;
        this.ledger = ledger;
        this.media = media;
        this.requests = requests;
        this.clock = clock;
        this.json = json;
    }

    /** A delivery of an ingredient came. */
    @Transactional
    public void deliver(UUID request, IngredientCode ingredient, String code, String supplier, double litres, Long by) {
        Ingredient known = media.ingredients().get(ingredient);
        if (known == null) {
            throw new Refusal(
                    "ingredient",
                    Said.of("There is no ingredient {ingredient}; add it first.")
                            .with("ingredient", ingredient.written()));
        }
        requests.once(request, Arrays.asList("delivery", ingredient.written(), code, supplier, litres, by), () -> {
            long lot = mapper.lot(ingredient, code, supplier, clock.today());
            mapper.moveIngredient("BOUGHT", lot, litres, clock.today(), null, by, request);
            return lot;
        });
    }

    /**
     * A mix was made: its ingredients are taken from their oldest lots, and what was not written down from none.
     *
     * @param litres made, ready to be filled
     * @param day on which; null for today
     * @return its number
     */
    @Transactional
    public int blend(UUID request, RecipeCode code, double litres, @Nullable LocalDate day, Long by) {
        KeptRecipe kept = media.recipe(code);
        LocalDate made = day == null ? clock.today() : day;
        if (made.isAfter(clock.today())) {
            throw new Refusal(
                    "day",
                    Said.of("The day {happened} is still to come; today is {today}.")
                            .with("happened", made)
                            .with("today", clock.today()));
        }
        return (int) requests.once(request, Arrays.asList("mix", code.written(), litres, made, by), () -> {
            mapper.oneAtATime();
            Recipe recipe = kept.recipe();
            int mix = mapper.addMix(code, recipe.name(), made, json.writeValueAsString(kept.document()));
            List<IngredientLot> lots = ledger.lots();
            recipe.composition()
                    .litres(recipe.baseFor(litres))
                    .forEach((ingredient, volume) ->
                            takeOldestFirst(lots, ingredient, volume, new Mixed(mix, made, by, request)));
            mapper.moveMix("MADE", mix, litres, made, null, by, request);
            return mix;
        });
    }

    /** The mix that is being made. */
    private record Mixed(int number, LocalDate day, Long by, UUID request) {}

    private void takeOldestFirst(List<IngredientLot> lots, IngredientCode ingredient, double litres, Mixed mix) {
        double left = litres;
        List<IngredientLot> own = lots.stream()
                .filter(lot -> lot.ingredient().equals(ingredient))
                .sorted(Comparator.comparing(IngredientLot::boughtOn).thenComparing(IngredientLot::id))
                .toList();
        for (IngredientLot lot : own) {
            double taken = Math.min(left, Math.max(0, lot.litres()));
            if (taken > 0) {
                take(lot.id(), taken, mix);
                left -= taken;
            }
        }
        if (left > 1e-9) {
            take(mapper.lot(ingredient, UNKNOWN, "", mix.day()), left, mix);
        }
    }

    private void take(long lot, double litres, Mixed mix) {
        mapper.moveIngredient("BLENDED_IN", lot, -litres, mix.day(), mix.number(), mix.by(), mix.request());
    }

    /** Somebody looked how much is left of a mix. */
    @Transactional
    public void countMix(UUID request, int number, double litres, Long by) {
        requests.once(request, Arrays.asList("mix counted", number, litres, by), () -> {
            mapper.oneAtATime();
            MixLot mix = ledger.mixOrRefuse(number);
            mapper.moveMix("COUNTED", number, litres - mix.litres(), clock.today(), null, by, request);
            return number;
        });
    }

    /** Somebody looked how much is left of a delivery. */
    @Transactional
    public void countLot(UUID request, long id, double litres, Long by) {
        requests.once(request, Arrays.asList("ingredient counted", id, litres, by), () -> {
            mapper.oneAtATime();
            IngredientLot lot = ledger.lots().stream()
                    .filter(each -> each.id() == id)
                    .findFirst()
                    .orElseThrow(() -> new Refusal("lot", Said.of("This delivery is not in the store.")));
            mapper.moveIngredient("COUNTED", id, litres - lot.litres(), clock.today(), null, by, request);
            return id;
        });
    }
}
