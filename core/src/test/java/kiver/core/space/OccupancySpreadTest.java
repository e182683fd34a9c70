package kiver.core.space;

import static kiver.core.Samples.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import kiver.core.Samples;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.Test;

class OccupancySpreadTest {

    private static final Place BENCH =
            Samples.place(1, 5, new PlaceClimate.SetPoints(20, 18), PlaceUse.EMERGENCE, PlaceUse.GROWING_ON);

    private static Stay stay(int from, int until, double slots) {
        return new Stay(BENCH.id(), TODAY.plusDays(from), TODAY.plusDays(until), slots);
    }

    /** Ten ways: on the fifth day the bench holds 1, 2, … 10 trays; on the other days one. */
    private static OccupancySpread tenWays() {
        List<List<Stay>> one = Collections.nCopies(10, List.of(stay(0, 10, 1)));
        List<List<Stay>> other = new ArrayList<>();
        for (int trays = 1; trays <= 10; trays++) {
            other.add(trays > 1 ? List.of(stay(4, 5, trays - 1)) : List.of());
        }
        return OccupancySpread.of(List.of(BENCH), TODAY, 10, 10, Stream.of(one, other));
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
        List<List<Stay>> ways = new ArrayList<>();
        for (int day = 0; day < 4; day++) {
            ways.add(List.of(stay(day, day + 1, 6)));
        }
        assertThat(OccupancySpread.of(List.of(BENCH), TODAY, 10, 4, Stream.of(ways))
                        .risks(0.25))
                .containsExactly(new OccupancySpread.Risk(BENCH, TODAY, TODAY.plusDays(4), 1, 1, 1));
    }

    @Test
    void staysOutsideTheSpanAndAtOtherPlacesAreLeftOut() {
        List<List<Stay>> batch =
                List.of(List.of(stay(-5, 2, 3), stay(8, 40, 2), new Stay(new PlaceId(9), TODAY, TODAY.plusDays(3), 7)));
        assertThat(OccupancySpread.of(List.of(BENCH), TODAY, 10, 1, Stream.of(batch))
                        .enoughIn(BENCH.id(), 0.5))
                .containsExactly(3, 3, 0, 0, 0, 0, 0, 0, 2, 2);
    }

    @Test
    void withoutAnyWayThereIsNoSpread() {
        assertThatThrownBy(() -> OccupancySpread.of(List.of(BENCH), TODAY, 10, 0, Stream.of()))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
