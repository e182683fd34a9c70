package kiver.core.growth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.DoubleStream;
import kiver.core.place.ClimateSeries;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class GrowthTest {

    private static final LocalDate FIRST = LocalDate.of(2027, 1, 1);
    private static final CardinalTemperatures COOL = CardinalTemperatures.of(4, 24, 36);

    @ParameterizedTest(name = "{0} °C: {1}")
    @CsvSource({"4,0", "36,0", "-10,0", "50,0", "24,1"})
    void rateIsNothingOutsideAndOneAtTheBest(double temperature, double rate) {
        assertThat(COOL.rate(temperature)).isCloseTo(rate, within(1e-12));
    }

    /** (36 − 14)/(36 − 24) · ((14 − 4)/(24 − 4))^((24 − 4)/(36 − 24)) = 1.8333 · 0.5^1.6667 = 0.5775 */
    @Test
    void rateBetweenByHand() {
        assertThat(COOL.rate(14)).isCloseTo(0.5775, within(5e-4));
    }

    @Test
    void rateRisesToTheOptimumAndFallsBehindIt() {
        for (double temperature = 5; temperature < 35.5; temperature += 0.5) {
            boolean rising = temperature + 0.5 <= 24;
            double change = COOL.rate(temperature + 0.5) - COOL.rate(temperature);
            assertThat(change > 0).as("at %s", temperature).isEqualTo(rising);
        }
    }

    @Test
    void cardinalTemperaturesMustRise() {
        assertThatThrownBy(() -> CardinalTemperatures.of(10, 8, 30)).hasMessageContaining("must rise");
    }

    @Test
    void halfIsUpWhenProgressIsOne() {
        Emergence emergence = new Emergence(COOL, 5, 0.2);
        assertThat(emergence.shareUp(1)).isCloseTo(0.5, within(1e-12));
        assertThat(emergence.shareUp(emergence.progressWhen(0.9))).isCloseTo(0.9, within(1e-9));
        assertThat(emergence.shareUp(0)).isZero();
        assertThat(emergence.daysAt(24)).isCloseTo(5, within(1e-12));
        assertThat(emergence.daysAt(2)).isInfinite();
    }

    @Test
    void emergesAfterTheDaysOfAConstantTemperature() {
        Emergence emergence = new Emergence(COOL, 5, 0.2);
        ProgressSeries series = ProgressSeries.ofEmergence(emergence, new PlaceId(1), List.of(constant(14, 60)))
                .get(0);
        assertThat(series.timeReaching(3, 1)).isCloseTo(3 + emergence.daysAt(14), within(0.02));
        assertThat(series.timeReaching(0, 1000)).isEqualTo(ProgressSeries.NEVER);
        assertThat(series.timeReaching(60, 1)).isEqualTo(ProgressSeries.NEVER);
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15})
    void searchAndSumAgree(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<DailyRange> days = new ArrayList<>();
        for (int day = 0; day < 200; day++) {
            double minimum = -8 + 25 * random.nextDouble();
            days.add(new DailyRange(minimum, minimum + 15 * random.nextDouble()));
        }
        ProgressSeries series = ProgressSeries.ofEmergence(
                        new Emergence(COOL, 4, 0.2), new PlaceId(1), List.of(climate(days)))
                .get(0);
        double before = 0;
        for (double wanted = 0.5; wanted < 10; wanted += 0.7) {
            double time = series.timeReaching(5.25, wanted);
            assertThat(time)
                    .as("progress %s is made within 200 days", wanted)
                    .isNotEqualTo(ProgressSeries.NEVER)
                    .isGreaterThanOrEqualTo(before);
            assertThat(series.between(5.25, time)).isCloseTo(wanted, within(1e-9));
            before = time;
        }
    }

    @Test
    void warmthBringsOnAndColdHoldsBack() {
        LeafGrowth leaves = new LeafGrowth(COOL, 0.25, 12);
        double cool = ProgressSeries.ofLeaves(leaves, new PlaceId(1), List.of(constant(10, 90)))
                .get(0)
                .between(0, 30);
        double warm = ProgressSeries.ofLeaves(leaves, new PlaceId(1), List.of(constant(18, 90)))
                .get(0)
                .between(0, 30);
        assertThat(warm).isGreaterThan(1.5 * cool);
    }

    @Test
    void lightSaturatesAndWantOfItShows() {
        LeafGrowth leaves = new LeafGrowth(COOL, 0.25, 12);
        assertThat(leaves.lightFactor(24)).isEqualTo(1);
        assertThat(leaves.lightFactor(6)).isBetween(0.6, 0.8);
        assertThat(leaves.leggyBelow()).isEqualTo(6);
    }

    @Test
    void pathPassesItsMarksInOrder() {
        Scenario scenario = scenario(16, 1, 1);
        Milestones milestones = new Path(4, 7, 5).from(Standing.sownAt(2), scenario);
        assertThat(milestones.emerged()).isGreaterThan(2);
        assertThat(milestones.stageReached()).isGreaterThan(milestones.emerged());
        assertThat(milestones.ready()).isEqualTo(milestones.stageReached() + 5);
        assertThat(milestones.pastLimit()).isGreaterThan(milestones.stageReached());
        assertThat(milestones.fitOn(milestones.ready() + 0.5)).isTrue();
        assertThat(milestones.fitOn(milestones.pastLimit() + 1)).isFalse();
    }

    @Test
    void slowBatchesAreLater() {
        Path path = new Path(4, 7, 5);
        Milestones usual = path.from(Standing.sownAt(0), scenario(16, 1, 1));
        Milestones slow = path.from(Standing.sownAt(0), scenario(16, 1.2, 1.2));
        assertThat(slow.emerged()).isGreaterThan(usual.emerged());
        assertThat(slow.ready()).isGreaterThan(usual.ready());
    }

    @Test
    void aBatchHalfWayNeedsOnlyTheRest() {
        Path path = new Path(4, 7, 5);
        Scenario scenario = scenario(16, 1, 1);
        Milestones fresh = path.from(Standing.sownAt(0), scenario);
        double middle = (fresh.emerged() + fresh.stageReached()) / 2;
        double leaves = scenario.growingOn().between(fresh.emerged(), middle);
        Milestones later = path.from(
                new Standing(middle, 0, fresh.emerged(), leaves, 0, ProgressSeries.NEVER, false, 0), scenario);
        assertThat(later.ready()).isCloseTo(fresh.ready(), within(1e-6));
        Milestones hardening = path.from(new Standing(20, 0, 5, 4, 0, ProgressSeries.NEVER, true, 3), scenario);
        assertThat(hardening.ready()).isEqualTo(22);
    }

    @Test
    void inTheColdNothingEverHappens() {
        assertThat(new Path(4, 7, 5).from(Standing.sownAt(0), scenario(2, 1, 1)))
                .isEqualTo(Milestones.NEVER);
    }

    @Test
    void spreadIsTenFiftyNinety() {
        double[] days = {1, 2, 3, 4, 5, 6, 7, 8, 9, ProgressSeries.NEVER};
        DateSpread spread = DateSpread.ofDays(FIRST, FIRST.plusDays(99), days).orElseThrow();
        assertThat(spread).isEqualTo(new DateSpread(FIRST.plusDays(1), FIRST.plusDays(5), FIRST.plusDays(9)));
        double[] mostlyNever = {1, ProgressSeries.NEVER, ProgressSeries.NEVER};
        assertThat(DateSpread.ofDays(FIRST, FIRST.plusDays(99), mostlyNever)).isEmpty();
        assertThat(DateSpread.of(FIRST, FIRST.plusDays(99), mostlyNever)).isEmpty();
        double[] oneNever = {1, 2, 3, 4, 5, 6, 7, 8, 9, ProgressSeries.NEVER};
        assertThat(DateSpread.of(FIRST, FIRST.plusDays(99), oneNever)
                        .orElseThrow()
                        .late())
                .isEqualTo(FIRST.plusDays(99));
    }

    @Test
    void momentsSpreadOverTheDaysThatMostlyHoldThem() {
        // Nine moments whose tenths are themselves: the first at 2.3, the middle at 3.9, the last at 6.6.
        double[] times = {2.3, 2.8, 3.1, 3.5, 3.9, 4.4, 5, 5.9, 6.6};
        assertThat(DateSpread.of(FIRST, FIRST.plusDays(99), times).orElseThrow())
                .isEqualTo(new DateSpread(FIRST.plusDays(2), FIRST.plusDays(3), FIRST.plusDays(6)));
        double[] certain = {4.8, 4.8, 4.8};
        assertThat(DateSpread.of(FIRST, FIRST.plusDays(99), certain)
                        .orElseThrow()
                        .isCertain())
                .isTrue();
    }

    @Test
    void spreadsHoldEightInTenHoweverNarrowTheyAre() {
        SplittableRandom random = new SplittableRandom(4);
        for (double deviation : new double[] {1, 2, 6}) {
            int inside = 0;
            for (int life = 0; life < 4_000; life++) {
                double middle = 40 + random.nextDouble();
                double[] times = DoubleStream.generate(() -> middle + deviation * random.nextGaussian())
                        .limit(30)
                        .toArray();
                DateSpread spread =
                        DateSpread.of(FIRST, FIRST.plusDays(99), times).orElseThrow();
                LocalDate day = FIRST.plusDays((long) (middle + deviation * random.nextGaussian()));
                inside += day.isBefore(spread.early()) || day.isAfter(spread.late()) ? 0 : 1;
            }
            assertThat(inside / 4_000.0).as("of deviation " + deviation).isBetween(0.77, 0.83);
        }
    }

    @Test
    void pacesAreEvenlySpreadAndAlwaysTheSame() {
        double[][] scatter = PaceSpread.scatter(30, 8, 0.29);
        assertThat(scatter).isDeepEqualTo(PaceSpread.scatter(30, 8, 0.29));
        assertThat(scatter[0][0]).isNotEqualTo(PaceSpread.scatter(30, 8, 0.13)[0][0]);
        for (int stage = 0; stage < 2; stage++) {
            double mean = 0;
            double square = 0;
            for (double[] pair : scatter) {
                mean += pair[stage] / scatter.length;
                square += pair[stage] * pair[stage] / scatter.length;
            }
            assertThat(mean).isCloseTo(0, within(0.06));
            assertThat(square).isCloseTo(1, within(0.05));
        }
    }

    /** A batch that comes up late is not the likelier to make its leaves early, nor does its pace know the year. */
    @Test
    void pacesOfEmergenceAndOfLeavesHaveNothingToDoWithEachOther() {
        double[][] scatter = PaceSpread.scatter(30, 8, 0.29);
        double both = 0;
        double[] byYear = new double[30];
        for (int draw = 0; draw < scatter.length; draw++) {
            both += scatter[draw][0] * scatter[draw][1] / scatter.length;
            byYear[draw % byYear.length] += scatter[draw][0] / (scatter.length / byYear.length);
        }
        assertThat(both).isCloseTo(0, within(0.06));
        for (double mean : byYear) {
            assertThat(mean).isCloseTo(0, within(0.4));
        }
    }

    private static Scenario scenario(double temperature, double emergencePace, double leafPace) {
        ClimateSeries climate = constant(temperature, 200);
        ProgressSeries leaves = ProgressSeries.ofLeaves(
                        new LeafGrowth(COOL, 0.25, 12), new PlaceId(1), List.of(climate))
                .get(0);
        ProgressSeries emergence = ProgressSeries.ofEmergence(
                        new Emergence(COOL, 5, 0.2), new PlaceId(1), List.of(climate))
                .get(0);
        return new Scenario(
                emergence,
                leaves,
                leaves,
                ProgressSeries.ofDaysOut(DaysOut.ANY, List.of(climate)).get(0),
                emergencePace,
                leafPace);
    }

    private static ClimateSeries constant(double temperature, int days) {
        List<DailyRange> ranges = new ArrayList<>();
        for (int day = 0; day < days; day++) {
            ranges.add(new DailyRange(temperature, temperature));
        }
        return climate(ranges);
    }

    private static ClimateSeries climate(List<DailyRange> days) {
        Place outside = new Place(
                new PlaceId(1),
                "Yard",
                1,
                1,
                new PlaceClimate.FollowsWeather(0, 0, -60),
                0.8,
                20,
                Set.of(PlaceUse.GROWING_ON));
        return ClimateSeries.of(outside, new StationRecord(FIRST, days), Map.of(), 46);
    }
}
