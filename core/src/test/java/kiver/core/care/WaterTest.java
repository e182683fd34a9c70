package kiver.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.care.WaterSeen.Heft;
import kiver.core.care.WaterSeen.How;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Thirst;
import org.junit.jupiter.api.Test;

class WaterTest {

    private static final LocalDate FIRST = LocalDate.of(2027, 4, 1);
    private static final LocalDateTime MORNING = FIRST.plusDays(3).atTime(8, 0);
    private static final AirDemand AIR =
            AirDemand.of(46, FIRST, Collections.nCopies(10, new AirDemand.Day(12, 24, 20)));
    private static final Drinking YOUNG = new Drinking(0.15, 1350, 1, true);
    private static final DryingPace SURE = new DryingPace(1, 0.05);

    @Test
    void theWorkedTrayIsMet() {
        TrayWeight tray = new TrayWeight(900, 1900);
        assertThat(tray.share(1300)).isCloseTo(0.4, within(1e-9));
        assertThat(tray.share(880)).isZero();
        assertThat(tray.faultIn(1300)).isEmpty();
        assertThat(tray.faultIn(600)).contains(TrayWeight.Fault.LIGHTER_THAN_DRY);
        assertThat(tray.faultIn(4000)).contains(TrayWeight.Fault.HEAVIER_THAN_SOAKED);
        assertThat(tray.faultIn(2.9)).contains(TrayWeight.Fault.IN_POUNDS);
        assertThat(tray.faultIn(0.95)).contains(TrayWeight.Fault.IN_KILOGRAMS);
        assertThatThrownBy(() -> new TrayWeight(1900, 900)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Every hour added up is the whole, whatever the hours; and the light of a day comes within it. */
    @Test
    void theAirAsksAsMuchInPartsAsInOne() {
        LocalDateTime end = MORNING.plusHours(50);
        double parts = IntStream.range(0, 100)
                .mapToDouble(
                        half -> AIR.radiation(MORNING.plusMinutes(half * 30L), MORNING.plusMinutes(half * 30L + 30)))
                .sum();
        assertThat(parts).isCloseTo(AIR.radiation(MORNING, end), within(1e-9));
        assertThat(AIR.radiation(
                        FIRST.plusDays(1).atStartOfDay(), FIRST.plusDays(2).atStartOfDay()))
                .isCloseTo(20 / 2.04, within(1e-9));
        assertThat(AIR.radiation(FIRST.atStartOfDay(), FIRST.atTime(4, 0))).isZero();
        assertThat(AIR.dryness(FIRST.atTime(14, 0), FIRST.atTime(15, 0)))
                .as("warmest hour, at the difference of the two saturations")
                .isCloseTo(AirDemand.saturation(24) - AirDemand.saturation(12), within(0.05));
        assertThat(AirDemand.saturation(20)).isCloseTo(2.34, within(0.005));
    }

    @Test
    void moreLeavesWarmthAndLightDrinkMoreAndACoverDrinksLittle() {
        LocalDateTime evening = MORNING.plusHours(12);
        double usual = YOUNG.between(AIR, MORNING, evening);
        assertThat(new Drinking(0.15, 1350, 2, true).between(AIR, MORNING, evening))
                .isGreaterThan(usual);
        assertThat(new Drinking(0.15, 1350, 0, false).between(AIR, MORNING, evening))
                .isLessThan(usual / 5);
        AirDemand bright = AirDemand.of(46, FIRST, Collections.nCopies(10, new AirDemand.Day(12, 30, 35)));
        assertThat(YOUNG.between(bright, MORNING, evening)).isGreaterThan(1.4 * usual);
        assertThat(Drinking.leafArea(60, 4, 0.15)).isBetween(1.0, 2.0);
        assertThat(Drinking.leafArea(500, 8, 0.15)).isEqualTo(3);
    }

    /** Two tellings of one figure: by precision, worked by hand. */
    @Test
    void handsAndEyesTrueWhatIsKnownOfATray() {
        TrayWater lifted = new TrayWater(0.6, 0.12).with(new WaterSeen.Lifted(Heft.SOME));
        assertThat(lifted.share()).isCloseTo(0.55, within(1e-9));
        assertThat(lifted.deviation()).isCloseTo(0.12 / Math.sqrt(2), within(1e-9));
        assertThat(TrayWater.UNKNOWN.with(new WaterSeen.Lifted(Heft.LIGHT)).share())
                .isLessThan(0.3);
        assertThat(lifted.with(new WaterSeen.Weighed(0.4))).isEqualTo(new TrayWater(0.4, 0.02));
        assertThat(lifted.with(new WaterSeen.Watered(How.BELOW)).share()).isEqualTo(1);
        assertThat(lifted.with(new WaterSeen.Watered(How.ABOVE)).share()).isEqualTo(0.92);
        assertThat(lifted.with(new WaterSeen.Surface(true)).share()).isGreaterThan(0.6);
        assertThat(lifted.after(2, SURE).share()).isZero();
    }

    private static WaterRecord record(Drinking drinking, WaterRecord.Sighting... seen) {
        return new WaterRecord(List.of(seen), day -> drinking, AIR);
    }

    private static WaterRecord.Sighting seen(LocalDateTime at, WaterSeen what) {
        return new WaterRecord.Sighting(at, what);
    }

    private static WaterCall call(Thirst thirst, WaterRecord record) {
        return WaterCall.of(
                new WaterCall.Tray(thirst, Optional.empty(), true), record, SURE, MORNING, MORNING.plusDays(1));
    }

    @Test
    void aTrayIsWateredWhenItComesToItsCropsMarkAndNotByHabit() {
        WaterRecord half = record(YOUNG, seen(MORNING, new WaterSeen.Weighed(0.5)));
        assertThat(call(Thirst.MOIST, half).advice()).isEqualTo(WaterCall.Advice.WATER);
        assertThat(call(Thirst.MOIST, half).atMark()).contains(MORNING);
        WaterCall dry = call(Thirst.DRY_SIDE, half);
        LocalDateTime at = dry.atMark().orElseThrow();
        assertThat(half.at(at, SURE).share()).isCloseTo(0.3, within(0.01));
        assertThat(dry.how()).isEqualTo(How.BELOW);
        assertThat(dry.minutes()).isEqualTo(20);
        WaterRecord soaked = record(YOUNG, seen(MORNING, new WaterSeen.Watered(How.BELOW)));
        assertThat(call(Thirst.EVEN, soaked).advice()).isEqualTo(WaterCall.Advice.LEAVE);
        assertThat(call(Thirst.EVEN, record(YOUNG)).advice())
                .as("nobody has seen it")
                .isEqualTo(WaterCall.Advice.LOOK);
    }

    @Test
    void aTrayThatIsSoakedEachMorningThoughItHoldsPlentyNeverDries() {
        WaterRecord.Sighting[] mornings = IntStream.range(0, 4)
                .mapToObj(day -> seen(FIRST.plusDays(day).atTime(7, 0), new WaterSeen.Watered(How.BELOW)))
                .toArray(WaterRecord.Sighting[]::new);
        assertThat(call(Thirst.EVEN, record(YOUNG, mornings)).neverDries()).isTrue();
        Drinking thirsty = new Drinking(0.15, 300, 1, true);
        assertThat(call(Thirst.EVEN, record(thirsty, mornings)).neverDries()).isFalse();
    }

    @Test
    void aTrayThatWillNotLastUntilTomorrowIsComeBackToAtTheHourOfItsMark() {
        Drinking thirsty = new Drinking(0.15, 300, 1, true);
        WaterCall morning = call(Thirst.EVEN, record(thirsty, seen(MORNING, new WaterSeen.Weighed(0.5))));
        assertThat(morning.advice()).isEqualTo(WaterCall.Advice.WATER);
        LocalDateTime again = morning.again().orElseThrow();
        assertThat(again).isBetween(MORNING.plusHours(2), FIRST.plusDays(3).atTime(18, 0));
        WaterRecord soaked = record(thirsty, seen(MORNING, new WaterSeen.Watered(How.BELOW)));
        assertThat(soaked.at(again, SURE).share()).isCloseTo(0.45, within(0.02));
        assertThat(call(Thirst.EVEN, soaked).advice()).as("it is full").isEqualTo(WaterCall.Advice.LEAVE);
        assertThat(call(Thirst.EVEN, soaked).again()).contains(again);
        WaterCall then = WaterCall.of(
                new WaterCall.Tray(Thirst.EVEN, Optional.empty(), true), soaked, SURE, again, MORNING.plusDays(1));
        assertThat(then.advice()).isEqualTo(WaterCall.Advice.WATER);
        assertThat(call(Thirst.EVEN, record(YOUNG, seen(MORNING, new WaterSeen.Weighed(0.5))))
                        .again())
                .as("one that holds more")
                .isEmpty();
    }

    @Test
    void whatWasLookedAtAndMayBeDryByTomorrowIsNotLeftToLuck() {
        DryingPace hardlyKnown = new DryingPace(1, 0.5);
        WaterCall.Tray tray = new WaterCall.Tray(Thirst.DRY_SIDE, Optional.empty(), true);
        WaterRecord yesterday = record(YOUNG, seen(MORNING.minusDays(1), new WaterSeen.Weighed(0.8)));
        assertThat(WaterCall.of(tray, yesterday, hardlyKnown, MORNING, MORNING.plusDays(1))
                        .advice())
                .isEqualTo(WaterCall.Advice.LOOK);
        WaterRecord lifted = yesterday.and(MORNING, new WaterSeen.Lifted(Heft.LIGHT));
        assertThat(WaterCall.of(tray, lifted, hardlyKnown, MORNING, MORNING.plusDays(1))
                        .advice())
                .isEqualTo(WaterCall.Advice.WATER);
        WaterRecord heavy = yesterday.and(MORNING, new WaterSeen.Lifted(Heft.HEAVY));
        assertThat(WaterCall.of(tray, heavy, hardlyKnown, MORNING, MORNING.plusDays(1))
                        .advice())
                .as("it was looked at: nobody is sent twice")
                .isEqualTo(WaterCall.Advice.LEAVE);
    }

    /** A tray of seedlings weighed as it grows: held against the leaves of today its pace would look slow. */
    @Test
    void weighingsAreHeldAgainstTheLeavesOfTheirDay() {
        WaterRecord.ByDay growing = day -> new Drinking(0.15, 1350, day.equals(FIRST) ? 0.2 : 2, true);
        double gone = growing.on(FIRST).between(AIR, FIRST.atTime(8, 0), FIRST.atTime(20, 0));
        WaterRecord record = new WaterRecord(
                List.of(
                        seen(FIRST.atTime(8, 0), new WaterSeen.Watered(How.BELOW)),
                        seen(FIRST.atTime(20, 0), new WaterSeen.Weighed(1 - gone))),
                growing,
                AIR);
        DryingPace.Dried dried = record.dried().get(0);
        assertThat(dried.expected()).isCloseTo(dried.seen(), within(1e-9));
        assertThat(record.drunk(FIRST.atTime(8, 0), FIRST.plusDays(1).atTime(8, 0)))
                .as("the night belongs to both days")
                .isCloseTo(
                        growing.on(FIRST)
                                        .between(
                                                AIR,
                                                FIRST.atTime(8, 0),
                                                FIRST.plusDays(1).atStartOfDay())
                                + growing.on(FIRST.plusDays(1))
                                        .between(
                                                AIR,
                                                FIRST.plusDays(1).atStartOfDay(),
                                                FIRST.plusDays(1).atTime(8, 0)),
                        within(1e-9));
    }

    /** Weighed when nothing was left, it went at least so fast: that makes nobody think a tray slow. */
    @Test
    void whatDriedToTheEndTellsOnlyOfFasterTrays() {
        DryingPace.Dried usual = new DryingPace.Dried(0.5, 0.5, false);
        DryingPace.Dried late = new DryingPace.Dried(2.5, 1, true);
        DryingPace.Dried fast = new DryingPace.Dried(0.4, 0.9, true);
        double alone = DryingPace.learnt(Map.of("bench", List.of(usual, usual)))
                .of("bench")
                .factor();
        assertThat(DryingPace.learnt(Map.of("bench", List.of(usual, usual, late)))
                        .of("bench")
                        .factor())
                .isEqualTo(alone);
        assertThat(DryingPace.learnt(Map.of("bench", List.of(usual, usual, fast)))
                        .of("bench")
                        .factor())
                .isGreaterThan(alone);
        WaterRecord empty = record(
                YOUNG,
                seen(FIRST.atTime(8, 0), new WaterSeen.Watered(How.BELOW)),
                seen(MORNING, new WaterSeen.Weighed(0.01)));
        assertThat(empty.dried().get(0).toTheEnd()).isTrue();
    }

    @Test
    void untilSomethingShowsItGoesBySchoolAndTheSurfaceIsLookedAtDaily() {
        Container plugs = new Container(new ContainerCode("p"), "Plugs", 10, 15, 25, 40, 1);
        Container blocks = new Container(new ContainerCode("b"), "Blocks", Container.Kind.BLOCKS, 5, 8, 60, 40, 1);
        assertThat(AfterSowing.of(plugs, false, 18)).isEqualTo(AfterSowing.LEFT_UNTIL_UP);
        assertThat(AfterSowing.of(plugs, false, 24)).isEqualTo(AfterSowing.STOOD_IN_WATER);
        assertThat(AfterSowing.of(plugs, true, 24)).isEqualTo(AfterSowing.SPRAYED_DAILY);
        assertThat(AfterSowing.of(blocks, false, 18)).isEqualTo(AfterSowing.SPRAYED_DAILY);
        Drinking covered = new Drinking(0.15, 1350, 0, false);
        WaterRecord.Sighting soaked = seen(FIRST.atTime(9, 0), new WaterSeen.Watered(How.BELOW));
        assertThat(untilUp(AfterSowing.LEFT_UNTIL_UP, record(covered, soaked))).isEqualTo(WaterCall.Advice.LOOK);
        assertThat(untilUp(AfterSowing.SPRAYED_DAILY, record(covered, soaked))).isEqualTo(WaterCall.Advice.SPRAY);
        WaterRecord.Sighting dark = seen(MORNING.minusMinutes(5), new WaterSeen.Surface(true));
        assertThat(untilUp(AfterSowing.LEFT_UNTIL_UP, record(covered, soaked, dark)))
                .isEqualTo(WaterCall.Advice.LEAVE);
        WaterRecord.Sighting pale = seen(MORNING.minusMinutes(5), new WaterSeen.Surface(false));
        assertThat(untilUp(AfterSowing.LEFT_UNTIL_UP, record(covered, soaked, pale)))
                .isEqualTo(WaterCall.Advice.WATER);
    }

    private static WaterCall.Advice untilUp(AfterSowing way, WaterRecord record) {
        return WaterCall.of(
                        new WaterCall.Tray(Thirst.EVEN, Optional.of(way), false),
                        record,
                        SURE,
                        MORNING,
                        MORNING.plusDays(1))
                .advice();
    }

    @Test
    void aGroupBorrowsFromTheNurseryUntilItHasWeighingsOfItsOwn() {
        DryingPace.Dried fast = new DryingPace.Dried(0.4, 0.6, false);
        DryingPace.Learnt<String> learnt = DryingPace.learnt(Map.of(
                "mat",
                Collections.nCopies(20, fast),
                "bench",
                List.of(fast),
                "tells nothing",
                List.of(new DryingPace.Dried(0.01, 0.2, false))));
        assertThat(learnt.of("mat").factor()).isCloseTo(1.5, within(0.03));
        assertThat(learnt.of("bench").factor()).isBetween(1.3, 1.5);
        assertThat(learnt.of("elsewhere").factor()).isBetween(1.1, 1.45);
        assertThat(learnt.of("mat").deviation()).isLessThan(learnt.of("bench").deviation());
        assertThat(learnt.of("bench").deviation())
                .isLessThan(learnt.of("tells nothing").deviation());
        assertThat(DryingPace.learnt(Map.of()).of("any").factor()).isEqualTo(1);
    }

    /** A made-up bench whose trays dry by paces of their own: after two weeks of weighing, how well is the hour foreseen? */
    @Test
    void dryingLearntFromWeighingForeseesTheHourOfWatering() {
        Bench bench = new Bench(new SplittableRandom(11));
        bench.live(14);
        List<Double> hoursOff = bench.foreseen(14);
        double within = hoursOff.stream().filter(hours -> hours <= 3).count() / (double) hoursOff.size();
        assertThat(hoursOff).hasSizeGreaterThan(150);
        assertThat(within).isGreaterThan(0.8);
    }

    /** Whose hands do what the calls say, and lift what they are told to lift: hardly a tray is ever found dry. */
    @Test
    void aBenchThatFollowsTheCallsHardlyEverDries() {
        Bench bench = new Bench(new SplittableRandom(12));
        int mornings = 30 * Bench.GROUPS * Bench.TRAYS;
        assertThat(bench.foundDry(30)).isLessThan(mornings / 200);
        assertThat(bench.shareSoaked / bench.soakings)
                .as("what a tray still held when it was soaked")
                .isBetween(0.35, 0.65);
    }

    /** Trays in groups; each group has its own true pace, each tray and day a little of its own, the scale is off by 8 g. */
    private static final class Bench {
        private static final int GROUPS = 8;
        private static final int TRAYS = 5;
        private static final double MARK = WaterCall.mark(Thirst.EVEN);

        private final SplittableRandom random;
        private final AirDemand air;
        private final List<Drinking> drinking = new ArrayList<>();
        private final List<Double> pace = new ArrayList<>();
        private final List<List<WaterRecord.Sighting>> seen = new ArrayList<>();
        private final double[] share = new double[GROUPS * TRAYS];
        private int day;

        Bench(SplittableRandom random) {
            this.random = random;
            List<AirDemand.Day> days = new ArrayList<>();
            for (int each = 0; each < 40; each++) {
                double swing = 6 + 10 * random.nextDouble();
                days.add(new AirDemand.Day(10 + 4 * random.nextDouble(), 14 + swing, 8 + 2 * swing));
            }
            air = AirDemand.of(46, FIRST, days);
            for (int group = 0; group < GROUPS; group++) {
                double own = Math.exp(0.3 * random.nextGaussian());
                for (int tray = 0; tray < TRAYS; tray++) {
                    drinking.add(new Drinking(0.15, 600 + 100 * group, 1.2, true));
                    pace.add(own * Math.exp(0.06 * random.nextGaussian()));
                    seen.add(new ArrayList<>());
                    share[group * TRAYS + tray] = 1;
                }
            }
        }

        private double weighed(int tray) {
            double held = drinking.get(tray).held();
            return new TrayWeight(900, 900 + held).share(900 + share[tray] * held + 8 * random.nextGaussian());
        }

        private WaterRecord record(int tray) {
            return new WaterRecord(seen.get(tray), day -> drinking.get(tray), air);
        }

        private DryingPace.Learnt<Integer> learnt() {
            Map<Integer, List<DryingPace.Dried>> weighings = new HashMap<>();
            for (int tray = 0; tray < share.length; tray++) {
                weighings
                        .computeIfAbsent(tray / TRAYS, group -> new ArrayList<>())
                        .addAll(record(tray).dried());
            }
            return DryingPace.learnt(weighings);
        }

        /** Each morning is weighed; what is at its mark by evening or before is soaked at noon. */
        private void live(int days) {
            for (int each = 0; each < days; each++) {
                liveADay(null);
            }
        }

        private List<Double> foreseen(int days) {
            List<Double> hoursOff = new ArrayList<>();
            for (int each = 0; each < days; each++) {
                liveADay(hoursOff);
            }
            return hoursOff;
        }

        private void liveADay(List<Double> hoursOff) {
            LocalDateTime morning = FIRST.plusDays(day++).atTime(8, 0);
            DryingPace.Learnt<Integer> learnt = learnt();
            for (int tray = 0; tray < share.length; tray++) {
                seen.get(tray).add(new WaterRecord.Sighting(morning, new WaterSeen.Weighed(weighed(tray))));
                double today = pace.get(tray) * Math.exp(0.05 * random.nextGaussian());
                Optional<LocalDateTime> truly = truly(tray, morning, today);
                WaterRecord record = record(tray);
                if (hoursOff != null && truly.isPresent() && truly.get().isAfter(morning)) {
                    LocalDateTime said = record.reaches(MARK, morning, learnt.of(tray / TRAYS))
                            .orElse(morning.plusDays(5));
                    hoursOff.add(Math.abs(Duration.between(truly.get(), said).toMinutes()) / 60.0);
                }
                double gone = today * drinking.get(tray).between(air, morning, morning.plusDays(1));
                if (truly.isPresent()) {
                    share[tray] = 1;
                    seen.get(tray).add(new WaterRecord.Sighting(truly.get(), new WaterSeen.Watered(How.BELOW)));
                    gone = today * drinking.get(tray).between(air, truly.get(), morning.plusDays(1));
                }
                share[tray] = Math.max(0, share[tray] - gone);
            }
        }

        private int soakings;
        private double shareSoaked;

        /** Trays found with nothing left on so many mornings of a round that follows the calls and weighs a seventh. */
        private int foundDry(int days) {
            int dry = 0;
            for (int each = 0; each < days; each++) {
                LocalDateTime morning = FIRST.plusDays(day++).atTime(8, 0);
                DryingPace.Learnt<Integer> learnt = learnt();
                for (int tray = 0; tray < share.length; tray++) {
                    dry += share[tray] < 0.02 ? 1 : 0;
                    DryingPace believed = learnt.of(tray / TRAYS);
                    if ((tray + day) % 7 == 0) {
                        seen.get(tray).add(new WaterRecord.Sighting(morning, new WaterSeen.Weighed(weighed(tray))));
                    }
                    WaterCall call = asked(tray, believed, morning);
                    if (call.advice() == WaterCall.Advice.LOOK) {
                        double felt = share[tray] + 0.08 * random.nextGaussian();
                        Heft heft = felt < 0.38 ? Heft.LIGHT : felt < 0.68 ? Heft.SOME : Heft.HEAVY;
                        seen.get(tray).add(new WaterRecord.Sighting(morning, new WaterSeen.Lifted(heft)));
                        call = asked(tray, believed, morning);
                    }
                    if (call.advice() == WaterCall.Advice.WATER) {
                        soak(tray, morning);
                    }
                    double today = pace.get(tray) * Math.exp(0.05 * random.nextGaussian());
                    LocalDateTime at = morning;
                    if (call.again().isPresent()) {
                        at = call.again().get();
                        share[tray] -= today * drinking.get(tray).between(air, morning, at);
                        soak(tray, at);
                    }
                    double gone = today * drinking.get(tray).between(air, at, morning.plusDays(1));
                    share[tray] = Math.max(0, share[tray] - gone);
                }
            }
            return dry;
        }

        private WaterCall asked(int tray, DryingPace believed, LocalDateTime now) {
            return WaterCall.of(
                    new WaterCall.Tray(Thirst.EVEN, Optional.empty(), true),
                    record(tray),
                    believed,
                    now,
                    now.plusDays(1));
        }

        private void soak(int tray, LocalDateTime at) {
            shareSoaked += share[tray];
            soakings++;
            share[tray] = 1;
            seen.get(tray).add(new WaterRecord.Sighting(at, new WaterSeen.Watered(How.BELOW)));
        }

        /** When it truly comes to the mark before the next morning, hour by hour. */
        private Optional<LocalDateTime> truly(int tray, LocalDateTime morning, double pace) {
            return IntStream.range(0, 24 * 6)
                    .mapToObj(step -> morning.plusMinutes(step * 10L))
                    .filter(at -> share[tray] - pace * drinking.get(tray).between(air, morning, at) <= MARK)
                    .findFirst();
        }
    }
}
