package kiver.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.order.FrostDates;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.seed.Germination;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;

class InPlaceTest {

    private static final LocalDate TODAY = Samples.TODAY;
    private static final Crop CROP = Samples.kale(6);
    private static final SiteClimate VALLEY = new SiteClimate(0, Protection.OPEN_GROUND);

    private static InPlace.Ask ask(int plants, LocalDate target, SiteClimate site, Germination lot, int seeds) {
        return new InPlace.Ask(
                new OrderLine(plants, new LeafStage(4, 6), target),
                CROP,
                lot,
                seeds,
                site,
                FrostDates.of(
                        Samples.RECORD, site.nightOffset(), CROP.hardiness().harmedAt(), true),
                TODAY);
    }

    private static InPlace of(InPlace.Ask ask) {
        return InPlace.of(ask, Samples.RECORD.scenarios(TODAY, List.of(), ask.firstDay(), ask.lastDay()));
    }

    /** Soil at a steady 15 °C (12 of air and 3 of sun), pencilled: 1 / rate(15) · days at best, and leaves after that. */
    @Test
    void atASteadyTemperatureItComesUpAsTheCropSays() {
        InPlace.Ask ask = ask(100, TODAY.plusDays(90), VALLEY, Samples.LOT, 1000);
        StationRecord steady = new StationRecord(ask.firstDay(), Collections.nCopies(281, new DailyRange(12, 12)));
        InPlace sown = InPlace.of(
                new InPlace.Ask(
                        ask.line(),
                        CROP,
                        Samples.LOT,
                        1000,
                        VALLEY,
                        new FrostDates(true, List.of(FrostDates.NONE), List.of(FrostDates.NONE)),
                        TODAY),
                List.of(steady));
        double up = CROP.emergence().daysAt(15);
        double leaves =
                4 / (CROP.leaves().temperatures().rate(12) * CROP.leaves().leavesPerDayAtBest());
        assertThat(sown.from()).contains(TODAY);
        assertThat(sown.up())
                .hasValueSatisfying(when -> assertThat((double) when.middle().toEpochDay() - TODAY.toEpochDay())
                        .isCloseTo(up, within(1.01)));
        assertThat(sown.atStage())
                .hasValueSatisfying(when -> assertThat((double) when.middle().toEpochDay() - TODAY.toEpochDay())
                        .isCloseTo(up + leaves, within(2.01)));
        assertThat(sown.chanceInTime()).isEqualTo(1);
    }

    @Test
    void higherUpItIsSownLaterAndAtItsStageLater() {
        LocalDate target = TODAY.plusDays(110);
        InPlace valley = of(ask(100, target, VALLEY, Samples.LOT, 1000));
        InPlace terrace = of(ask(100, target, new SiteClimate(-3.4, Protection.OPEN_GROUND), Samples.LOT, 1000));
        assertThat(terrace.from().orElseThrow()).isAfter(valley.from().orElseThrow());
        assertThat(terrace.atStage().orElseThrow().middle())
                .isAfter(valley.atStage().orElseThrow().middle());
        assertThat(terrace.chance()).isLessThanOrEqualTo(valley.chance());
        assertThat(valley.from().orElseThrow()).isBeforeOrEqualTo(valley.until().orElseThrow());
    }

    @Test
    void aTargetTooSoonHasHardlyAChance() {
        InPlace tooSoon = of(ask(100, TODAY.plusDays(20), VALLEY, Samples.LOT, 1000));
        assertThat(tooSoon.chance()).isZero();
        assertThat(tooSoon.until()).contains(tooSoon.from().orElseThrow().plusDays(7));
    }

    /** The chance of enough against sowings drawn spot by spot. */
    @Test
    void enoughStandAsOftenAsIsSaid() {
        InPlace sown = of(ask(80, TODAY.plusDays(120), VALLEY, Samples.LOT, 1000));
        SplittableRandom chance = new SplittableRandom(7);
        int enough = 0;
        int times = 4_000;
        for (int time = 0; time < times; time++) {
            double germination = draw(chance, 90, 10) * 0.7;
            if (chance.nextDouble() < 0.05) {
                germination = 0.9 * 0.7 * chance.nextDouble();
            }
            double living = draw(chance, 16, 4);
            int plants = 0;
            for (int spot = 0; spot < sown.spots(); spot++) {
                boolean up = false;
                for (int seed = 0; seed < sown.seedsPerSpot(); seed++) {
                    up |= chance.nextDouble() < germination;
                }
                plants += up && chance.nextDouble() < living ? 1 : 0;
            }
            enough += plants >= 78 ? 1 : 0;
        }
        assertThat(enough / (double) times).isCloseTo(sown.chanceEnough(), within(0.03));
    }

    /** A Beta draw as the share of successes' gamma sums, with whole shapes. */
    private static double draw(SplittableRandom chance, int up, int failed) {
        double one = 0;
        double other = 0;
        for (int index = 0; index < up; index++) {
            one -= Math.log(1 - chance.nextDouble());
        }
        for (int index = 0; index < failed; index++) {
            other -= Math.log(1 - chance.nextDouble());
        }
        return one / (one + other);
    }

    @Test
    void withoutSeedOrWithTooLittleThereIsNoChance() {
        assertThat(of(ask(100, TODAY.plusDays(120), VALLEY, null, 0)).chance()).isZero();
        InPlace little = of(ask(100, TODAY.plusDays(120), VALLEY, Samples.LOT, 50));
        assertThat(little.seeds()).isGreaterThan(50);
        assertThat(little.chance()).isZero();
        assertThat(little.chanceEnough()).isPositive();
    }

    @Test
    void whereTheGroundNeverWarmsNothingIsSown() {
        InPlace never =
                of(ask(100, TODAY.plusDays(120), new SiteClimate(-20, Protection.OPEN_GROUND), Samples.LOT, 1000));
        assertThat(never.from()).isEmpty();
        assertThat(never.chance()).isZero();
    }
}
