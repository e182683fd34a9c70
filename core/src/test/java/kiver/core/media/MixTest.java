package kiver.core.media;

import static kiver.core.media.Composition.Of.BASE;
import static kiver.core.media.Composition.Of.RUNNING_TOTAL;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MixTest {

    private static final IngredientCode COIR = new IngredientCode("coir");
    private static final IngredientCode COMPOST = new IngredientCode("compost");
    private static final IngredientCode PERLITE = new IngredientCode("perlite");
    private static final IngredientCode VERMICULITE = new IngredientCode("vermiculite");
    private static final List<IngredientCode> FEEDS =
            List.of(new IngredientCode("feed-a"), new IngredientCode("feed-b"), new IngredientCode("feed-c"));
    private static final BarrowSheet.Tools TOOLS = new BarrowSheet.Tools(10, 80, 0.1);
    private static final Container TRAY = new Container(new ContainerCode("t"), "Tray of 100", 10, 10, 20, 40, 1);

    private static Composition.Part part(IngredientCode ingredient, double parts) {
        return new Composition.Part(ingredient, parts);
    }

    private static Composition.Addition add(IngredientCode ingredient, double share) {
        return new Composition.Addition(List.of(ingredient), share, BASE);
    }

    /** computation.md 14: 100 L of base 75 to 25, 10 % and 10 % of it, then 10 % of the running total shared by three. */
    private static final Composition WORKED = new Composition(
            List.of(part(COIR, 75), part(COMPOST, 25)),
            List.of(add(PERLITE, 0.1), add(VERMICULITE, 0.1), new Composition.Addition(FEEDS, 0.1, RUNNING_TOTAL)));

    private static Recipe recipe(Composition composition, double shrinkage, double packing) {
        return new Recipe(
                new RecipeCode("r"),
                "A mix",
                Recipe.Use.SOWING,
                composition,
                new Handling(Optional.of(6.0), 0.25, Handling.Wetness.HOLDS_TOGETHER, shrinkage, packing),
                Recipe.Life.ALIVE,
                28);
    }

    private static Ingredient ingredient(IngredientCode code, double density, double bag, double price) {
        return new Ingredient(code, code.written(), density, bag, price, code.equals(PERLITE), code.equals(COMPOST));
    }

    private static final Map<IngredientCode, Ingredient> STORE = Map.of(
            COIR,
            ingredient(COIR, 0.1, 70, 14),
            COMPOST,
            ingredient(COMPOST, 0.6, 40, 8),
            PERLITE,
            ingredient(PERLITE, 0.1, 100, 20),
            VERMICULITE,
            ingredient(VERMICULITE, 0.12, 100, 25),
            FEEDS.get(0),
            ingredient(FEEDS.get(0), 1, 10, 30),
            FEEDS.get(1),
            ingredient(FEEDS.get(1), 1, 10, 30),
            FEEDS.get(2),
            ingredient(FEEDS.get(2), 1, 10, 30));

    @Test
    void theWorkedRecipeComesOut() {
        Map<IngredientCode, Double> litres = WORKED.litres(100);
        assertThat(litres.get(COIR)).isCloseTo(75, within(1e-9));
        assertThat(litres.get(COMPOST)).isCloseTo(25, within(1e-9));
        assertThat(litres.get(PERLITE)).isCloseTo(10, within(1e-9));
        assertThat(litres.get(VERMICULITE)).isCloseTo(10, within(1e-9));
        FEEDS.forEach(feed -> assertThat(litres.get(feed)).isCloseTo(4, within(1e-9)));
        assertThat(WORKED.total(100)).isCloseTo(132, within(1e-9));
        assertThat(new Composition(WORKED.base(), WORKED.additions().subList(0, 2)).total(100))
                .isCloseTo(120, within(1e-9));
    }

    @Test
    void theBarrowSheetTakesWhatFillingTakes() {
        // 4 trays of 100 cells of 20 mL are 8 L; firmed by a tenth 8.8 L; a tenth of waste: 9.68 L; shrunk from 12.1 L.
        BarrowSheet sheet = BarrowSheet.of(
                recipe(WORKED, 0.2, 1.1), List.of(new BarrowSheet.Fill(TRAY, 4)), STORE, Map.of(), TOOLS);
        assertThat(sheet.litres()).isCloseTo(9.68, within(1e-9));
        assertThat(sheet.dry()).isCloseTo(12.1, within(1e-9));
        assertThat(sheet.water()).isCloseTo(12.1 / 4, within(1e-9));
        double mass = 12.1 / 132 * (75 * 0.1 + 25 * 0.6 + 10 * 0.1 + 10 * 0.12 + 12 * 1) + 12.1 / 4;
        assertThat(sheet.mass()).isCloseTo(mass, within(1e-9));
        double cost = 12.1 / 132 * (75 * 0.2 + 25 * 0.2 + 10 * 0.2 + 10 * 0.25 + 12 * 3);
        assertThat(sheet.cost()).isCloseTo(cost, within(1e-9));
        assertThat(sheet.fills().get(0).cost()).isCloseTo(cost / 4, within(1e-9));
        assertThat(sheet.fills().get(0).litres()).isCloseTo(9.68 / 4, within(1e-9));
        assertThat(sheet.lines()).extracting(BarrowSheet.Line::bags).containsOnly(1);
        assertThat(sheet.loads()).isEqualTo(1);
        assertThat(sheet.isDusty()).isTrue();
        assertThat(sheet.isAlive()).isTrue();
    }

    @Test
    void anOpenBagIsUsedFirst() {
        Recipe plain = recipe(new Composition(List.of(part(COIR, 1)), List.of()), 0, 1);
        assertThat(bags(plain, 100, 0)).isEqualTo(2);
        assertThat(bags(plain, 100, 30)).isEqualTo(1);
        assertThat(bags(plain, 100, 70)).isEqualTo(2);
        assertThat(bags(plain, 100, 170)).isEqualTo(1);
        assertThat(bags(plain, 30, 30)).isZero();
        assertThat(bags(plain, 140, 0)).isEqualTo(2);
    }

    private static int bags(Recipe recipe, double litres, double inStore) {
        return BarrowSheet.of(recipe, litres, STORE, Map.of(COIR, inStore), TOOLS)
                .lines()
                .get(0)
                .bags();
    }

    @Test
    void whatIsHeaviestToLiftIsTheBagThatIsOpenedOrAWetBucket() {
        Recipe compost = recipe(new Composition(List.of(part(COMPOST, 1)), List.of()), 0, 1);
        assertThat(BarrowSheet.of(compost, 100, STORE, Map.of(), TOOLS).heaviest())
                .isCloseTo(24, within(1e-9));
        assertThat(BarrowSheet.of(compost, 30, STORE, Map.of(COMPOST, 35.0), TOOLS)
                        .heaviest())
                .isCloseTo(10 * (0.6 + 0.25), within(1e-9));
        assertThat(BarrowSheet.of(compost, 200, STORE, Map.of(), TOOLS).loads()).isEqualTo(3);
    }

    @Test
    void aRecipeOfNothingOrOfMoreThanTheWholeIsRefusedWithItsPlace() {
        assertThat(fault(List.of(), List.of())).isEqualTo(new RecipeFault.NoBase());
        assertThat(fault(List.of(part(COIR, 0)), List.of()))
                .isEqualTo(new RecipeFault.PartsOutOfRange("coir", 0, 1000));
        assertThat(fault(List.of(part(COIR, Double.NaN)), List.of())).isInstanceOf(RecipeFault.PartsOutOfRange.class);
        assertThat(fault(List.of(part(COIR, 1)), List.of(add(PERLITE, 0.1), add(VERMICULITE, 1.4))))
                .isEqualTo(new RecipeFault.ShareOutOfRange(2, 1.4));
        assertThat(fault(List.of(part(COIR, 1), part(COIR, 2)), List.of()))
                .isEqualTo(new RecipeFault.NamedTwice("coir"));
        assertThat(fault(List.of(part(COIR, 1)), List.of(new Composition.Addition(List.of(), 0.1, BASE))))
                .isEqualTo(new RecipeFault.NothingAdded(1));
    }

    private static RecipeFault fault(List<Composition.Part> base, List<Composition.Addition> additions) {
        try {
            new Composition(base, additions);
            throw new AssertionError("taken");
        } catch (RecipeRefused refused) {
            return refused.fault();
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {-1, 0, Double.NaN})
    void noMixOfNothingIsMade(double litres) {
        Recipe plain = recipe(WORKED, 0, 1);
        assertThatThrownBy(() -> BarrowSheet.of(plain, litres, STORE, Map.of(), TOOLS))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void belowAScoreOfPlantsOneBuys() {
        BarrowSheet sheet = BarrowSheet.of(recipe(WORKED, 0.2, 1), 50, STORE, Map.of(), TOOLS);
        assertThat(MakeOrBuy.of(sheet, OptionalInt.of(19), 20, OptionalDouble.of(10), 0))
                .isEqualTo(new MakeOrBuy.BuyForSoFew(19, 20));
        assertThat(MakeOrBuy.of(sheet, OptionalInt.of(20), 20, OptionalDouble.of(10), 5))
                .isEqualTo(new MakeOrBuy.MakingSaves(500 - sheet.cost() - 5));
        assertThat(MakeOrBuy.of(sheet, OptionalInt.empty(), 20, OptionalDouble.of(0.1), 5))
                .isInstanceOfSatisfying(
                        MakeOrBuy.BuyingSaves.class,
                        buying -> assertThat(buying.saved()).isCloseTo(sheet.cost(), within(1e-9)));
        assertThat(MakeOrBuy.of(sheet, OptionalInt.empty(), 20, OptionalDouble.empty(), 5))
                .isEqualTo(new MakeOrBuy.NothingToCompare());
    }

    @Test
    void theReserveTellsTheFirstFeed() {
        assertThat(recipe(WORKED, 0.2, 1).firstFeed(LocalDate.of(2027, 4, 1))).isEqualTo(LocalDate.of(2027, 4, 29));
    }
}
