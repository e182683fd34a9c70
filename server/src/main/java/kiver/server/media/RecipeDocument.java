package kiver.server.media;

import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;
import kiver.core.media.Composition;
import kiver.core.media.Handling;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;

/**
 * What a recipe says, as it is kept, sent and stands in the library's file; figures are those of {@link Recipe},
 * {@link Composition} and {@link Handling}.
 *
 * @param base in parts
 * @param additions in the order in which they are added
 * @param sieve mm; missing for a mix that is not sieved
 */
public record RecipeDocument(
        List<BasePart> base,
        List<Addition> additions,
        @Nullable Double sieve,
        double water,
        Handling.Wetness wetness,
        double shrinkage,
        double packing,
        Recipe.Life life,
        int reserveDays) {

    /** So many parts of something. */
    public record BasePart(String ingredient, double parts) {}

    /** A share of the base or of the running total, shared evenly by several. */
    public record Addition(List<String> ingredients, double share, Composition.Of of) {}

    /** As the core takes it. */
    Recipe recipe(RecipeCode code, String name, Recipe.Use use) {
        return new Recipe(
                code,
                name,
                use,
                new Composition(
                        base.stream()
                                .map(part -> new Composition.Part(new IngredientCode(part.ingredient()), part.parts()))
                                .toList(),
                        additions.stream()
                                .map(addition -> new Composition.Addition(
                                        addition.ingredients().stream()
                                                .map(IngredientCode::new)
                                                .toList(),
                                        addition.share(),
                                        addition.of()))
                                .toList()),
                new Handling(Optional.ofNullable(sieve), water, wetness, shrinkage, packing),
                life,
                reserveDays);
    }
}
