package kiver.core.sow;

import static kiver.core.Samples.kale;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import kiver.core.crop.Crop;
import kiver.core.seed.PacketSays;
import org.junit.jupiter.api.Test;

class PacketBesideTest {

    private static final Crop KALE = kale(60);

    private static PacketSays days(int from, int to) {
        return new PacketSays(Optional.of(new PacketSays.Days(from, to)), OptionalDouble.empty());
    }

    @Test
    void saysNothingWhereThePacketSaysNothing() {
        assertThat(PacketBeside.of(PacketSays.NOTHING, KALE, 20, 2027)).isEmpty();
    }

    @Test
    void holdsTheDaysAgainstTheWarmthHere() {
        int day = (int) Math.round(KALE.emergence().daysAt(20));
        assertThat(PacketBeside.of(days(day, day + 2), KALE, 20, 2027))
                .isEqualTo(List.of(new PacketBeside.SameDays(day, day + 2, day)));
        // So many days would be true of a colder place: one of the temperature told.
        PacketBeside cold =
                PacketBeside.of(days(2 * day, 3 * day), KALE, 20, 2027).get(0);
        assertThat(cold).isInstanceOfSatisfying(PacketBeside.OtherWarmth.class, other -> {
            assertThat(other.packetCelsius()).isLessThan(20);
            assertThat(KALE.emergence().daysAt(other.packetCelsius())).isCloseTo(2.5 * day, within(0.01));
        });
    }

    @Test
    void doesNotFindAWarmthForDaysThatNoWarmthGives() {
        assertThat(PacketBeside.of(days(1, 1), KALE, 14, 2027).get(0)).isInstanceOf(PacketBeside.OtherSeed.class);
        // Beyond its best it is slow because it is hot; the packet did not think of that.
        double hot = KALE.emergence().temperatures().optimum() + 6;
        int here = (int) Math.round(KALE.emergence().daysAt(hot));
        assertThat(PacketBeside.of(days(here + 5, here + 9), KALE, hot, 2027).get(0))
                .isInstanceOf(PacketBeside.OtherSeed.class);
        // Where nothing comes up at all there is a number still.
        assertThat(PacketBeside.of(days(7, 14), KALE, -5, 2027).get(0))
                .isInstanceOfSatisfying(
                        PacketBeside.OtherWarmth.class,
                        other -> assertThat(other.day()).isEqualTo(365));
    }

    @Test
    void tellsADepthThatAFingerWouldNotice() {
        double depth = KALE.seed().depth();
        PacketSays deeper = new PacketSays(Optional.empty(), OptionalDouble.of(depth + 6));
        assertThat(PacketBeside.of(deeper, KALE, 20, 2027))
                .isEqualTo(List.of(new PacketBeside.OtherDepth(depth + 6, depth)));
        assertThat(PacketBeside.of(new PacketSays(Optional.empty(), OptionalDouble.of(depth + 1)), KALE, 20, 2027))
                .isEmpty();
    }

    @Test
    void tellsAYearThatIsOverAndACoat() {
        assertThat(PacketBeside.of(seed(2026, false), KALE, 20, 2027))
                .containsExactly(new PacketBeside.PastItsYear(2026));
        assertThat(PacketBeside.of(seed(2027, false), KALE, 20, 2027)).isEmpty();
        assertThat(PacketBeside.of(seed(2027, true), KALE, 20, 2027)).containsExactly(new PacketBeside.Coated());
    }

    private static PacketSays seed(int sowBy, boolean coated) {
        return new PacketSays(Optional.empty(), OptionalDouble.empty(), OptionalInt.of(sowBy), coated, false);
    }
}
