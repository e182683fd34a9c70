package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.LeafGrowth;
import org.junit.jupiter.api.Test;

class LightCallTest {

    /** Base 4, optimum 24: grown on at 17; wants 6 mol there. */
    private static final LeafGrowth HARDY = new LeafGrowth(new CardinalTemperatures(4, 24, 32, 1), 0.25, 12);

    private static final LeafGrowth TENDER = new LeafGrowth(new CardinalTemperatures(10, 30, 40, 1), 0.25, 16);

    /** Worked by hand: at 23.5 °C one and a half times the degrees above the base, so one and a half times the light. */
    @Test
    void warmthAndLightAreWeighedTogether() {
        assertThat(HARDY.leggyBelow(17)).isCloseTo(6, within(1e-9));
        assertThat(HARDY.leggyBelow(23.5)).isCloseTo(9, within(1e-9));
        assertThat(HARDY.leggyBelow(3))
                .as("what does not grow does not stretch")
                .isZero();
        assertThat(HARDY.isLeggyIn(7, 17)).isFalse();
        assertThat(HARDY.isLeggyIn(7, 23.5)).isTrue();
        assertThat(HARDY.isLeggyIn(4, 12)).isFalse();
        assertThat(HARDY.leggyBelow(HARDY.warmthFor(4.5))).isCloseTo(4.5, within(1e-9));
        assertThat(HARDY.leggyBelow()).isEqualTo(HARDY.leggyBelow(17));
    }

    @Test
    void theCallNamesWhatStretchesAndWhatWouldHelpAllOfIt() {
        LightCall call = LightCall.of(7, 22, List.of(new LightCall.Growing(9, HARDY), new LightCall.Growing(3, TENDER)))
                .orElseThrow();
        assertThat(call.batches()).containsExactly(3, 9);
        assertThat(call.wanted()).isCloseTo(Math.max(HARDY.leggyBelow(22), TENDER.leggyBelow(22)), within(1e-9));
        assertThat(HARDY.isLeggyIn(call.wanted(), 22) || TENDER.isLeggyIn(call.wanted(), 22))
                .isFalse();
        assertThat(HARDY.isLeggyIn(7, call.coolEnough() - 1e-9) || TENDER.isLeggyIn(7, call.coolEnough() - 1e-9))
                .isFalse();
        assertThat(LightCall.of(20, 18, List.of(new LightCall.Growing(9, HARDY))))
                .isEqualTo(Optional.empty());
        assertThat(LightCall.of(1, 18, List.of())).isEmpty();
    }
}
