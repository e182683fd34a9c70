package kiver.core.outlook;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Development;
import kiver.core.growth.Emergence;
import kiver.core.growth.LeafGrowth;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Potting;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;

class BatchCourseTest {

    private static final LocalDate FIRST = LocalDate.of(2027, 2, 1);
    private static final LocalDate SOWN = FIRST.plusDays(10);
    private static final PlaceId WARM = new PlaceId(1);
    private static final PlaceId COOL = new PlaceId(2);
    private static final TrayId TRAY = new TrayId(1);
    private static final Emergence EMERGENCE = new Emergence(CardinalTemperatures.of(4, 26, 38), 5, 0.2);
    private static final LeafGrowth LEAVES = new LeafGrowth(CardinalTemperatures.of(3, 23, 34), 0.25, 5);
    private static final Season SEASON = season();

    @Test
    void progressFollowsThePlacesWhereItStood() {
        BatchState stayed = sown();
        BatchState moved = sown().after(SOWN.plusDays(3), new BatchChange.Moved(COOL));
        LocalDate later = SOWN.plusDays(6);
        double warmDay = SEASON.emergence(WARM, EMERGENCE).get(0).between(0, 1);
        double coolDay = SEASON.emergence(COOL, EMERGENCE).get(0).between(0, 1);
        assertThat(course(stayed).emergenceProgressUntil(later)).isCloseTo(6 * warmDay, within(1e-9));
        assertThat(course(moved).emergenceProgressUntil(later)).isCloseTo(3 * warmDay + 3 * coolDay, within(1e-9));
        assertThat(course(moved).emergenceProgressUntil(SOWN)).isZero();
    }

    @Test
    void plantsRaisedElsewhereGoOnFromTheLeavesTheyCameWith() {
        BatchState state = BatchState.after(List.of())
                .after(SOWN, new BatchChange.BroughtIn(new CellRun(TRAY, 1, 10), new LotId(9), 2.5, WARM));
        LocalDate today = SOWN.plusDays(8);
        Standing standing = course(state).standing(state, today, 1, List.of(), 0);
        assertThat(standing.hasEmerged()).isTrue();
        assertThat(standing.emergedAt()).isEqualTo(10);
        assertThat(standing.leafProgress())
                .isCloseTo(2.5 + 8 * SEASON.leaves(WARM, LEAVES).get(0).between(0, 1), within(1e-9));
        assertThat(course(state).standing(state, SOWN, 1, List.of(), 0).leafProgress())
                .isEqualTo(2.5);
    }

    @Test
    void theDayOfEmergenceIsFoundOnceItIsPast() {
        BatchCourse course = course(sown());
        LocalDate emerged = course.dayReaching(1, SOWN.plusDays(30)).orElseThrow();
        assertThat(course.emergenceProgressUntil(emerged)).isLessThan(1);
        assertThat(course.emergenceProgressUntil(emerged.plusDays(1))).isGreaterThanOrEqualTo(1);
        assertThat(course.dayReaching(1, SOWN.plusDays(2))).isEmpty();
    }

    @Test
    void aBatchStandsWhereCountsSayItDoes() {
        LocalDate today = SOWN.plusDays(14);
        BatchState uncounted = sown();
        assertThat(course(uncounted).standing(uncounted, today, 1, List.of(), 0).hasEmerged())
                .isFalse();
        BatchState up = sown().after(SOWN.plusDays(9), new BatchChange.Counted(TRAY, Map.of(1, 1, 2, 1, 3, 1), false));
        Standing standing = course(up).standing(up, today, 1, List.of(), 0);
        assertThat(standing.hasEmerged()).isTrue();
        assertThat(standing.leafProgress()).isPositive();
        Standing slow = course(up).standing(up, today, 1.3, List.of(), 0);
        assertThat(slow.leafProgress()).isLessThan(standing.leafProgress());
    }

