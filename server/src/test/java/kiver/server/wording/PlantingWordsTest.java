package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Stream;
import kiver.core.order.Pest;
import kiver.core.plan.Obstacle;
import kiver.core.release.PlantingAdvice;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What the weather and the pests of a site ask can be read aloud. */
class PlantingWordsTest {

    private static final LocalDate DAY = LocalDate.of(2027, 5, 14);

    static Stream<Arguments> reasons() {
        return Stream.of(
                Arguments.of(
                        new PlantingAdvice.FrostAhead(DAY, -0.6, 1, true),
                        "The night of Fri 14 May may go down to −1 °C there, and 1 °C harms them. Lay fleece that evening."),
                Arguments.of(
                        new PlantingAdvice.FrostAhead(DAY, -4, 1, false),
                        "The night of Fri 14 May may go down to −4 °C there, and 1 °C harms them. Wait with planting, or cover with more than fleece."),
                Arguments.of(
                        new PlantingAdvice.FrostMayCome(14, DAY),
                        "Frost that harms them still comes later in 14 years of 100, hardly after Fri 14 May: keep fleece at hand."),
                Arguments.of(
                        new PlantingAdvice.ColdSoil(13.2, 18),
                        "The soil there is at about 13 °C; they wait for 18 °C. Warm it under a cover, or wait."),
                Arguments.of(
                        new PlantingAdvice.HotDay(DAY, 27.2),
                        "Fri 14 May is forecast at 27 °C there: plant in the evening, and shade for two days."),
                Arguments.of(
                        new PlantingAdvice.WindyDay(DAY, 12),
                        "Gusts of about 43 km/h are forecast on Fri 14 May: keep the trays in the lee and set up shelter."),
                Arguments.of(
                        new PlantingAdvice.RainComes(DAY, 8),
                        "About 8 mm of rain on Fri 14 May waters them in: plant before it."),
                Arguments.of(
                        new PlantingAdvice.NoRain(3),
                        "No rain is forecast for 3 days: water in well, and again on the second day."),
                Arguments.of(
                        new PlantingAdvice.PestThere(Pest.SQUASH_BORER, DAY, DAY.plusDays(40), false),
                        "Squash borer is about there from Fri 14 May to Wed 23 Jun. Wait until it has gone."),
                Arguments.of(
                        new PlantingAdvice.PestThere(Pest.CARROT_FLY, DAY, DAY.plusDays(40), true),
                        "Carrot fly is about there from Fri 14 May to Wed 23 Jun. Lay fleece or net on the day of planting and dig its edges in."),
                Arguments.of(new PlantingAdvice.GoodDay(), "Nothing speaks against planting there."),
                Arguments.of(
                        new Obstacle.BoltsInLongDays(14, 15, Optional.of(DAY)),
                        "sown then runs to seed: at this site days are over 14.0 hours long and 15 °C warm in the mean. Sow again from Fri 14 May."),
                Arguments.of(
                        new Obstacle.BoltsInLongDays(14, 15, Optional.empty()),
                        "sown then runs to seed: at this site days are over 14.0 hours long and 15 °C warm in the mean. It does not stand here at any time of the year."),
                Arguments.of(
                        new Obstacle.PestAbout(Pest.LEEK_MOTH, DAY, DAY.plusDays(40), DAY.minusDays(42), true),
                        "At this site leek moth is about from Fri 14 May to Wed 23 Jun. Out by Fri 2 Apr plants outgrow it; or wait until it has gone. A fleece or net laid on the day of planting keeps it off."));
    }

    @ParameterizedTest
    @MethodSource("reasons")
    void saysWhatTheSiteAsks(Record reason, String words) {
        assertThat(new Wording().say(Said.of(reason))).endsWith(words);
    }
}
