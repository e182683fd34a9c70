package kiver.core.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Pest;
import kiver.core.order.PestTime;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import org.junit.jupiter.api.Test;

class SiteAtPlantingTest {

    private static final Crop KALE = Samples.kale(12);

    private static final LocalDate DAY = Samples.TODAY.plusDays(40);

    private static DayAhead day(double minimum, double maximum, double gust, double rain) {
        return new DayAhead(
                new DailyRange(minimum, maximum),
                new Sky(OptionalDouble.of(gust), OptionalDouble.of(rain), OptionalDouble.of(0), OptionalDouble.of(0)));
    }

    private static List<PlantingAdvice> advice(Protection protection, DayAhead... forecast) {
        SiteClimate climate = new SiteClimate(0, protection);
        OutdoorSeason season = OutdoorSeason.of(KALE, climate, Samples.RECORD, 46, DAY);
        return new SiteAtPlanting(climate, season, OptionalDouble.of(9), DAY, List.of(forecast)).advice(KALE, DAY);
    }

    private static final DayAhead MILD = day(6, 16, 4, 2);

    @Test
    void aMildDayIsAGoodOne() {
        assertThat(advice(Protection.OPEN_GROUND, MILD, MILD, MILD, MILD))
                .containsExactly(new PlantingAdvice.GoodDay());
    }

    @Test
    void aNightThatHarmsThemIsSaidFirstAndWhetherAFleeceIsEnough() {
        // Hardy plants are harmed at −6 °C; fleece is worth 2 K.
        assertThat(advice(Protection.OPEN_GROUND, MILD, MILD, day(-7, 5, 12, 0)))
                .first()
                .isEqualTo(new PlantingAdvice.FrostAhead(DAY.plusDays(1), -7, -6, true));
        PlantingAdvice hard =
                advice(Protection.OPEN_GROUND, MILD, day(-9, 5, 0, 0)).get(0);
        assertThat(hard).isEqualTo(new PlantingAdvice.FrostAhead(DAY, -9, -6, false));
        assertThat(hard.speaksAgainst()).isTrue();
        assertThat(advice(Protection.UNHEATED_TUNNEL, MILD, day(-9, 5, 0, 0)))
                .as("a tunnel is worth 5 K")
                .containsExactly(new PlantingAdvice.GoodDay());
    }

    @Test
    void theNightBeforePlantingIsOver() {
        assertThat(advice(Protection.OPEN_GROUND, day(-9, 12, 0, 2), MILD, MILD))
                .containsExactly(new PlantingAdvice.GoodDay());
    }

    @Test
    void heatWindAndRainAreSaid() {
        assertThat(advice(Protection.OPEN_GROUND, day(14, 27, 12, 0), day(12, 24, 3, 0), day(12, 22, 2, 0)))
                .containsExactly(
                        new PlantingAdvice.HotDay(DAY, 27),
                        new PlantingAdvice.WindyDay(DAY, 12),
                        new PlantingAdvice.NoRain(3));
        assertThat(advice(Protection.OPEN_GROUND, MILD, day(6, 14, 3, 8)))
                .containsExactly(new PlantingAdvice.RainComes(DAY.plusDays(1), 8));
    }

    @Test
    void coldSoilAndPestsSpeakAgainstIt() {
        Crop squash = Samples.crop(
                "Squash",
                Hardiness.TENDER,
                12,
                13,
                CardinalTemperatures.of(8, 26, 37),
                new OutdoorNeeds(18, -1.5, 1.5, 60));
        SiteClimate climate = new SiteClimate(0, Protection.OPEN_GROUND);
        OutdoorSeason season = OutdoorSeason.of(squash, climate, Samples.RECORD, 46, DAY)
                .with(List.of(
                        new PestTime(Pest.SQUASH_BORER, DAY.plusDays(10), DAY.plusDays(40), 28, false),
                        new PestTime(Pest.CARROT_FLY, DAY.plusDays(60), DAY.plusDays(90), 28, true)));
        List<PlantingAdvice> said =
                new SiteAtPlanting(climate, season, OptionalDouble.of(9), DAY, List.of(MILD)).advice(squash, DAY);
        assertThat(said)
                .containsSubsequence(
                        new PlantingAdvice.ColdSoil(9, 18),
                        new PlantingAdvice.PestThere(Pest.SQUASH_BORER, DAY.plusDays(10), DAY.plusDays(40), false))
                .noneMatch(each -> each instanceof PlantingAdvice.PestThere pest && pest.pest() == Pest.CARROT_FLY);
    }

    @Test
    void aSampleSaysWhatIsMissing() {
        assertThat(new ReadySample(5, Set.of(ReadyCheck.LEAVES, ReadyCheck.ROOTS)).missing())
                .containsExactly(
                        ReadyCheck.PLUG_HOLDS,
                        ReadyCheck.HARDENED,
                        ReadyCheck.CLEAN,
                        ReadyCheck.LABELLED,
                        ReadyCheck.SOAKED);
        assertThatThrownBy(() -> new ReadySample(0, Set.of(ReadyCheck.CLEAN)))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
