package kiver.server.stock;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import kiver.core.stock.MixStore;
import kiver.server.clock.NurseryClock;
import kiver.server.media.KeptRecipe;
import kiver.server.media.MediaBook;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** What is in the store: the sum of what came and what went. */
@Component
public class StockLedger {

    /** Mixes that are used up stay on the list for so long. */
    private static final int WEEKS_SHOWN = 6;

    private final StockMapper mapper;
    private final MediaBook media;
    private final NurseryClock clock;

    StockLedger(StockMapper mapper, MediaBook media, NurseryClock clock) {
        this.mapper = mapper;
        this.media = media;
        this.clock = clock;
    }

    /** Every delivery of an ingredient, the oldest first. */
    public List<IngredientLot> lots() {
        return mapper.lots();
    }

    /** Mixes of which something is left, or that were made lately; the newest first. */
    public List<MixLot> mixes() {
        return mapper.mixes(clock.today().minusWeeks(WEEKS_SHOWN));
    }

    /** The mixes that batches were filled from, by number. */
    public List<Integer> mixesOf(List<Integer> batches) {
        return mapper.mixesOf(batches.toArray(Integer[]::new));
    }

    /** A mix by its number. */
    public Optional<MixLot> mix(int number) {
        return mapper.mix(number).stream().findFirst();
    }

    /** A mix by its number; refused where there is none. */
    public MixLot mixOrRefuse(int number) {
        return mix(number)
                .orElseThrow(() ->
                        new Refusal("mix", Said.of("There is no mix {number}.").with("number", number)));
    }

    /** Litres of each ingredient; what was used without being written down does not count against what is there. */
    public Map<IngredientCode, Double> inStore() {
        Map<IngredientCode, Double> litres = new HashMap<>();
        lots().forEach(lot -> litres.merge(lot.ingredient(), Math.max(0, lot.litres()), Double::sum));
        return litres;
    }

    /** Made mix and ingredients, to be held against what the plan asks for. */
    public MixStore store() {
        Map<RecipeCode, Double> made = new HashMap<>();
        mixes().forEach(mix -> made.merge(mix.recipe(), Math.max(0, mix.litres()), Double::sum));
        return new MixStore(
                media.recipes().stream()
                        .map(KeptRecipe::recipe)
                        .collect(Collectors.toMap(Recipe::code, Function.identity())),
                media.ingredients(),
                made,
                inStore());
    }

    /**
     * Cells or pots were filled from a mix; must run in the transaction that records it, and counts once for a request.
     *
     * @param batch number of the batch that stands in it
     * @param litres of loose mix
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void filled(MixLot mix, int batch, double litres, LocalDate day, Long by, UUID request) {
        mapper.moveMix("FILLED", mix.number(), -litres, day, batch, by, request);
    }
}
