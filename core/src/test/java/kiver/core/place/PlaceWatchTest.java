package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import kiver.core.weather.HoursAhead;
import org.junit.jupiter.api.Test;

class PlaceWatchTest {

    private static final LocalDateTime NOW = LocalDateTime.of(2027, 4, 15, 8, 0);
    private static final Place MAT = new Place(
            new PlaceId(1), "Mat", 1, 10, new PlaceClimate.SetPoints(25, 23), 0.5, 0, Set.of(PlaceUse.EMERGENCE));

    /** As warm as 34 °C in the afternoon, and down to 1 °C in the morning. */
    private static final HoursAhead TONIGHT = new HoursAhead(NOW.toLocalDate(), 34, 1);

    /** Readings every quarter of an hour over the last twelve hours, by the hours before now. */
    private static List<ProbeReading> read(DoubleUnaryOperator celsius) {
        List<ProbeReading> readings = new ArrayList<>();
        for (int quarter = 48; quarter >= 0; quarter--) {
            readings.add(new ProbeReading(
                    NOW.minusMinutes(15L * quarter), celsius.applyAsDouble(quarter / 4.0), OptionalDouble.empty()));
        }
        return readings;
    }

    private static List<PlaceWarning> warnings(DoubleUnaryOperator celsius, PlaceWatch.Standing... standing) {
        return PlaceWatch.warnings(MAT, read(celsius), NOW, List.of(standing), Optional.of(TONIGHT));
    }

    @Test
    void aMatThatIsLeftOffIsToldWithSinceWhen() {
        assertThat(warnings(ago -> ago <= 2 ? 18 : 24.5))
                .containsExactly(new PlaceWarning(
                        PlaceWarning.Kind.HEAT_OFF, 18, 23, NOW.minusHours(2), Optional.empty(), List.of()));
        assertThat(warnings(ago -> ago == 1 || ago == 1.25 ? 18 : 24.5))
                .as("a door")
                .isEmpty();
        assertThat(warnings(ago -> ago <= 0.5 ? 18 : 24.5))
                .as("too soon to tell")
                .isEmpty();
        assertThat(warnings(ago -> ago >= 2 ? 18 : 24.5)).as("on again").isEmpty();
    }

    @Test
    void whatStandsThereIsNamedWhereItIsTooColdOrTooHotForIt() {
        PlaceWatch.Standing tender = new PlaceWatch.Standing(12, 3, 38);
        PlaceWatch.Standing hardy = new PlaceWatch.Standing(7, -6, 31);
        assertThat(warnings(ago -> ago == 3 ? 2 : 24, tender, hardy))
                .containsExactly(new PlaceWarning(
                        PlaceWarning.Kind.TOO_COLD,
                        2,
                        3,
                        NOW.minusHours(3),
                        Optional.of(NOW.plusDays(1).withHour(3)),
                        List.of(12)));
        assertThat(warnings(ago -> ago == 10 ? 39 : 24, tender, hardy))
                .containsExactly(new PlaceWarning(
                        PlaceWarning.Kind.TOO_HOT,
                        39,
                        31,
                        NOW.minusHours(10),
                        Optional.of(NOW.withHour(17).withMinute(45)),
                        List.of(7, 12)));
    }

    @Test
    void aProbeThatDiedIsToldAndOneThatNeverWasIsNot() {
        assertThat(PlaceWatch.warnings(MAT, read(ago -> 24), NOW.plusHours(4), List.of(), Optional.empty()))
                .extracting(PlaceWarning::kind)
                .containsExactly(PlaceWarning.Kind.SILENT);
        assertThat(PlaceWatch.warnings(MAT, List.of(), NOW, List.of(), Optional.empty()))
                .isEmpty();
        assertThatThrownBy(() -> new ProbeReading(NOW, Double.NaN, OptionalDouble.empty()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
