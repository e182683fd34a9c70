package kiver.core.emerge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import kiver.core.emerge.LotOrPlace.Blame;
import kiver.core.place.PlaceId;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.core.seed.Shortfall;
import org.junit.jupiter.api.Test;

class LotOrPlaceTest {

    private static final Germination LABEL = new Germination(90, 10);

    private static LotOrPlace.Count count(int batch, long lot, long place, int tried, int up) {
        return new LotOrPlace.Count(
                batch, new LotId(lot), new PlaceId(place), LABEL, List.of(new Shortfall.Trials(1, tried, up)));
    }

    @Test
    void tailsAreThoseOfTheBetaBinomial() {
        assertThat(count(1, 1, 1, 100, 78).tail()).isEqualTo(0.0097, within(0.00005));
        assertThat(count(1, 1, 1, 100, 84).tail()).isEqualTo(0.104, within(0.0005));
        Germination sure = new Germination(9e8, 1e8);
        assertThat(Shortfall.tail(sure, List.of(new Shortfall.Trials(1, 100, 78))))
                .isEqualTo(0.00031, within(0.000005));
    }

    @Test
    void cellsInWhichSomethingWasSeenCountAsCells() {
        // 40 cells of two seeds with something in 30, held against dice.
        List<Shortfall.Trials> seen = List.of(new Shortfall.Trials(2, 40, 35), new Shortfall.Trials(1, 20, 15));
        Germination label = new Germination(18, 6);
        Random dice = new Random(5);
        int fewer = 0;
        int draws = 60_000;
        for (int draw = 0; draw < draws; draw++) {
            double share = label.quantile(dice.nextDouble());
            int up = 0;
            for (int cell = 0; cell < 40; cell++) {
                up += dice.nextDouble() < share || dice.nextDouble() < share ? 1 : 0;
            }
            for (int seed = 0; seed < 20; seed++) {
                up += dice.nextDouble() < share ? 1 : 0;
            }
            fewer += up <= 50 ? 1 : 0;
        }
        assertThat(Shortfall.tail(label, seen)).isEqualTo((double) fewer / draws, within(0.007));
    }

    @Test
    void theLotIsToBlameWhereItDoesBadlyElsewhereAndOthersDoWellHere() {
        LotOrPlace.Count here = count(1, 1, 1, 100, 70);
        assertThat(LotOrPlace.of(here, List.of(count(2, 1, 2, 100, 72), count(3, 2, 1, 100, 91)))
                        .blame())
                .isEqualTo(Blame.LOT);
        assertThat(LotOrPlace.of(
                                here,
                                List.of(count(2, 1, 2, 100, 91), count(3, 2, 1, 100, 40), count(4, 3, 1, 100, 40)))
                        .blame())
                .isEqualTo(Blame.PLACE);
        assertThat(LotOrPlace.of(
                                here,
                                List.of(count(2, 1, 2, 100, 70), count(3, 2, 1, 100, 40), count(4, 3, 1, 100, 40)))
                        .blame())
                .isEqualTo(Blame.BOTH);
        assertThat(LotOrPlace.of(here, List.of(count(2, 1, 2, 100, 90), count(3, 2, 1, 100, 90)))
                        .blame())
                .isEqualTo(Blame.THIS_SOWING);
        assertThat(LotOrPlace.of(here, List.of(count(3, 2, 1, 100, 90))).blame())
                .isEqualTo(Blame.LOT);
        assertThat(LotOrPlace.of(here, List.of()).blame()).isEqualTo(Blame.CANNOT_TELL);
        assertThat(LotOrPlace.of(count(1, 1, 1, 100, 84), List.of()).blame()).isEqualTo(Blame.CHANCE);
    }

    @Test
    void oneThatFailedWhollyDoesNotSpeakForThePlace() {
        LotOrPlace.Count here = count(1, 1, 1, 100, 60);
        List<LotOrPlace.Count> others = new ArrayList<>();
        for (int batch = 2; batch <= 11; batch++) {
            others.add(count(batch, batch, 1, 100, batch == 2 ? 3 : 90));
        }
        LotOrPlace one = LotOrPlace.of(here, others);
        assertThat(one.tailOthers().orElseThrow()).isEqualTo(1 - Math.pow(0.9, 10), within(1e-9));
        assertThat(one.blame()).isEqualTo(Blame.LOT);
        for (int index = 1; index <= 3; index++) {
            others.set(index, count(index + 2, index + 2, 1, 100, 40));
        }
        assertThat(LotOrPlace.of(here, others).blame()).isEqualTo(Blame.PLACE);
    }
}