    @Test
    void aMoveToTheCoolBuysDays() {
        LocalDate today = SOWN.plusDays(14);
        BatchState up = sown().after(SOWN.plusDays(9), new BatchChange.Counted(TRAY, Map.of(1, 1, 2, 1, 3, 1), true));
        Standing standing = course(up).standing(up, today, 1, List.of(), 0);
        Path path = new Path(4, 7, 5);
        LocalDate target = today.plusDays(30);
        BatchForecast warm = BatchForecast.of(path, standing, scenarios(WARM), scenarios(WARM), target);
        BatchForecast cool = BatchForecast.of(path, standing, scenarios(COOL), scenarios(COOL), target);
        assertThat(cool.ready().orElseThrow().middle())
                .isAfter(warm.ready().orElseThrow().middle());
        assertThat(warm.ready().orElseThrow().early())
                .isBefore(warm.ready().orElseThrow().late());
        assertThat(warm.chanceOnTarget()).isBetween(0.0, 1.0);
    }

    @Test
    void pottingsStillToComeAreForecastInTheirOrder() {
        LocalDate today = SOWN.plusDays(14);
        BatchState up = sown().after(SOWN.plusDays(9), new BatchChange.Counted(TRAY, Map.of(1, 1, 2, 1, 3, 1), true));
        Standing standing = course(up).standing(up, today, 1, List.of(), 0);
        Path path = new Path(List.of(new Potting(2, 2), new Potting(4, 2)), 6, 12, Double.POSITIVE_INFINITY, 5);
        BatchForecast forecast = BatchForecast.of(path, standing, scenarios(WARM), scenarios(WARM), today.plusDays(60));
        assertThat(forecast.pottings()).hasSize(2);
        assertThat(forecast.pottings().get(0).middle())
                .isBefore(forecast.pottings().get(1).middle());
        assertThat(forecast.pottings().get(1).middle())
                .isBefore(forecast.stageReached().orElseThrow().middle());
        assertThat(BatchForecast.of(
                                path,
                                standing.potted(1, standing.time()),
                                scenarios(WARM),
                                scenarios(WARM),
                                today.plusDays(60))
                        .pottings())
                .hasSize(1);
        assertThat(BatchForecast.of(
                                path,
                                standing.potted(2, standing.time()),
                                scenarios(WARM),
                                scenarios(WARM),
                                today.plusDays(60))
                        .pottings())
                .isEmpty();
    }

    @Test
    void neverPlacedMeansNoCourse() {
        assertThatThrownBy(() -> course(BatchState.after(List.of()))).hasMessageContaining("never placed");
    }

    private static List<Scenario> scenarios(PlaceId growingOn) {
        return SEASON.scenarios(
                new Way(WARM, growingOn, COOL), new Development(EMERGENCE, LEAVES), Paces.BEFORE_ANY_COUNT);
    }

    private static BatchCourse course(BatchState state) {
        return new BatchCourse(
                state.placements(),
                place -> SEASON.emergence(place, EMERGENCE).get(0),
                place -> SEASON.leaves(place, LEAVES).get(0));
    }

    private static BatchState sown() {
        return BatchState.after(List.of())
                .after(SOWN, new BatchChange.Sown(new CellRun(TRAY, 1, 4), 1, new LotId(1), "Mix", WARM));
    }

    private static Season season() {
        List<StationRecord> years = new ArrayList<>();
        for (int year = 0; year < 10; year++) {
            List<DailyRange> days = new ArrayList<>();
            for (int day = 0; day < 200; day++) {
                days.add(new DailyRange(3 + year / 5.0, 13 + year / 5.0));
            }
            years.add(new StationRecord(FIRST, days));
        }
        return new Season(List.of(place(WARM, 21, 19), place(COOL, 12, 8)), years, Map.of(), 46);
    }

    private static Place place(PlaceId id, double day, double night) {
        return new Place(
                id,
                "Place " + id.number(),
                (int) id.number(),
                10,
                new PlaceClimate.SetPoints(day, night),
                0.8,
                6,
                Set.of(PlaceUse.GROWING_ON));
    }
}
