package kiver.server.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.place.ProbeReading;
import kiver.core.weather.DailyRange;
import org.junit.jupiter.api.Test;

class SimulatedProbeTest {

    private static final LocalDate DAY = LocalDate.of(2027, 4, 15);
    private static final DailyRange OUTSIDE = new DailyRange(2, 11);

    private final SimulatedProbe probe = new SimulatedProbe();

    @Test
    void readsTheSameWhoeverLooks() {
        Place place = heated(3);
        assertThat(probe.read(place, DAY, OUTSIDE)).isEqualTo(new SimulatedProbe().read(place, DAY, OUTSIDE));
        assertThat(probe.read(place, DAY, OUTSIDE)).isNotEqualTo(probe.read(place, DAY.plusDays(1), OUTSIDE));
    }

    @Test
    void staysNearTheSetPointsWithABiasOfItsOwn() {
        for (int number = 1; number <= 10; number++) {
            double sum = 0;
            for (int day = 0; day < 200; day++) {
                DailyRange read = probe.read(heated(number), DAY.plusDays(day), OUTSIDE);
                sum += read.middle() / 200;
            }
            assertThat(sum).as("place " + number).isCloseTo(18, within(2.5));
        }
    }

    @Test
    void quarterHoursReachBothEndsOfTheDayAndGoOnFromTheEveningBefore() {
        Place tunnel = new Place(
                new PlaceId(4),
                "Tunnel",
                4,
                10,
                new PlaceClimate.FollowsWeather(1, 6, -60),
                0.8,
                0,
                Set.of(PlaceUse.GROWING_ON));
        LocalDate day = DAY.minusDays(20);
        DailyRange range = probe.read(tunnel, day, OUTSIDE);
        List<ProbeReading> today = probe.readings(tunnel, day, OUTSIDE, OUTSIDE, day.atTime(23, 59));
        assertThat(today).hasSize(96);
        assertThat(today.stream().mapToDouble(ProbeReading::celsius).min()).hasValue(range.minimum());
        assertThat(today.stream().mapToDouble(ProbeReading::celsius).max()).hasValue(range.maximum());
        List<ProbeReading> before = probe.readings(
                tunnel, day.minusDays(1), OUTSIDE, OUTSIDE, day.minusDays(1).atTime(23, 59));
        assertThat(today.get(0).celsius()).isCloseTo(before.get(95).celsius(), within(1.5));
        assertThat(probe.readings(tunnel, day, OUTSIDE, OUTSIDE, day.atTime(8, 0)))
                .hasSize(33);
    }

    private static Place heated(int number) {
        return new Place(
                new PlaceId(number),
                "Place " + number,
                number,
                10,
                new PlaceClimate.SetPoints(20, 16),
                0.8,
                0,
                Set.of(PlaceUse.GROWING_ON));
    }
}
