package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Set;
import kiver.core.care.LookRule.Places;
import kiver.core.care.LookRule.PlantKind;
import kiver.core.crop.CropCode;
import org.junit.jupiter.api.Test;

class LookRuleTest {

    private static final CropCode PEA = new CropCode("pea");
    private static final CropCode KALE = new CropCode("curly-kale");
    private static final LocalDate APRIL = LocalDate.of(2027, 4, 15);

    private static LookRule.Standing standing(CropCode crop, PlantKind kind, boolean heated) {
        return new LookRule.Standing(7, crop, kind, heated, false);
    }

    @Test
    void miceAreLookedForAtPeasThatAreNotUp() {
        LookRule mice = new LookRule(Ailment.MICE, Set.of(PlantKind.SOWN), Places.ANY, 1, 12, Set.of(PEA));
        assertThat(mice.asksFor(standing(PEA, PlantKind.SOWN, true), APRIL, false))
                .isTrue();
        assertThat(mice.asksFor(standing(PEA, PlantKind.SEEDLING, true), APRIL, false))
                .isFalse();
        assertThat(mice.asksFor(standing(KALE, PlantKind.SOWN, true), APRIL, false))
                .isFalse();
    }

    @Test
    void seasonsTurnRoundInTheSouthAndMayCrossTheYear() {
        LookRule beetles = new LookRule(Ailment.FLEA_BEETLE, Set.of(PlantKind.GROWN), Places.UNHEATED, 4, 9, Set.of());
        LookRule.Standing kale = standing(KALE, PlantKind.GROWN, false);
        assertThat(beetles.asksFor(kale, APRIL, false)).isTrue();
        assertThat(beetles.asksFor(kale, APRIL, true)).isFalse();
        assertThat(beetles.asksFor(kale, LocalDate.of(2027, 10, 1), true)).isTrue();
        assertThat(beetles.asksFor(kale, LocalDate.of(2027, 12, 31), true)).isTrue();
        assertThat(beetles.asksFor(standing(KALE, PlantKind.GROWN, true), APRIL, false))
                .isFalse();
        LookRule winter = new LookRule(Ailment.SLUGS, Set.of(PlantKind.GROWN), Places.ANY, 11, 2, Set.of());
        assertThat(winter.asksFor(kale, LocalDate.of(2027, 12, 31), false)).isTrue();
        assertThat(winter.asksFor(kale, APRIL, false)).isFalse();
    }
}
