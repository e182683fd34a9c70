package kiver.core.harden;

import static org.assertj.core.api.Assertions.assertThat;

import kiver.core.crop.Hardiness;
import org.junit.jupiter.api.Test;

class NightOutTest {

    @Test
    void aReadyTenderPlantDiesAtEightBelow() {
        NightOut night = new NightOut(Hardiness.TENDER, false, -8);
        assertThat(night.isTooCold()).isTrue();
        assertThat(night.likelyLoss()).isGreaterThan(0.99);
    }

    @Test
    void theMoreTenderAndTheSofterTheSooner() {
        assertThat(new NightOut(Hardiness.HARDY, false, -4).isTooCold()).isFalse();
        assertThat(new NightOut(Hardiness.HARDY, true, -4).isTooCold()).isTrue();
        assertThat(new NightOut(Hardiness.TENDER, false, 1).likelyLoss())
                .isGreaterThan(new NightOut(Hardiness.HALF_HARDY, false, 1).likelyLoss());
        assertThat(new NightOut(Hardiness.TENDER, false, 20).likelyLoss()).isZero();
    }
}
