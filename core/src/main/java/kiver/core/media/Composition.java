package kiver.core.media;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What a mix is made of: a base in parts, then additions one after the other.
 *
 * <p>Example: coir 3 parts and compost 1; perlite 10 % and vermiculite 10 % of the base; slow feeds 10 % of the whole,
 * shared by three. 100 L of base become 120 L, then 132 L.
 *
 * @param base in parts
 * @param additions in the order in which they are added
 */
public record Composition(List<Part> base, List<Addition> additions) {

    private static final int MOST_PARTS = 1000;
    private static final int MOST_PIECES = 30;

    /**
     * So many parts of something.
     *
     * @param parts above 0, for example 3 of "three to one", or 75 of "75 to 25"
     */
    public record Part(IngredientCode ingredient, double parts) {}

    /** What the share of an addition is a share of. */
    public enum Of {
        /** The volume of the base, whatever was added to it meanwhile. */
        BASE,
        /** All that lies there so far. */
        RUNNING_TOTAL
    }

    /**
     * Something added by a share of volume; shared evenly where it is several.
     *
     * @param ingredients at least one
     * @param share above 0, at most 1
     * @param of what
     */
    public record Addition(List<IngredientCode> ingredients, double share, Of of) {
        public Addition {
            ingredients = List.copyOf(ingredients);
        }
    }

    public Composition {
        base = List.copyOf(base);
        additions = List.copyOf(additions);
        require(base, additions);
    }

    private static void require(List<Part> base, List<Addition> additions) {
        if (base.isEmpty()) {
            throw new RecipeRefused(new RecipeFault.NoBase());
        }
        int pieces = base.size()
                + additions.stream().mapToInt(each -> each.ingredients().size()).sum();
        if (pieces > MOST_PIECES) {
            throw new RecipeRefused(new RecipeFault.TooMany(pieces, MOST_PIECES));
        }
        for (Part part : base) {
            if (!(part.parts() > 0 && part.parts() <= MOST_PARTS)) {
                throw new RecipeRefused(
                        new RecipeFault.PartsOutOfRange(part.ingredient().written(), part.parts(), MOST_PARTS));
            }
        }
        requireOnce(base.stream().map(Part::ingredient));
        for (int index = 0; index < additions.size(); index++) {
            Addition addition = additions.get(index);
            if (addition.ingredients().isEmpty()) {
                throw new RecipeRefused(new RecipeFault.NothingAdded(index + 1));
            }
            if (!(addition.share() > 0 && addition.share() <= 1)) {
                throw new RecipeRefused(new RecipeFault.ShareOutOfRange(index + 1, addition.share()));
            }
            requireOnce(addition.ingredients().stream());
        }
    }

    private static void requireOnce(Stream<IngredientCode> ingredients) {
        Set<IngredientCode> seen = new HashSet<>();
        ingredients.filter(each -> !seen.add(each)).findFirst().ifPresent(twice -> {
            throw new RecipeRefused(new RecipeFault.NamedTwice(twice.written()));
        });
    }

    /** Everything that goes in, each once. */
    public Set<IngredientCode> ingredients() {
        return litres(1).keySet();
    }

    /**
     * Litres of each ingredient.
     *
     * @param baseLitres litres of the base, above 0
     * @return in the order in which they go into the barrow
     */
    public Map<IngredientCode, Double> litres(double baseLitres) {
        double parts = base.stream().mapToDouble(Part::parts).sum();
        Map<IngredientCode, Double> litres = new LinkedHashMap<>();
        base.forEach(part -> litres.merge(part.ingredient(), baseLitres * part.parts() / parts, Double::sum));
        double total = baseLitres;
        for (Addition addition : additions) {
            double added = addition.share() * (addition.of() == Of.BASE ? baseLitres : total);
            total += added;
            for (IngredientCode ingredient : addition.ingredients()) {
                litres.merge(ingredient, added / addition.ingredients().size(), Double::sum);
            }
        }
        return litres;
    }

    /** Litres of all together, before anything shrinks. */
    public double total(double baseLitres) {
        return litres(baseLitres).values().stream()
                .mapToDouble(Double::doubleValue)
                .sum();
    }
}
