package kiver.core.pot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;
import org.junit.jupiter.api.Test;

/** The order of a morning's potting. */
class PottingDayTest {

    private static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    private static final Container PLUG = new Container(new ContainerCode("plug"), "Plugs", 6, 8, 72, 45, 1);

    private static PottingDay.Piece piece(int batch, String crop, String pot, double minutes, int days) {
        Container into = new Container(new ContainerCode(pot), pot, Container.Kind.POTS, 3, 6, 300, 80, 1);
        return new PottingDay.Piece(
                batch,
                new CropCode(crop),
                new PottingNeeds(10, PLUG, into, 1),
                minutes,
                Optional.of(TODAY.plusDays(days)));
    }

    @Test
    void onePotAfterTheOtherOneCropAfterTheOtherTheMostUrgentFirst() {
        PottingDay day = PottingDay.of(
                List.of(
                        piece(1, "tomato", "nine", 30, 4),
                        piece(2, "pepper", "seven", 20, 2),
                        piece(3, "pepper", "nine", 10, 1),
                        piece(4, "tomato", "seven", 10, 3),
                        piece(5, "pepper", "nine", 20, 5)),
                2);
        assertThat(day.steps()).extracting(step -> step.piece().batch()).containsExactly(3, 5, 1, 2, 4);
        assertThat(day.steps())
                .extracting(PottingDay.Step::changesPots)
                .containsExactly(true, false, false, true, false);
        assertThat(day.minutes())
                .as("two changes of pots, three of variety, the rest by two")
                .isCloseTo(2 * 5 + 3 + 90 / 2.0, within(1e-9));
        for (int step = 1; step < day.steps().size(); step++) {
            assertThat(day.steps().get(step).from())
                    .isGreaterThan(day.steps().get(step - 1).until());
        }
    }

    @Test
    void nothingTakesNoTimeAndNobodyPotsNothing() {
        assertThat(PottingDay.of(List.of(), 1).minutes()).isZero();
        assertThatThrownBy(() -> PottingDay.of(List.of(), 0)).hasMessageContaining("0 hands");
    }
}
