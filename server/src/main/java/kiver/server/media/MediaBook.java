package kiver.server.media;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import kiver.core.media.RecipeRefused;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps ingredients and recipes; the library's own are there to be taken and changed. */
@Component
public class MediaBook {

    private final MediaMapper mapper;
    private final JsonMapper json;
    private final Path file;

    MediaBook(MediaMapper mapper, JsonMapper json, @Value("${kiver.library}") Path folder) {
        this.mapper = mapper;
        this.json = json;
        file = folder.resolve("mixes.json");
    }

    /** The library's file of mixes. */
    record Library(String note, List<LibraryIngredient> ingredients, List<LibraryRecipe> recipes) {}

    /** An ingredient of the library. */
    record LibraryIngredient(
            String code, String name, double density, double bagLitres, double bagPrice, boolean dusty, boolean alive) {
        Ingredient ingredient() {
            return new Ingredient(new IngredientCode(code), name, density, bagLitres, bagPrice, dusty, alive);
        }
    }

    /** A recipe of the library: what a recipe says, beside its name. */
    record LibraryRecipe(
            String code,
            String name,
            Recipe.Use use,
            @JsonUnwrapped RecipeDocument document) {}

    /** Every ingredient, by code. */
    public Map<IngredientCode, Ingredient> ingredients() {
        return mapper.ingredients().stream()
                .collect(Collectors.toMap(Ingredient::code, Function.identity(), (one, other) -> one, TreeMap::new));
    }

    /** Every recipe of the nursery, retired ones at the end. */
    public List<KeptRecipe> recipes() {
        return mapper.recipes().stream().map(this::kept).toList();
    }

    private KeptRecipe kept(MediaMapper.RecipeRow row) {
        RecipeDocument document = json.readValue(row.detail(), RecipeDocument.class);
        return new KeptRecipe(
                document.recipe(row.code(), row.name(), row.use()),
                document,
                row.usual(),
                row.retired(),
                row.version());
    }

    /** A recipe; told to be missing where it is. */
    public KeptRecipe recipe(RecipeCode code) {
        return recipes().stream()
                .filter(each -> each.recipe().code().equals(code))
                .findFirst()
                .orElseThrow(
                        () -> new NotFound(Said.of("There is no recipe {code}.").with("code", code.written())));
    }

    /** By which recipe mix of a use is made, unless it is said otherwise. */
    public Optional<Recipe> usual(Recipe.Use use) {
        return recipes().stream()
                .filter(each -> each.usual() && each.recipe().use() == use)
                .map(KeptRecipe::recipe)
                .findFirst();
    }

    /** What one mixes and measures with. */
    public Mixing mixing() {
        return mapper.mixing();
    }

    @Transactional
    public void set(Mixing mixing) {
        mapper.setMixing(mixing);
    }

    /** Recipes of the library that the nursery has not taken. */
    List<LibraryRecipe> notTaken() {
        List<RecipeCode> taken =
                recipes().stream().map(each -> each.recipe().code()).toList();
        return library().recipes().stream()
                .filter(each -> !taken.contains(new RecipeCode(each.code())))
                .toList();
    }

    /** Takes a recipe of the library with those of its ingredients that are not there yet; the first of its use is the usual one. */
    @Transactional
    public void take(RecipeCode code) {
        Library library = library();
        LibraryRecipe recipe = library.recipes().stream()
                .filter(each -> each.code().equals(code.written()))
                .findFirst()
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no recipe {code} in the library.").with("code", code.written())));
        Map<IngredientCode, Ingredient> there = ingredients();
        Recipe read = recipe.document().recipe(code, recipe.name(), recipe.use());
        library.ingredients().stream()
                .map(LibraryIngredient::ingredient)
                .filter(each ->
                        read.composition().ingredients().contains(each.code()) && !there.containsKey(each.code()))
                .forEach(mapper::putIngredient);
        mapper.addRecipe(code, recipe.name(), recipe.use(), json.writeValueAsString(recipe.document()));
        if (usual(recipe.use()).isEmpty()) {
            mapper.makeUsual(code);
        }
    }

    /** What an ingredient is called here, or else in the library. */
    String nameOf(IngredientCode code) {
        Ingredient known = ingredients().get(code);
        return known != null
                ? known.name()
                : library().ingredients().stream()
                        .filter(each -> each.code().equals(code.written()))
                        .map(LibraryIngredient::name)
                        .findFirst()
                        .orElse(code.written());
    }

    /** Adds an ingredient or puts it in the place of the one with its code. */
    @Transactional
    public void put(Ingredient ingredient) {
        if (!mapper.othersCalled(ingredient.code(), ingredient.name()).isEmpty()) {
            throw new Refusal(
                    "name",
                    Said.of("Another ingredient is called {name} already.").with("name", ingredient.name()));
        }
        mapper.putIngredient(ingredient);
    }

    /**
     * Adds a recipe, or changes the one with its code.
     *
     * @param version that was seen; 0 for a new one
     */
    @Transactional
    public void put(RecipeCode code, int version, String name, Recipe.Use use, RecipeDocument document) {
        Recipe recipe = read(code, name, use, document);
        Map<IngredientCode, Ingredient> known = ingredients();
        recipe.composition().ingredients().stream()
                .filter(each -> !known.containsKey(each))
                .findFirst()
                .ifPresent(unknown -> {
                    throw new Refusal(
                            "base",
                            Said.of("There is no ingredient {ingredient}; add it first.")
                                    .with("ingredient", unknown.written()));
                });
        if (recipes().stream()
                .anyMatch(each -> each.recipe().name().equalsIgnoreCase(name)
                        && !each.recipe().code().equals(code))) {
            throw new Refusal(
                    "name", Said.of("Another recipe is called {name} already.").with("name", name));
        }
        String detail = json.writeValueAsString(document);
        int done = version == 0
                ? mapper.addRecipe(code, name, use, detail)
                : mapper.changeRecipe(code, version, name, use, detail);
        if (done == 0) {
            throw new Refusal(
                    "version",
                    version == 0
                            ? Said.of("There is a recipe {code} already.").with("code", code.written())
                            : Said.of(
                                    "Somebody changed this recipe meanwhile. Look at it as it is now and change it anew."));
        }
        if (usual(use).isEmpty()) {
            mapper.makeUsual(code);
        }
    }

    private static Recipe read(RecipeCode code, String name, Recipe.Use use, RecipeDocument document) {
        try {
            return document.recipe(code, name, use);
        } catch (RecipeRefused refused) {
            throw new Refusal("base", Said.of((Record) refused.fault()));
        }
    }

    /** Makes a recipe the usual one of its use. */
    @Transactional
    public void makeUsual(RecipeCode code) {
        mapper.nothingUsualLike(recipe(code).recipe().code());
        mapper.makeUsual(code);
    }

    /** Takes a recipe off the list, or back onto it. */
    @Transactional
    void retire(RecipeCode code, boolean retired) {
        mapper.retire(recipe(code).recipe().code(), retired);
    }

    private Library library() {
        try {
            return json.readValue(Files.readString(file), Library.class);
        } catch (IOException unreadable) {
            throw new UncheckedIOException("The library's file cannot be read: " + file, unreadable);
        }
    }
}
