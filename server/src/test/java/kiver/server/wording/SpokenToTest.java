package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import kiver.core.plan.Obstacle;
import kiver.core.today.TaskKind;
import kiver.core.today.WhyNow;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** The same words in the language and units of whoever is spoken to. */
class SpokenToTest {

    private static final Wording WORDING = new Wording();
    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);

    @AfterEach
    void britishAgain() {
        RequestContextHolder.resetRequestAttributes();
    }

    private static void speakTo(Speech speech) {
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(new MockHttpServletRequest()));
        SpokenTo.is(speech);
    }

    @Test
    void speaksAmericanToWhoWantsIt() {
        speakTo(new Speech(
                Speech.Language.AMERICAN,
                Speech.TemperatureUnit.FAHRENHEIT,
                Speech.LengthUnit.INCHES,
                Speech.VolumeUnit.GALLONS,
                Speech.MassUnit.OUNCES));
        assertThat(WordingTest.doing(TaskKind.POT_ON, "Green Anvil")).isEqualTo("Pot up Green Anvil");
        assertThat(WORDING.say(new WhyNow.NightWasCold(-8.2), TODAY, WordingTest.ABOUT))
                .contains("fell to 17 °F");
        assertThat(WORDING.say(new Obstacle.CellTooShallow(25, 40), TODAY, WordingTest.ABOUT))
                .contains("lies 1 in deep in a cell of 1 ⅝ in");
        assertThat(WORDING.say(Said.of("{day}, {by} cooler at {height}")
                        .with("day", new WholeDay(TODAY))
                        .with("by", new Difference(5))
                        .with("height", new Altitude(640))))
                .isEqualTo("Thu Apr 15, 2027, 9 °F cooler at 2,100 ft");
    }

    @Test
    void stretchesEveryWordAndLeavesWhatIsNamedAlone() {
        speakTo(new Speech(
                Speech.Language.STRETCHED,
                Speech.TemperatureUnit.CELSIUS,
                Speech.LengthUnit.MILLIMETRES,
                Speech.VolumeUnit.LITRES,
                Speech.MassUnit.GRAMS));
        assertThat(WORDING.say(
                        Said.of("Sow {cells, plural, one {# cell} other {# cells}} of {variety} on {day}, '{'so'}'")
                                .with("cells", 1200)
                                .with("variety", "Green Anvil")
                                .with("day", TODAY)))
                .isEqualTo("⟦Šóów 1,200 çééllš óóf Green Anvil óóñ ⟦Thu 15 Apr⟧, {šóó}⟧");
        WORDING.keys()
                .forEach(key -> assertThat(WORDING.say(key, WordingTest.ABOUT))
                        .startsWith("⟦")
                        .endsWith("⟧"));
    }

    @Test
    void tellsNumbersThatOnlyNameSomethingAsTheyStand() {
        assertThat(WORDING.say(Said.of("Order {order}: {plants, plural, one {# plant} other {# plants}}")
                        .with("order", 1012)
                        .with("plants", 1012)))
                .isEqualTo("Order 1012: 1,012 plants");
    }
}
