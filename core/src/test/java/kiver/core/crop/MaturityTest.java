package kiver.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import kiver.core.Samples;
import org.junit.jupiter.api.Test;

class MaturityTest {

    private static final Crop KALE = Samples.kale(60);

    /** Kale is sown seven weeks before the last frost and planted three before it: 28 days stand under cover. */
    @Test
    void countsFromPlantingWhateverThePacketCountsFrom() {
        assertThat(new Maturity(60, Maturity.From.PLANTING).fromPlanting(KALE)).isEqualTo(60);
        assertThat(new Maturity(88, Maturity.From.SOWING).fromPlanting(KALE)).isEqualTo(60);
        int up = (int) Math.round(
                KALE.emergence().daysAt(KALE.emergence().temperatures().optimum()));
        assertThat(new Maturity(88 - up, Maturity.From.EMERGENCE).fromPlanting(KALE))
                .isEqualTo(60);
    }

    @Test
    void nothingIsRipeBeforeItIsPlanted() {
        assertThat(new Maturity(25, Maturity.From.SOWING).fromPlanting(KALE)).isEqualTo(14);
        assertThat(new Maturity(9, Maturity.From.PLANTING).fromPlanting(KALE)).isEqualTo(9);
    }

    @Test
    void aVarietyRipensInItsOwnTimeAndIsTheSameCropOtherwise() {
        Crop slow = KALE.maturing(90);
        assertThat(slow.outdoors().maturityDays()).isEqualTo(90);
        assertThat(slow.maturing(KALE.outdoors().maturityDays())).isEqualTo(KALE);
    }

    @Test
    void refusesWhatNobodyPrints() {
        assertThatIllegalArgumentException().isThrownBy(() -> new Maturity(0, Maturity.From.SOWING));
        assertThatIllegalArgumentException().isThrownBy(() -> new Maturity(731, Maturity.From.SOWING));
    }
}
