package kiver.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import kiver.core.crop.Hardiness;
import kiver.core.place.ClimateSeries;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Days of hardening on which plants stay in are had later. */
class DaysMissedTest {

    private static final DaysOut TENDER = Hardiness.TENDER.daysOut();

    private static final LocalDate FIRST = LocalDate.of(2027, 4, 1);

    @Test
    void aColdDayMovesTheEndByADay() {
        ProgressSeries days = days(15, 5, 15, 5, 5, 15, 15, 15);

        assertThat(days.timeReaching(0, 3)).isEqualTo(6);
        assertThat(days.timeReaching(1, 1)).isEqualTo(3);
    }

    @Test
    void aDayThatScorchesIsMissedToo() {
        assertThat(days(15, 33, 15).timeReaching(0, 2)).isEqualTo(3);
    }

    @Test
    void theEndMovesInThePath() {
        Path path = new Path(4, 7, 3);
        Standing standing = Standing.arrivingAt(0, 4);

        assertThat(path.from(standing, scenario(days(15, 5, 15, 5, 5, 15, 15, 15)))
                        .ready())
                .isEqualTo(6);
        assertThat(path.from(standing, scenario(days(15, 15, 15, 5, 5, 5, 5, 5)))
                        .ready())
                .isEqualTo(3);
        assertThat(path.from(standing, scenario(days(5, 5, 5, 5))).ready()).isEqualTo(ProgressSeries.NEVER);
    }

    @Test
    void itBeginsSoThatNineteenOfTwentySpringsAreInTime() {
        Random random = new Random(4);
        List<Scenario> springs = new ArrayList<>();
        for (int spring = 0; spring < 200; spring++) {
            springs.add(scenario(days(random.doubles(60, 0, 24).map(Math::rint).toArray())));
        }
        Path path = new Path(4, 7, 9);

        double from = path.hardeningFrom(50, springs);

        double inTime = springs.stream()
                        .filter(spring -> spring.daysOut().timeReaching(from, 9) <= 50)
                        .count()
                / 200.0;
        assertThat(inTime).isCloseTo(0.95, within(0.02));
        assertThat(new Path(4, 7, 0).hardeningFrom(50, springs)).isEqualTo(50);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void theLatestStartIsTheLastOneInTime(int wanted) {
        ProgressSeries days = days(15, 5, 15, 5, 5, 15, 15, 15);

        double latest = days.latestStart(8, wanted);

        assertThat(days.timeReaching(latest, wanted)).isLessThanOrEqualTo(8);
        double later = Math.floor(latest) + 1;
        assertThat(days.between(later, 8)).isLessThan(wanted);
    }

    @Test
    void beyondItsEndASeriesGoesOn() {
        assertThat(days(15, 15, 15).latestStart(10, 2)).isEqualTo(8);
        assertThat(days(15, 15, 15).latestStart(3, 7)).isZero();
    }

    private static Scenario scenario(ProgressSeries daysOut) {
        ProgressSeries still = ProgressSeries.ofDaysOut(new DaysOut(90, 91), List.of(climate(15, 15, 15, 15, 15, 15)))
                .get(0);
        return new Scenario(still, still, still, daysOut, 1, 1);
    }

    private static ProgressSeries days(double... warmest) {
        return ProgressSeries.ofDaysOut(TENDER, List.of(climate(warmest))).get(0);
    }

    private static ClimateSeries climate(double... warmest) {
        List<DailyRange> ranges = new ArrayList<>();
        for (double maximum : warmest) {
            ranges.add(new DailyRange(maximum - 10, maximum));
        }
        Place outside = new Place(
                new PlaceId(1),
                "Yard",
                1,
                1,
                new PlaceClimate.FollowsWeather(0, 0, -60),
                0.8,
                20,
                Set.of(PlaceUse.GROWING_ON));
        return ClimateSeries.of(outside, new StationRecord(FIRST, ranges), Map.of(), 46);
    }
}
