package kiver.server.media;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import kiver.core.media.Composition;
import kiver.core.media.Handling;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Ingredients and recipes. */
@RestController
class MediaController {

    private final MediaBook media;

    MediaController(MediaBook media) {
        this.media = media;
    }

    /** An ingredient as it is entered. */
    record IngredientEntry(
            @NotBlank(message = "Enter its name.") @Size(max = 60, message = "Use at most 60 letters.")
            String name,

            @NotNull(message = "Say how heavy it is.")
            @DecimalMin(value = "0.01", message = "It weighs 0.01 to 4 kg a L.")
            @DecimalMax(value = "4", message = "It weighs 0.01 to 4 kg a L.")
            Double density,

            @NotNull(message = "Say how much a bag holds.")
            @DecimalMin(value = "0.1", message = "A bag holds 0.1 to 3000 L.")
            @DecimalMax(value = "3000", message = "A bag holds 0.1 to 3000 L.")
            Double bagLitres,

            @NotNull(message = "Say what a bag costs; 0 for nothing.")
            @DecimalMin(value = "0", message = "A price is 0 or more.")
            @DecimalMax(value = "100000", message = "A price is 100000 at most.")
            Double bagPrice,

            @NotNull(message = "Say whether it is dusty.") Boolean dusty,
            @NotNull(message = "Say whether life is in it.") Boolean alive) {}

    /** A recipe as it is entered; version 0 for a new one. */
    record RecipeEntry(
            @NotNull(message = "Say which version was seen.")
            Integer version,

            @NotBlank(message = "Enter its name.") @Size(max = 60, message = "Use at most 60 letters.")
            String name,

            @NotNull(message = "Say what it is for.") Recipe.Use use,

            @NotNull(message = "Say what goes in.")
            List<RecipeDocument.@NotNull(message = "Say what goes in.") BasePart> base,

            @NotNull(message = "Say what is added, or nothing.")
            List<RecipeDocument.@NotNull(message = "Say what is added.") Addition> additions,

            @Nullable
            @DecimalMin(value = "0.5", message = "A sieve has 0.5 to 50 mm.")
            @DecimalMax(value = "50", message = "A sieve has 0.5 to 50 mm.")
            Double sieve,

            @NotNull(message = "Say how much water it takes.")
            @DecimalMin(value = "0", message = "Enter 0 to 100 %.")
            @DecimalMax(value = "1", message = "Enter 0 to 100 %.")
            Double water,

            @NotNull(message = "Say how wet it is to be.") Handling.Wetness wetness,

            @NotNull(message = "Say how much it shrinks.")
            @DecimalMin(value = "0", message = "Enter 0 to 50 %.")
            @DecimalMax(value = "0.5", message = "Enter 0 to 50 %.")
            Double shrinkage,

            @NotNull(message = "Say how firmly it is filled.")
            @DecimalMin(value = "0.5", message = "Enter 0.5 to 2.")
            @DecimalMax(value = "2", message = "Enter 0.5 to 2.")
            Double packing,

            @NotNull(message = "Say whether it is clean or alive.")
            Recipe.Life life,

            @NotNull(message = "Say how long it feeds.")
            @Min(value = 0, message = "Enter 0 to 200 days.")
            @Max(value = 200, message = "Enter 0 to 200 days.")
            Integer reserveDays) {

        RecipeDocument document() {
            return new RecipeDocument(base, additions, sieve, water, wetness, shrinkage, packing, life, reserveDays);
        }
    }

    /** An ingredient of the nursery. */
    record IngredientView(
            String code,
            String name,
            double density,
            double bagLitres,
            double bagPrice,
            boolean dusty,
            boolean alive) {}

    /**
     * A recipe of the nursery, or one of the library to be taken.
     *
     * @param litres of each ingredient for a hundred litres of base, in the order in which they go in
     */
    record RecipeView(
            String code,
            String name,
            Recipe.Use use,
            boolean usual,
            boolean retired,
            int version,
            RecipeDocument says,
            List<LitresOf> litres) {}

    /** So much of an ingredient, by its code and its name. */
    record LitresOf(String ingredient, String name, double litres) {}

    /** All there is. */
    record MediaView(
            List<RecipeView> recipes, List<RecipeView> library, List<IngredientView> ingredients, Mixing mixing) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/media")
    MediaView media() {
        return new MediaView(
                media.recipes().stream()
                        .map(each -> view(each.recipe(), each.document(), each.usual(), each.retired(), each.version()))
                        .toList(),
                media.notTaken().stream()
                        .map(each -> view(
                                each.document().recipe(new RecipeCode(each.code()), each.name(), each.use()),
                                each.document(),
                                false,
                                false,
                                0))
                        .toList(),
                media.ingredients().values().stream().map(MediaController::view).toList(),
                media.mixing());
    }

    private RecipeView view(Recipe recipe, RecipeDocument document, boolean usual, boolean retired, int version) {
        Composition composition = recipe.composition();
        return new RecipeView(
                recipe.code().written(),
                recipe.name(),
                recipe.use(),
                usual,
                retired,
                version,
                document,
                composition.litres(100).entrySet().stream()
                        .map(each ->
                                new LitresOf(each.getKey().written(), media.nameOf(each.getKey()), each.getValue()))
                        .toList());
    }

    private static IngredientView view(Ingredient ingredient) {
        return new IngredientView(
                ingredient.code().written(),
                ingredient.name(),
                ingredient.density(),
                ingredient.bagLitres(),
                ingredient.bagPrice(),
                ingredient.dusty(),
                ingredient.alive());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/media/ingredients/{code}")
    void putIngredient(
            @PathVariable @Pattern(regexp = "[a-z0-9-]{1,40}") String code, @Valid @RequestBody IngredientEntry entry) {
        media.put(new Ingredient(
                new IngredientCode(code),
                entry.name().strip(),
                entry.density(),
                entry.bagLitres(),
                entry.bagPrice(),
                entry.dusty(),
                entry.alive()));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/media/recipes/{code}")
    void putRecipe(@PathVariable String code, @Valid @RequestBody RecipeEntry entry) {
        media.put(new RecipeCode(code), entry.version(), entry.name().strip(), entry.use(), entry.document());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/media/recipes/{code}/taking")
    void take(@PathVariable String code) {
        media.take(new RecipeCode(code));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/media/recipes/{code}/usual")
    void usual(@PathVariable String code) {
        media.makeUsual(new RecipeCode(code));
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/media/recipes/{code}/retirement")
    void retire(@PathVariable String code, @Valid @RequestBody RetirementEntry entry) {
        media.retire(new RecipeCode(code), entry.retired());
    }

    /** Whether a recipe is off the list. */
    record RetirementEntry(
            @NotNull(message = "Say whether it is to go or to come back.")
            Boolean retired) {}

    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/media/mixing")
    void mixing(@Valid @RequestBody Mixing entry) {
        media.set(entry);
    }
}
