package kiver.server.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.server.clock.NurseryClock;
import org.junit.jupiter.api.Test;

class SimulatedStationTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);

    private final SimulatedStation station = new SimulatedStation(mock(NurseryClock.class));

    @Test
    void measuresTheSameWhoeverAsks() {
        SimulatedStation other = new SimulatedStation(mock(NurseryClock.class));
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

    private DoubleStream sky(Function<Sky, OptionalDouble> of) {
        return DAY.datesUntil(DAY.plusDays(300))
                .flatMapToDouble(day -> of.apply(station.forecast(day).get(0).sky()).stream());
    }

    @Test
    void forecastsFiveDaysAndErrsMoreTheFurtherItLooks() {
        double near = 0;
        double far = 0;
        for (int made = 0; made < 300; made++) {
            LocalDate madeOn = DAY.plusDays(made);
            List<DayAhead> ahead = station.forecast(madeOn);
            List<DailyRange> forecast = ahead.stream().map(DayAhead::range).toList();
            assertThat(forecast).hasSize(5);
            near += Math.abs(forecast.get(0).middle() - station.measured(madeOn).middle());
            far += Math.abs(forecast.get(4).middle()
                    - station.measured(madeOn.plusDays(4)).middle());
        }
        assertThat(near).isPositive();
        assertThat(sky(Sky::gust).max().orElseThrow())
                .as("a storm now and then, m/s")
                .isBetween(17.0, 40.0);
        assertThat(sky(Sky::gust).filter(gust -> gust >= 17).count()).isLessThan(20);
        assertThat(sky(Sky::rain).filter(rain -> rain > 0).count()).isBetween(60L, 180L);
        assertThat(sky(Sky::hail).filter(hail -> hail >= 0.25).count()).isBetween(1L, 40L);
        assertThat(far).isGreaterThan(3 * near);
    }
}
