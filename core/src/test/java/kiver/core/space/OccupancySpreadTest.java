package kiver.core.space;

import static kiver.core.Samples.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kiver.core.Samples;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.Test;

class OccupancySpreadTest {

    private static final Place BENCH =
            Samples.place(1, 5, new PlaceClimate.SetPoints(20, 18), PlaceUse.EMERGENCE, PlaceUse.GROWING_ON);

    /** Ten ways: on the fifth day the bench holds 1, 2, … 10 trays; on the other days one. */
    private static OccupancySpread tenWays() {
        List<Occupancy> ways = new ArrayList<>();
        for (int trays = 1; trays <= 10; trays++) {
            List<Stay> stays = new ArrayList<>();
            stays.add(new Stay(BENCH.id(), TODAY, TODAY.plusDays(10), 1));
            if (trays > 1) {
                stays.add(new Stay(BENCH.id(), TODAY.plusDays(4), TODAY.plusDays(5), trays - 1));
            }
            ways.add(Occupancy.of(List.of(BENCH), Map.of(201, stays), TODAY, 10));
        }
        return OccupancySpread.of(List.of(BENCH), ways);
    }

    @Test
    void enoughInAShareOfTheWaysIsReadOffThem() {
        assertThat(tenWays().enoughIn(BENCH.id(), 0.5)[4]).isEqualTo(5);
        assertThat(tenWays().enoughIn(BENCH.id(), 0.9)[4]).isEqualTo(9);
        assertThat(tenWays().enoughIn(BENCH.id(), 1)[4]).isEqualTo(10);
        assertThat(tenWays().enoughIn(BENCH.id(), 0.9)[3]).isEqualTo(1);
    }

    @Test
    void whatLacksSaysInHowManyWaysAndByHowMuch() {
        // Of ten ways 6, 7, 8, 9 and 10 trays are too many for five places: by 1, 2, 3, 4 and 5.
        assertThat(tenWays().risks(0.1))
                .containsExactly(new OccupancySpread.Risk(BENCH, TODAY.plusDays(4), TODAY.plusDays(5), 0.5, 3, 5));
        assertThat(tenWays().risks(0.5)).hasSize(1);
        assertThat(tenWays().risks(0.6)).isEmpty();
    }

    @Test
    void daysOnWhichDifferentYearsLackRoomAreOneRunWithTheShareOfBoth() {
        List<Occupancy> ways = new ArrayList<>();
        for (int day = 0; day < 4; day++) {
            ways.add(Occupancy.of(
                    List.of(BENCH),
                    Map.of(201, List.of(new Stay(BENCH.id(), TODAY.plusDays(day), TODAY.plusDays(day + 1L), 6))),
                    TODAY,
                    10));
        }
        assertThat(OccupancySpread.of(List.of(BENCH), ways).risks(0.25))
                .containsExactly(new OccupancySpread.Risk(BENCH, TODAY, TODAY.plusDays(4), 1, 1, 1));
    }

    @Test
    void withoutAnyWayThereIsNoSpread() {
        assertThatThrownBy(() -> OccupancySpread.of(List.of(BENCH), List.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
