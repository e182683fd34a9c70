package kiver.core.pot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import org.junit.jupiter.api.Test;

/** Which pot for which plug, and what it takes. */
class PotChoiceTest {

    /** 40 × 40 × 45 mm. */
    private static final Container PLUG = new Container(new ContainerCode("plug"), "Plugs", 6, 8, 72, 45, 1);

    private static final Container NINE = pot("nine", 430, 90, 90);
    private static final Container EIGHT = pot("eight", 350, 75, 80);
    private static final Container SEVEN = pot("seven", 180, 65, 70);

    private static Container pot(String code, double volume, double depth, double width) {
        return new Container(new ContainerCode(code), code, Container.Kind.POTS, 3, 6, volume, depth, 1).wide(width);
    }

    @Test
    void aThumbOfMixAllRoundAndBelow() {
        assertThat(PLUG.cellWidth()).isCloseTo(40, within(1e-9));
        assertThat(PotChoice.widthFor(PLUG)).isCloseTo(80, within(1e-9));
        assertThat(PotChoice.depthFor(PLUG)).isEqualTo(65);
        List<PotChoice> choices = PotChoice.of(
                PLUG,
                List.of(NINE, EIGHT, SEVEN, PLUG),
                50,
                Map.of(NINE.code(), 99, EIGHT.code(), 99, SEVEN.code(), 99));
        assertThat(choices).extracting(PotChoice::into).containsExactly(EIGHT, SEVEN, NINE);
        assertThat(choices.get(0).remarks()).isEmpty();
        assertThat(choices.get(1).remarks()).containsExactly(new PotRemark.TooNarrow(70, PotChoice.widthFor(PLUG)));
        assertThat(choices.get(2).times()).isCloseTo(6, within(0.03));
        assertThat(choices.get(2).remarks()).containsExactly(new PotRemark.StaysWet(6));
    }

    @Test
    void whatIsNotInTheShedComesAfterWhatIsALittleOff() {
        List<PotChoice> choices =
                PotChoice.of(PLUG, List.of(EIGHT, SEVEN, NINE), 50, Map.of(EIGHT.code(), 49, SEVEN.code(), 50));
        assertThat(choices).extracting(PotChoice::into).containsExactly(SEVEN, NINE, EIGHT);
        assertThat(choices.get(1).remarks()).contains(new PotRemark.NeverCounted());
        assertThat(choices.get(2).remarks()).containsExactly(new PotRemark.TooFewInTheShed(49, 50));
    }

    @Test
    void seedlingsWithoutAPlugAskForNoThumb() {
        Container open = new Container(new ContainerCode("open"), "Open", Container.Kind.OPEN, 12, 20, 15, 40, 1);
        assertThat(PotChoice.of(open, List.of(NINE), 1, Map.of(NINE.code(), 1))
                        .get(0)
                        .remarks())
                .isEmpty();
        assertThat(new PottingNeeds(10, open, NINE, 1).mix()).isCloseTo(4.3, within(1e-9));
    }

    @Test
    void whatAPottingTakes() {
        PottingNeeds needs = new PottingNeeds(40, PLUG, NINE, 1);
        assertThat(needs.carriers()).isEqualTo(3);
        assertThat(needs.pieces()).isEqualTo(40);
        assertThat(needs.mix()).as("the plug brings its own").isCloseTo(40 * 0.358, within(1e-9));
        assertThat(needs.slotsBefore()).isEqualTo(1);
        assertThat(needs.slotsAfter()).isEqualTo(3);
    }
}
