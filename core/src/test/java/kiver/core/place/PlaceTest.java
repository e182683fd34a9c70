package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;

class PlaceTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final StationRecord WEATHER =
            new StationRecord(DAY, List.of(new DailyRange(-6, 4), new DailyRange(2, 12), new DailyRange(5, 15)));

    @Test
    void readingsComeBeforeSetPointsAndWeather() {
        Place heated = place(new PlaceClimate.SetPoints(20, 16), 0);
        ClimateSeries series = ClimateSeries.of(heated, WEATHER, Map.of(DAY.plusDays(1), new DailyRange(11, 13)), 46);
        assertThat(series.minimum(0)).isEqualTo(16);
        assertThat(series.minimum(1)).isEqualTo(11);
        assertThat(series.maximum(1)).isEqualTo(13);
        assertThat(series.maximum(2))
                .as("one cold reading makes the days after it a little colder")
                .isBetween(18.0, 19.9);
    }

    @Test
    void aHeatedHouseIsNeverCoolerThanOutdoors() {
        PlaceClimate house = new PlaceClimate.SetPoints(16, 10);
        assertThat(house.inside(new DailyRange(-3, 8))).isEqualTo(new DailyRange(10, 16));
        assertThat(house.inside(new DailyRange(14, 27))).isEqualTo(new DailyRange(14, 29));
    }

    @Test
    void whatReadingsShowedIsCarriedForwardAndNotBackward() {
        Place heated = place(new PlaceClimate.SetPoints(20, 16), 0);
        Map<LocalDate, DailyRange> warmer = new java.util.HashMap<>();
        List<DailyRange> cold = java.util.Collections.nCopies(40, new DailyRange(-5, 2));
        for (int day = 10; day < 31; day++) {
            warmer.put(DAY.plusDays(day), new DailyRange(18, 22));
        }
        ClimateSeries series = ClimateSeries.of(heated, new StationRecord(DAY, cold), warmer, 46);
        assertThat(series.minimum(5)).isEqualTo(16);
        assertThat(series.minimum(35)).isCloseTo(16 + 2 * 21 / 26.0, within(1e-9));
        assertThat(series.maximum(35)).isCloseTo(20 + 2 * 21 / 26.0, within(1e-9));
    }

    @Test
    void anUnheatedPlaceFollowsTheWeatherDownToItsFloor() {
        Place frame = place(new PlaceClimate.FollowsWeather(2, 4, -1), 0);
        ClimateSeries series = ClimateSeries.of(frame, WEATHER, Map.of(), 46);
        assertThat(series.minimum(0)).as("protected").isEqualTo(-1);
        assertThat(series.minimum(1)).isEqualTo(4);
        assertThat(series.maximum(2)).isEqualTo(19);
    }

    @Test
    void lampsAddToWhatDaylightGivesAndBrightDaysGiveMore() {
        ClimateSeries dark = ClimateSeries.of(place(new PlaceClimate.SetPoints(20, 16), 0), WEATHER, Map.of(), 46);
        ClimateSeries lit = ClimateSeries.of(place(new PlaceClimate.SetPoints(20, 16), 12), WEATHER, Map.of(), 46);
        assertThat(lit.light(0) - dark.light(0)).isCloseTo(12, within(1e-9));
        StationRecord dull = new StationRecord(DAY, List.of(new DailyRange(4, 6)));
        assertThat(ClimateSeries.of(place(new PlaceClimate.SetPoints(20, 16), 0), dull, Map.of(), 46)
                        .light(0))
                .isLessThan(dark.light(0));
    }

    @Test
    void refusesPlacesThatCannotBe() {
        PlaceClimate climate = new PlaceClimate.SetPoints(20, 16);
        assertThatThrownBy(() -> new Place(new PlaceId(1), "Mat", 1, 0, climate, 0.5, 0, Set.of(PlaceUse.EMERGENCE)))
                .hasMessageContaining("at least one tray");
        assertThatThrownBy(() -> new Place(new PlaceId(1), "Mat", 1, 4, climate, 1.5, 0, Set.of(PlaceUse.EMERGENCE)))
                .hasMessageContaining("daylight share");
        assertThatThrownBy(() -> new Place(new PlaceId(1), "Mat", 1, 4, climate, 0.5, 0, Set.of()))
                .hasMessageContaining("at least one stage");
        assertThatThrownBy(() -> new PlaceClimate.SetPoints(14, 18)).hasMessageContaining("above the day set point");
        assertThatThrownBy(() -> new PlaceClimate.FollowsWeather(-1, 0, 0))
                .hasMessageContaining("colder than outdoors");
    }

    private static Place place(PlaceClimate climate, double lamps) {
        return new Place(new PlaceId(1), "Place", 1, 10, climate, 0.6, lamps, Set.of(PlaceUse.GROWING_ON));
    }
}
