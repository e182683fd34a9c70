package kiver.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.media.Composition;
import kiver.core.media.Handling;
import kiver.core.media.Ingredient;
import kiver.core.media.IngredientCode;
import kiver.core.media.Recipe;
import kiver.core.media.RecipeCode;
import org.junit.jupiter.api.Test;

class MixStoreTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);
    private static final IngredientCode COIR = new IngredientCode("coir");
    private static final IngredientCode SAND = new IngredientCode("sand");
    private static final RecipeCode FINE = new RecipeCode("fine");
    private static final Recipe RECIPE = new Recipe(
            FINE,
            "Fine mix",
            Recipe.Use.SOWING,
            new Composition(List.of(new Composition.Part(COIR, 3), new Composition.Part(SAND, 1)), List.of()),
            new Handling(Optional.empty(), 0.3, Handling.Wetness.HOLDS_TOGETHER, 0.2, 1),
            Recipe.Life.CLEAN,
            14);

    private static MixStore store(double made, double coir, double sand) {
        return new MixStore(
                Map.of(FINE, RECIPE),
                Map.of(
                        COIR, new Ingredient(COIR, "Coir", 0.1, 50, 10, false, false),
                        SAND, new Ingredient(SAND, "Sand", 1.6, 20, 4, false, false)),
                Map.of(FINE, made),
                Map.of(COIR, coir, SAND, sand));
    }

    private static MixNeed need(int days, double litres, int batch) {
        return new MixNeed(DAY.plusDays(days), FINE, litres, batch);
    }

    @Test
    void whatLiesReadyGoesFirstAndTheRestIsBlended() {
        // 40 L wanted, 8 ready: 32 L are 40 L dry, 30 of coir and 10 of sand.
        List<MixStore.ToBuy> toBuy = store(8, 30, 0).toBuy(List.of(need(0, 40, 201)));
        assertThat(toBuy).hasSize(1);
        assertThat(toBuy.get(0).ingredient().code()).isEqualTo(SAND);
        assertThat(toBuy.get(0).lacking()).isCloseTo(10, within(1e-9));
        assertThat(toBuy.get(0).bags()).isEqualTo(1);
        assertThat(toBuy.get(0).cost()).isEqualTo(4);
    }

    @Test
    void theFirstDayOnWhichItLacksIsTheDayToBuyBy() {
        List<MixStore.ToBuy> toBuy =
                store(0, 60, 100).toBuy(List.of(need(20, 80, 203), need(0, 40, 201), need(7, 40, 202)));
        assertThat(toBuy).hasSize(1);
        assertThat(toBuy.get(0).by()).isEqualTo(DAY.plusDays(7));
        // 160 L are 200 L dry, 150 of coir; 60 are there.
        assertThat(toBuy.get(0).needed()).isCloseTo(150, within(1e-9));
        assertThat(toBuy.get(0).lacking()).isCloseTo(90, within(1e-9));
        assertThat(toBuy.get(0).bags()).isEqualTo(2);
    }

    @Test
    void oneMoreNeedMakesDoWithWhatTheOthersLeave() {
        MixStore left = store(10, 60, 100).after(List.of(need(0, 42, 201)));
        // 10 L ready and 32 L blended of 30 L coir and 10 L sand: 30 L coir left.
        assertThat(left.made().get(FINE)).isCloseTo(0, within(1e-9));
        assertThat(left.inStore().get(COIR)).isCloseTo(30, within(1e-9));
        assertThat(left.inStore().get(SAND)).isCloseTo(90, within(1e-9));
        assertThat(left.toBuy(List.of(need(3, 32, 0)))).isEmpty();
        assertThat(left.toBuy(List.of(need(3, 40, 0))).get(0).lacking()).isCloseTo(7.5, within(1e-9));
        assertThat(left.toBuy(List.of(need(3, 40, 0))).get(0).by()).isEqualTo(DAY.plusDays(3));
    }

    @Test
    void ofWhatNobodyMakesNothingIsAsked() {
        assertThat(store(0, 0, 0).toBuy(List.of(new MixNeed(DAY, new RecipeCode("unknown"), 40, 201))))
                .isEmpty();
    }
}
