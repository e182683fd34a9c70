package kiver.core.outlook;

import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.kale;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.core.Samples;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.ProgressSeries;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.Test;

class ReschedulingTest {

    private static final Season SEASON = new Season(
            List.of(
                    Samples.place(1, 10, new PlaceClimate.SetPoints(18, 14), PlaceUse.GROWING_ON),
                    Samples.place(2, 10, new PlaceClimate.SetPoints(9, 6), PlaceUse.GROWING_ON),
                    Samples.place(3, 10, new PlaceClimate.SetPoints(24, 20), PlaceUse.GROWING_ON),
                    Samples.place(4, 10, new PlaceClimate.FollowsWeather(0, 0, -60), PlaceUse.HARDENING_OFF)),
            Samples.weather(),
            Map.of(),
            46);
    private static final Way WAY = new Way(new PlaceId(1), new PlaceId(1), new PlaceId(4));
    private static final double NOW = TODAY.toEpochDay() - SEASON.firstDay().toEpochDay();

    private static Rescheduling growing(boolean hardening) {
        Standing standing = new Standing(NOW, 0, NOW - 5, 1, 0, ProgressSeries.NEVER, hardening, 0);
        return new Rescheduling(
                SEASON, kale(60), new Journey(new Path(4, 6, 3), standing, WAY, Paces.BEFORE_ANY_COUNT));
    }

    @Test
    void holdingBuysDaysAndWarmthGainsThem() {
        LocalDate asPlanned = growing(false).asItIs(TODAY).ready().orElseThrow().middle();
        LocalDate later = at(growing(false).elsewhere(asPlanned, TODAY), 2)
                .ready()
                .orElseThrow()
                .late();
        List<Rescheduling.Elsewhere> elsewhere = growing(false).elsewhere(later, TODAY);
        Rescheduling.Elsewhere held = at(elsewhere, 2);
        Rescheduling.Elsewhere warmed = at(elsewhere, 3);
        assertThat(held.warmer()).isNegative();
        assertThat(held.ready().orElseThrow().middle()).isAfter(asPlanned.plusDays(5));
        assertThat(warmed.warmer()).isPositive();
        assertThat(warmed.ready().orElseThrow().middle()).isBefore(asPlanned);
        assertThat(held.chance()).isGreaterThan(warmed.chance());
        assertThat(elsewhere.get(0)).isEqualTo(held);
    }

    @Test
    void onceItHardensItCannotGrowOnElsewhere() {
        assertThat(growing(true).elsewhere(TODAY.plusDays(9), TODAY)).isEmpty();
    }

    @Test
    void theBestDayIsNearAndSure() {
        Rescheduling batch = growing(false);
        LocalDate day = batch.bestDayNear(TODAY.plusDays(2), TODAY, 0.8);
        assertThat(day).isAfter(TODAY.plusDays(2));
        assertThat(batch.asItIs(day).chanceOnTarget()).isGreaterThanOrEqualTo(0.8);
        assertThat(batch.asItIs(day.minusDays(1)).chanceOnTarget()).isLessThan(0.8);
    }

    @Test
    void aChangeHasItsCause() {
        assertThat(ForecastChange.causeOf(true, 20, 10)).isEqualTo(ForecastChange.Cause.RECORD);
        assertThat(ForecastChange.causeOf(false, 14, 12)).isEqualTo(ForecastChange.Cause.WARM_DAYS);
        assertThat(ForecastChange.causeOf(false, 10, 12)).isEqualTo(ForecastChange.Cause.COLD_DAYS);
        assertThat(ForecastChange.causeOf(false, 12.2, 12)).isEqualTo(ForecastChange.Cause.WEATHER_AHEAD);
        assertThat(new ForecastChange(TODAY, 1, new PlaceId(1), TODAY, TODAY.minusDays(3), ForecastChange.Cause.RECORD)
                        .daysLater())
                .isEqualTo(-3);
    }

    private static Rescheduling.Elsewhere at(List<Rescheduling.Elsewhere> all, long place) {
        return all.stream()
                .filter(each -> each.way().growingOn().number() == place)
                .findFirst()
                .orElseThrow();
    }
}
