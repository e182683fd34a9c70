package kiver.server.promise;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import kiver.core.order.LeafStage;
import kiver.core.order.Protection;
import kiver.server.promise.Vocabulary.Name;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlainWordsTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final Vocabulary WORDS = new Vocabulary(
            List.of(
                    new Name("1", "Ruffled Warden", "Curly kale"), new Name("2", "Blue Lantern", "Curly kale"),
                    new Name("3", "Slow Lantern", "Pepper"), new Name("4", "Copper Bell", "Tomato")),
            List.of(
                    new Name("10", "Upper terrace", "Upper Tarrow Farm"),
                    new Name("11", "River terrace", "Fennick Flowers"),
                    new Name("12", "Lower meadow", "Lowermead Market Garden")),
            List.of(
                    new Name("module-60", "Module tray of 60", ""),
                    new Name("pot-9", "Carrier of 18 pots of 9 cm", ""),
                    new Name("plug-150", "Plug tray of 150", "")));

    @Test
    void readsTheQuestionOnTheTelephone() {
        Question asked = read("400 curly kale, 12 May, Upper terrace, standard module");
        assertThat(asked.plants()).hasValue(400);
        assertThat(asked.varieties()).containsExactly("1", "2");
        assertThat(asked.day()).contains(LocalDate.of(2027, 5, 12));
        assertThat(asked.site()).contains("10");
        assertThat(asked.container()).contains("module-60");
        assertThat(asked.notUnderstood()).isEmpty();
        assertThat(asked.missing()).isEmpty();
    }

    @Test
    void takesTheWordsInAnyOrderAndForgivesALetter() {
        Question asked =
                read("could you do lower medow by 3rd june 1,200 tomatos in 9 cm pots under fleece 5-7 leaves?");
        assertThat(asked.plants()).hasValue(1200);
        assertThat(asked.varieties()).containsExactly("4");
        assertThat(asked.day()).contains(LocalDate.of(2027, 6, 3));
        assertThat(asked.site()).contains("12");
        assertThat(asked.protection()).contains(Protection.LOW_COVER);
        assertThat(asked.stage()).contains(new LeafStage(5, 7));
        assertThat(asked.container()).contains("pot-9");
        assertThat(asked.notUnderstood()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "'60 kale, 12 may, module', 60, module-60",
        "'150 kale 12 may module 60', 150, module-60",
        "'module 60, 9 kale 12 may', 9, module-60",
        "'18 tomato 12 may 9 cm pots', 18, pot-9",
        "'9 tomato in pot 9 12 may', 9, pot-9"
    })
    void aNumberThatSizesAContainerIsNotOneOfPlants(String words, int plants, String container) {
        assertThat(read(words).plants()).hasValue(plants);
        assertThat(read(words).container()).contains(container);
        assertThat(read(words).notUnderstood()).isEmpty();
    }

    @Test
    void aVarietyNamedWholeIsMeantAlone() {
        assertThat(read("90 blue lantern 12 may").varieties()).containsExactly("2");
        assertThat(read("90 lantern kale 12 may").varieties()).containsExactly("2");
    }

    @Test
    void saysWhatIsMissingAndWhatItDidNotUnderstand() {
        Question asked = read("zorbs 12 may");
        assertThat(asked.missing()).containsExactly(Question.Missing.PLANTS, Question.Missing.VARIETY);
        assertThat(asked.notUnderstood()).containsExactly("zorbs");
        assertThat(read("").missing()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({
        "2027-05-12, 2027-05-12", "12 May, 2027-05-12", "12th of may, 2027-05-12", "May 12, 2027-05-12",
        "1 April, 2028-04-01", "12 may 2028, 2028-05-12", "in 6 weeks, 2027-05-27", "in 10 days, 2027-04-25",
        "week 19, 2027-05-10"
    })
    void readsDays(String words, LocalDate day) {
        assertThat(read("400 kale " + words).day()).contains(day);
        assertThat(read("400 kale " + words).plants()).hasValue(400);
    }

    @Test
    void aDayThatIsNotInTheCalendarIsNotUnderstood() {
        assertThat(read("400 kale 31 june").day()).isEmpty();
        assertThat(read("10000000 kale 12 may").plants()).hasValue(10_000_000);
    }

    private static Question read(String text) {
        return PlainWords.read(text, WORDS, TODAY);
    }
}
