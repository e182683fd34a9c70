package kiver.core.outlook;

import static kiver.core.Samples.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import kiver.core.outlook.ForecastChange.Cause;
import kiver.core.place.PlaceId;
import org.junit.jupiter.api.Test;

class ForecastShiftTest {

    private static final PlaceId HOUSE = new PlaceId(2);

    private static ForecastChange moved(int batch, PlaceId place, int days, Cause cause) {
        return new ForecastChange(TODAY, batch, place, TODAY.plusDays(40), TODAY.plusDays(40 + days), cause);
    }

    @Test
    void whatMovedTogetherIsToldTogether() {
        List<ForecastShift> shifts = ForecastShift.of(List.of(
                moved(201, HOUSE, -2, Cause.WARM_DAYS),
                moved(202, HOUSE, 3, Cause.WARM_DAYS),
                moved(203, HOUSE, -5, Cause.WARM_DAYS),
                moved(204, new PlaceId(3), -2, Cause.WARM_DAYS),
                moved(205, HOUSE, -2, Cause.RECORD)));
        assertThat(shifts)
                .extracting(shift ->
                        shift.changes().stream().map(ForecastChange::batch).toList())
                .containsExactly(List.of(201, 203), List.of(202), List.of(204), List.of(205));
        assertThat(shifts.get(0).earlier()).isTrue();
        assertThat(shifts.get(0).leastDays()).isEqualTo(2);
        assertThat(shifts.get(0).mostDays()).isEqualTo(5);
        assertThat(shifts.get(1).earlier()).isFalse();
    }

    @Test
    void nothingMovedIsNoShift() {
        assertThat(ForecastShift.of(List.of())).isEmpty();
        assertThatThrownBy(() -> new ForecastShift(TODAY, Cause.RECORD, HOUSE, true, List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
