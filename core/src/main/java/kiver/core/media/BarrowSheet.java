package kiver.core.media;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import kiver.core.crop.Container;

/**
 * What goes into the barrow for one mixing: litres, buckets, bags, water, what must be lifted and what it costs.
 *
 * @param recipe that is made
 * @param litres of mix, ready to be filled, waste included
 * @param dry litres of all ingredients before they shrink
 * @param water litres to moisten it
 * @param mass kg of everything with its water
 * @param loads barrows it takes, at least 1
 * @param heaviest kg of the heaviest thing to be lifted: a full bag that is opened, or a bucket of wet mix
 * @param cost of the ingredients, in the nursery's own money
 * @param lines in the order in which they go in
 * @param fills for what, with each one's share
 */
public record BarrowSheet(
        Recipe recipe,
        double litres,
        double dry,
        double water,
        double mass,
        int loads,
        double heaviest,
        double cost,
        List<Line> lines,
        List<FillCost> fills) {

    private static final double MILLILITRES_IN_LITRE = 1000;

    /** A hair less than a bag more is no reason to open another. */
    private static final double ROUNDING = 1e-6;

    /**
     * One ingredient.
     *
     * @param litres of it
     * @param buckets of it, to be measured with
     * @param bags to be opened for it beside what is open already
     * @param mass kg
     * @param cost of what goes in
     */
    public record Line(Ingredient ingredient, double litres, double buckets, int bags, double mass, double cost) {}

    /**
     * Containers to be filled.
     *
     * @param container of them
     * @param count 1 or more
     */
    public record Fill(Container container, int count) {
        public Fill {
            if (count < 1) {
                throw new IllegalArgumentException("At least one container is filled, not " + count + ".");
            }
        }

        /** Litres of loose mix that they take. */
        public double litres(Handling handling) {
            return count * container.mixVolume() / MILLILITRES_IN_LITRE * handling.packing();
        }
    }

    /**
     * What filling comes to.
     *
     * @param litres each takes, waste included
     * @param cost of one
     */
    public record FillCost(Fill fill, double litres, double cost) {}

    /**
     * What one mixes and measures with.
     *
     * @param bucket litres of a bucket, above 0
     * @param barrow litres of a barrow or a tub, above 0
     * @param waste share of the filled volume that is spilled or left over besides, 0 to 1
     */
    public record Tools(double bucket, double barrow, double waste) {
        public Tools {
            if (!(bucket > 0) || !(barrow > 0) || !(waste >= 0 && waste <= 1)) {
                throw new IllegalArgumentException(
                        "Buckets, barrows and waste cannot be " + bucket + ", " + barrow + " and " + waste + ".");
            }
        }
    }

    /**
     * The sheet for so many litres.
     *
     * @param recipe to be made
     * @param litres of mix, above 0
     * @param ingredients those of the recipe, by code
     * @param inStore litres of each that are in the store; what stands in an open bag is used first
     * @param tools of the nursery
     */
    public static BarrowSheet of(
            Recipe recipe,
            double litres,
            Map<IngredientCode, Ingredient> ingredients,
            Map<IngredientCode, Double> inStore,
            Tools tools) {
        return of(recipe, litres, List.of(), ingredients, inStore, tools);
    }

    /** The sheet for containers to be filled; their waste is counted in. */
    public static BarrowSheet of(
            Recipe recipe,
            List<Fill> fills,
            Map<IngredientCode, Ingredient> ingredients,
            Map<IngredientCode, Double> inStore,
            Tools tools) {
        double litres = fills.stream()
                        .mapToDouble(fill -> fill.litres(recipe.handling()))
                        .sum()
                * (1 + tools.waste());
        return of(recipe, litres, fills, ingredients, inStore, tools);
    }

    private static BarrowSheet of(
            Recipe recipe,
            double litres,
            List<Fill> fills,
            Map<IngredientCode, Ingredient> ingredients,
            Map<IngredientCode, Double> inStore,
            Tools tools) {
        if (!(litres > 0)) {
            throw new IllegalArgumentException("A mix of " + litres + " L cannot be made.");
        }
        List<Line> lines = new ArrayList<>();
        recipe.composition().litres(recipe.baseFor(litres)).forEach((code, volume) -> {
            Ingredient ingredient = ingredients.get(code);
            if (ingredient == null) {
                throw new IllegalArgumentException("Nothing is known of the ingredient " + code + ".");
            }
            lines.add(new Line(
                    ingredient,
                    volume,
                    volume / tools.bucket(),
                    bags(ingredient, volume, inStore.getOrDefault(code, 0.0)),
                    volume * ingredient.density(),
                    volume * ingredient.pricePerLitre()));
        });
        double dry = lines.stream().mapToDouble(Line::litres).sum();
        double water = dry * recipe.handling().water();
        double mass = lines.stream().mapToDouble(Line::mass).sum() + water;
        double cost = lines.stream().mapToDouble(Line::cost).sum();
        double bucketful = Math.min(litres, tools.bucket()) * mass / litres;
        double heaviest = lines.stream()
                .filter(line -> line.bags() > 0)
                .map(line -> line.ingredient().bagMass())
                .max(Comparator.naturalOrder())
                .map(bag -> Math.max(bag, bucketful))
                .orElse(bucketful);
        double used = fills.stream()
                .mapToDouble(fill -> fill.litres(recipe.handling()))
                .sum();
        return new BarrowSheet(
                recipe,
                litres,
                dry,
                water,
                mass,
                Math.max(1, (int) Math.ceil(dry / tools.barrow() - ROUNDING)),
                heaviest,
                cost,
                List.copyOf(lines),
                fills.stream()
                        .map(fill -> {
                            double share = fill.litres(recipe.handling()) / used;
                            return new FillCost(fill, share * litres / fill.count(), share * cost / fill.count());
                        })
                        .toList());
    }

    /** Bags to open: what the open bag does not hold. */
    private static int bags(Ingredient ingredient, double litres, double inStore) {
        double open = inStore > 0 ? inStore % ingredient.bagLitres() : 0;
        return Math.max(0, (int) Math.ceil((litres - open) / ingredient.bagLitres() - ROUNDING));
    }

    /** Whether its dust harms, so that the work is done damp and with a mask. */
    public boolean isDusty() {
        return lines.stream().anyMatch(line -> line.ingredient().dusty());
    }

    /** Whether life is in it, so that bags are opened away from the face and hands are washed. */
    public boolean isAlive() {
        return lines.stream().anyMatch(line -> line.ingredient().alive());
    }

    /** Cost of a litre. */
    public double costPerLitre() {
        return cost / litres;
    }
}
