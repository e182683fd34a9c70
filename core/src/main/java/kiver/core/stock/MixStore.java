package kiver.core.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;

/**
 * Mix that is made and ingredients that are in the store, held against what the plan asks for: made mix is used first, the
 * rest is blended from ingredients, in the order of days.
 *
 * @param recipes by code
 * @param ingredients by code
 * @param made litres of each mix that lie ready, 0 or more
 * @param inStore litres of each ingredient, 0 or more
 */
public record MixStore(
        Map<RecipeCode, Recipe> recipes,
        Map<IngredientCode, Ingredient> ingredients,
        Map<RecipeCode, Double> made,
        Map<IngredientCode, Double> inStore) {

    /** What nobody weighs. */
    private static final double NOTHING = 1e-6;

    public MixStore {
        recipes = Map.copyOf(recipes);
        ingredients = Map.copyOf(ingredients);
        made = Map.copyOf(made);
        inStore = Map.copyOf(inStore);
    }

    /**
     * Something to be bought.
     *
     * @param needed litres that the plan takes
     * @param lacking litres that are not in the store, above 0
     * @param bags to buy
     * @param cost of those bags
     * @param by the day on which it is needed
     */
    public record ToBuy(Ingredient ingredient, double needed, double lacking, int bags, double cost, LocalDate by) {}

    /** What of an ingredient goes, and where it ends. */
    private static final class Taken {
        private double litres;
        private double lacking;
        private Optional<LocalDate> by = Optional.empty();
    }

    /** What was taken, and what is left of made mix and of ingredients. */
    private record Walked(
            Map<IngredientCode, Taken> taken, Map<RecipeCode, Double> ready, Map<IngredientCode, Double> store) {}

    /** Goes through needs day by day, made mix used first. */
    private Walked walk(List<MixNeed> needs) {
        Map<RecipeCode, Double> ready = new HashMap<>(made);
        Map<IngredientCode, Double> store = new HashMap<>(inStore);
        Map<IngredientCode, Taken> taken = new TreeMap<>();
        for (MixNeed need : needs.stream()
                .sorted(Comparator.comparing(MixNeed::day).thenComparing(MixNeed::batch))
                .toList()) {
            double fromHeap = Math.min(need.litres(), Math.max(0, ready.getOrDefault(need.recipe(), 0.0)));
            ready.merge(need.recipe(), -fromHeap, Double::sum);
            double toBlend = need.litres() - fromHeap;
            Recipe recipe = recipes.get(need.recipe());
            if (toBlend > NOTHING && recipe != null) {
                recipe.composition().litres(recipe.baseFor(toBlend)).forEach((ingredient, litres) -> {
                    Taken each = taken.computeIfAbsent(ingredient, any -> new Taken());
                    double left = Math.max(0, store.getOrDefault(ingredient, 0.0));
                    each.litres += litres;
                    if (litres > left + NOTHING) {
                        each.lacking += litres - left;
                        each.by = each.by.or(() -> Optional.of(need.day()));
                    }
                    store.put(ingredient, Math.max(0, left - litres));
                });
            }
        }
        return new Walked(taken, ready, store);
    }

    /** What must be bought for needs, the soonest first. */
    public List<ToBuy> toBuy(List<MixNeed> needs) {
        List<ToBuy> list = new ArrayList<>();
        walk(needs).taken().forEach((code, each) -> {
            Ingredient ingredient = ingredients.get(code);
            if (ingredient != null && each.by.isPresent()) {
                int bags = (int) Math.ceil(each.lacking / ingredient.bagLitres() - NOTHING);
                list.add(new ToBuy(
                        ingredient, each.litres, each.lacking, bags, bags * ingredient.bagPrice(), each.by.get()));
            }
        });
        list.sort(Comparator.comparing(ToBuy::by)
                .thenComparing(each -> each.ingredient().name()));
        return List.copyOf(list);
    }

    /** What would be left were needs met as far as they can be: what one more need has to make do with. */
    public MixStore after(List<MixNeed> needs) {
        Walked walked = walk(needs);
        return new MixStore(recipes, ingredients, walked.ready(), walked.store());
    }
}
