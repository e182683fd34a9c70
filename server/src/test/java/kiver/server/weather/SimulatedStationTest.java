package kiver.server.weather;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import kiver.core.weather.DailyRange;
import org.junit.jupiter.api.Test;

class SimulatedStationTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);

    private final SimulatedStation station = new SimulatedStation();

    @Test
    void measuresTheSameWhoeverAsks() {
        SimulatedStation other = new SimulatedStation();
        for (int day = 0; day < 400; day += 13) {
            assertThat(other.measured(DAY.plusDays(day))).isEqualTo(station.measured(DAY.plusDays(day)));
        }
        assertThat(other.forecast(DAY)).isEqualTo(station.forecast(DAY));
    }

    @Test
    void hasThirtyYearsBehindIt() {
        assertThat(station.firstDay()).isBefore(DAY.minusYears(30));
        assertThat(station.measured(station.firstDay()).swing()).isPositive();
    }

    @Test
    void forecastsFiveDaysAndErrsMoreTheFurtherItLooks() {
        double near = 0;
        double far = 0;
        for (int made = 0; made < 300; made++) {
            LocalDate madeOn = DAY.plusDays(made);
            List<DailyRange> forecast = station.forecast(madeOn);
            assertThat(forecast).hasSize(5);
            near += Math.abs(forecast.get(0).middle() - station.measured(madeOn).middle());
            far += Math.abs(forecast.get(4).middle()
                    - station.measured(madeOn.plusDays(4)).middle());
        }
        assertThat(near).isPositive();
        assertThat(far).isGreaterThan(3 * near);
    }
}
