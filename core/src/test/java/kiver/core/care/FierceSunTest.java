package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.LeafGrowth;
import kiver.core.place.ShadeCloth;
import org.junit.jupiter.api.Test;

class FierceSunTest {

    /** Too hot from 29 °C, best at 24; two and a half times its light need are 30 mol. */
    private static final LeafGrowth HARDY = new LeafGrowth(new CardinalTemperatures(4, 24, 32, 1), 0.25, 12);

    private static final FierceSun.Standing SETTLED = new FierceSun.Standing(9, HARDY, false);
    private static final FierceSun.Standing YOUNG = new FierceSun.Standing(3, HARDY, true);

    private static Optional<FierceSun> of(double daylight, double hottest, ShadeCloth cloth) {
        return FierceSun.of(daylight, hottest, cloth, List.of(SETTLED, YOUNG));
    }

    @Test
    void brightnessScorchesWhatIsYoungAndWithWarmthAllOfIt() {
        assertThat(of(29, 20, ShadeCloth.NONE)).isEmpty();
        assertThat(of(31, 20, ShadeCloth.NONE).orElseThrow().batches()).containsExactly(3);
        assertThat(of(31, 24, ShadeCloth.NONE).orElseThrow().batches()).containsExactly(3, 9);
        assertThat(of(31, 24, ShadeCloth.NONE).orElseThrow().danger()).isEqualTo(FierceSun.Danger.SCORCH);
    }

    @Test
    void heatHarmsWithoutMuchSun() {
        FierceSun hot = of(12, 29, ShadeCloth.NONE).orElseThrow();
        assertThat(hot.danger()).isEqualTo(FierceSun.Danger.HEAT);
        assertThat(hot.under()).isEmpty();
    }

    @Test
    void aClothThatIsThereSaysWhatIsLeftUnderIt() {
        assertThat(of(32, 20, new ShadeCloth(0.5, 40)).orElseThrow().under())
                .as("though its rule would not draw it")
                .contains(16.0);
        assertThat(FierceSun.of(60, 45, ShadeCloth.NONE, List.of())).isEmpty();
    }
}
