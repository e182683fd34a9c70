package kiver.core.space;

import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.POTS;
import static kiver.core.Samples.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.sow.SowingOption;
import org.junit.jupiter.api.Test;

class OutlayTest {

    private static final Rates RATES = new Rates(0.2, 10, 0.05, 0.7, 18, 4, 20, 0, 0, 0);
    private static final SowingOption OPTION = new SowingOption(2, 120, 2, 240, 0.96);
    private static final List<Stay> STAYS = List.of(
            new Stay(new PlaceId(1), TODAY, TODAY.plusDays(10), 2),
            new Stay(new PlaceId(2), TODAY.plusDays(10), TODAY.plusDays(24), 4));

    /** By hand: 2 trays of 60 × 50 mL are 6 L, 240 seeds, 2 labels, 20 + 56 tray-days, 120 × 4 s. */
    @Test
    void aStraightPathTakesItsTraysAndItsRoom() {
        Outlay outlay = Outlay.of(ContainerPath.straight(MODULES), OPTION, 100, STAYS, RATES);
        assertThat(outlay.mix()).isCloseTo(6, within(1e-9));
        assertThat(outlay.labels()).isEqualTo(2);
        assertThat(outlay.slotDays()).isEqualTo(76);
        assertThat(outlay.mostSlots()).isEqualTo(4);
        assertThat(outlay.hours()).isCloseTo(480 / 3600.0, within(1e-9));
        assertThat(outlay.cost()).isCloseTo(6 * 0.2 + 2.4 + 0.1 + 76 / 7.0 * 0.7 + 480 / 3600.0 * 18, within(1e-9));
    }

    /** 100 plants in carriers of 28 are 4 more trays of 28 × 180 mL, and 100 × 20 s of potting. */
    @Test
    void pottingAddsPotsMixLabelsAndHours() {
        Outlay outlay = Outlay.of(
                new ContainerPath(ContainerPath.Kind.POTTED_ONCE, List.of(MODULES, POTS)), OPTION, 100, STAYS, RATES);
        assertThat(outlay.mix()).isCloseTo(6 + 4 * 28 * 0.18, within(1e-9));
        assertThat(outlay.labels()).isEqualTo(6);
        assertThat(outlay.hours()).isCloseTo((480 + 2000) / 3600.0, within(1e-9));
    }

    /** 240 seeds and 5 % are 252, 6 L and a fifth 7.2, 2 labels and 5 % are 3. */
    @Test
    void whatIsSpilledShrinksOrSpoilsIsCounted() {
        Rates wasteful = new Rates(0.2, 10, 0.05, 0.7, 18, 4, 20, 0.05, 0.2, 0.05);
        Outlay outlay = Outlay.of(ContainerPath.straight(MODULES), OPTION, 100, STAYS, wasteful);
        assertThat(outlay.seeds()).isEqualTo(252);
        assertThat(outlay.mix()).isCloseTo(7.2, within(1e-9));
        assertThat(outlay.labels()).isEqualTo(3);
    }

    @Test
    void ratesCannotBeNegative() {
        assertThatThrownBy(() -> new Rates(0.2, 10, -0.05, 0.7, 18, 4, 20, 0, 0, 0))
                .hasMessageContaining("negative");
    }
}
