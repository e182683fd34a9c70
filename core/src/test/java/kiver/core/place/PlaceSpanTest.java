package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import org.junit.jupiter.api.Test;

/** A hotbed from 15 February to 31 May: before and after it there is no room in it. */
class PlaceSpanTest {

    private static final LocalDate MADE = LocalDate.of(2027, 2, 15);
    private static final LocalDate LAST = LocalDate.of(2027, 5, 31);
    private static final PlaceSpan SPAN = new PlaceSpan(Optional.of(MADE), Optional.of(LAST));
    private static final Place HOTBED = new Place(
            new PlaceId(1),
            "Hotbed",
            1,
            6,
            new PlaceClimate.SetPoints(20, 15),
            new PlaceLight(0.8, Lamps.NONE),
            false,
            Set.of(PlaceUse.EMERGENCE),
            SPAN);

    @Test
    void itHoldsTraysFromItsFirstToItsLastDay() {
        assertThat(HOTBED.slotsOn(MADE.minusDays(1))).isZero();
        assertThat(HOTBED.slotsOn(MADE)).isEqualTo(6);
        assertThat(HOTBED.slotsOn(LAST)).isEqualTo(6);
        assertThat(HOTBED.slotsOn(LAST.plusDays(1))).isZero();
        assertThat(SPAN.isOverOn(MADE.minusDays(1))).isFalse();
        assertThat(SPAN.isOverOn(LAST.plusDays(1))).isTrue();
        assertThat(PlaceSpan.ALWAYS.holds(LocalDate.MIN)).isTrue();
    }

    @Test
    void itCannotEndBeforeItBegins() {
        assertThatThrownBy(() -> new PlaceSpan(Optional.of(LAST), Optional.of(MADE)))
                .isInstanceOf(IllegalArgumentException.class);
    }

    /** Four trays stand there from a week before it is made until a week after its end: over-full just those days. */
    @Test
    void whatStandsThereWhileItIsNotThereLacksAllItsRoom() {
        Stay stay = new Stay(HOTBED.id(), MADE.minusDays(7), LAST.plusDays(8), 4);
        Occupancy occupancy = Occupancy.of(List.of(HOTBED), Map.of(1, List.of(stay)), MADE.minusDays(30), 200);
        assertThat(occupancy.overflows())
                .extracting(Occupancy.Overflow::from, Occupancy.Overflow::until, Occupancy.Overflow::mostOver)
                .containsExactly(tuple(MADE.minusDays(7), MADE, 4.0), tuple(LAST.plusDays(1), LAST.plusDays(8), 4.0));
        assertThat(occupancy.overfullness()).isEqualTo(4.0 * 14);
        assertThat(occupancy.free(HOTBED.id(), MADE, LAST.plusDays(1))).isEqualTo(2);
        assertThat(occupancy.free(HOTBED.id(), MADE.minusDays(20), MADE.minusDays(10)))
                .isZero();
        assertThat(occupancy
                        .lackFor(List.of(new Stay(HOTBED.id(), MADE.minusDays(20), MADE, 1)))
                        .orElseThrow()
                        .from())
                .isEqualTo(MADE.minusDays(20));
    }
}
