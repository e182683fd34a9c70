package kiver.core.outlook;

import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static kiver.core.outlook.BatchSamples.KALE;
import static kiver.core.outlook.BatchSamples.TARGET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.batch.NameDoubt;
import kiver.core.crop.Survival;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.Paces;
import kiver.core.order.LineId;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.CountBack;
import kiver.core.space.Stay;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;

class LookingAheadTest {

    /** The best sow day for the target, found by the plan's own computation. */
    private static LocalDate bestSowDay() {
        Batch any = BatchSamples.planned(201, 40, TODAY, TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(any, BatchSamples.nothing()));
        return new CountBack(
                        outlook.path(),
                        SEASON.scenarios(WAY, KALE.development(), Paces.BEFORE_ANY_COUNT),
                        SEASON.firstDay())
                .windowFor(TARGET, TODAY)
                .orElseThrow()
                .best();
    }

    @Test
    void aBatchSownOnItsBestDayIsReadyForItsTarget() {
        Batch batch = BatchSamples.planned(201, 40, bestSowDay(), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.nothing()));
        assertThat(outlook.forecast().ready().orElseThrow().late()).isBeforeOrEqualTo(TARGET);
        assertThat(outlook.forecast().chanceOnTarget()).isGreaterThan(0.9);
        assertThat(outlook.emerging().verdict()).isEqualTo(EmergenceVerdict.TOO_SOON_TO_TELL);
        assertThat(outlook.chances().enough()).isGreaterThan(0.9);
        assertThat(outlook.chance())
                .isEqualTo(
                        outlook.forecast().chanceOnTarget() * outlook.chances().enough());
    }

    /** A sowing for two: who was promised first is served first, so the second waits for both. */
    @Test
    void eachLineHasItsOwnChance() {
        Batch batch = BatchSamples.planned(201, 50, bestSowDay(), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(
                batch,
                BatchSamples.nothing(),
                BatchSamples.promised(1, "Alder Field", 25, TARGET),
                BatchSamples.promised(2, "Low Farm", 27, TARGET)));
        assertThat(outlook.chanceFor(new LineId(1))).isGreaterThan(outlook.chanceFor(new LineId(2)));
        assertThat(outlook.chanceFor(new LineId(2))).isEqualTo(outlook.chance(), within(1e-12));
        assertThat(outlook.chanceFor(new LineId(3))).isZero();
        assertThat(outlook.losingTonight(0.5).chanceFor(new LineId(1)))
                .isEqualTo(outlook.chanceFor(new LineId(1)) / 2, within(1e-12));
    }

    /** After the last count deaths are still to come; the chance is held against drawn fates of each plant. */
    @Test
    void theChanceOfEnoughIsThatOfDrawnFates() {
        BatchState counted = BatchSamples.counted(10, 45, WAY);
        Batch batch = BatchSamples.planned(201, 44, TODAY.minusDays(10), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(
                BatchSamples.file(batch, counted, BatchSamples.promised(1, "Alder Field", 44, TARGET)));
        LocalDate up = counted.cellsUp().firstKey();
        double toGo = (double) (TARGET.toEpochDay() - TODAY.toEpochDay()) / (TARGET.toEpochDay() - up.toEpochDay());
        Survival living = Survival.USUAL.over(toGo);
        BetaDistribution spread =
                BetaDistribution.of(living.mean() * living.weight(), (1 - living.mean()) * living.weight());
        SplittableRandom random = new SplittableRandom(4);
        int enough = 0;
        int draws = 20_000;
        for (int draw = 0; draw < draws; draw++) {
            double survives = spread.inverseCumulativeProbability(random.nextDouble());
            int alive = 0;
            for (int plant = 0; plant < 45; plant++) {
                alive += random.nextDouble() < survives ? 1 : 0;
            }
            enough += alive >= 44 ? 1 : 0;
        }
        assertThat(outlook.chances().enough()).isEqualTo((double) enough / draws, within(0.012));
        assertThat(outlook.chances().enough()).isBetween(0.05, 0.95);
    }

    @Test
    void tooFewAliveIsFailingWhateverTheWeather() {
        Batch batch = BatchSamples.planned(201, 44, TODAY.minusDays(10), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.counted(10, 20, WAY)));
        assertThat(outlook.emerging().verdict()).isEqualTo(EmergenceVerdict.FAILING);
        assertThat(outlook.chance()).isZero();
    }

    @Test
    void aBatchThatWasMovedGoesOnFromWhereItStandsAndTakesItsRoomThere() {
        BatchState moved = BatchSamples.counted(10, 45, WAY)
                .after(TODAY.minusDays(1), new BatchChange.Moved(WAY.growingOn(), List.of()));
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(10), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(batch, moved));
        assertThat(outlook.way().emergence()).isEqualTo(WAY.growingOn());
        assertThat(outlook.stays()).extracting(Stay::place).containsExactly(WAY.growingOn(), WAY.hardening());
        assertThat(outlook.stays().get(0).from()).isEqualTo(TODAY);
        assertThat(outlook.stays()).allSatisfy(stay -> assertThat(stay.slots()).isEqualTo(1));
    }

    /** Half should be up by now and it still stands on the mat: its room is there today, and where it should be from tomorrow. */
    @Test
    void whatStandsElsewhereThanMostTakesItsOwnRoom() {
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(10), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.counted(10, 45, WAY)));
        assertThat(outlook.stays().get(0)).isEqualTo(new Stay(WAY.emergence(), TODAY, TODAY.plusDays(1), 1));
        assertThat(outlook.stays().get(1).place()).isEqualTo(WAY.growingOn());
        assertThat(outlook.stays().get(1).from()).isEqualTo(TODAY.plusDays(1));
    }

    /** Ten of forty are mixed before the last count: they are neither free nor counted on, and lost they weigh no more. */
    @Test
    void mixedPlantsServeNobodyBeforeAllIsCounted() {
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(10), TARGET, WAY);
        BatchState up = BatchSamples.sown(10, WAY)
                .after(TODAY.minusDays(1), new BatchChange.Counted(BatchSamples.TRAY, cells(1, 30), false));
        List<Integer> ten = List.copyOf(cells(1, 10).keySet());
        BatchState mixed = up.after(TODAY, new BatchChange.Mixed(BatchSamples.TRAY, ten, NameDoubt.SEED_SPILLED));
        Promised promise = BatchSamples.promised(1, "Alder Field", 20, TARGET);
        assertThat(BatchSamples.file(batch, up, promise).shares(TODAY).free())
                .isEqualTo(
                        BatchSamples.file(batch, mixed, promise).shares(TODAY).free() + 10);
        double before = BatchSamples.outlook(
                        BatchSamples.file(batch, up, BatchSamples.promised(1, "Alder Field", 38, TARGET)))
                .chances()
                .enough();
        double after = BatchSamples.outlook(
                        BatchSamples.file(batch, mixed, BatchSamples.promised(1, "Alder Field", 38, TARGET)))
                .chances()
                .enough();
        BatchState lost = mixed.after(TODAY, new BatchChange.Lost(BatchSamples.TRAY, ten, LossReason.NOT_NEEDED));
        double gone = BatchSamples.outlook(
                        BatchSamples.file(batch, lost, BatchSamples.promised(1, "Alder Field", 38, TARGET)))
                .chances()
                .enough();
        assertThat(after).isLessThan(before);
        assertThat(gone).as("thrown out, they are missed as often as mixed").isEqualTo(after, within(0.05));
    }

    private static Map<Integer, Integer> cells(int from, int to) {
        return IntStream.rangeClosed(from, to).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1));
    }

    @Test
    void theNightIsThatOfThePlaceWhereItStands() {
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(10), TARGET, WAY);
        BatchOutlook warm = BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.counted(10, 45, WAY)));
        assertThat(warm.night(SEASON, TODAY.plusDays(1)).orElseThrow().minimum())
                .isEqualTo(20, within(0.5));
        BatchState outside = BatchSamples.counted(10, 45, WAY)
                .after(TODAY.minusDays(1), new BatchChange.Moved(WAY.hardening(), List.of()));
        BatchOutlook cold = BatchSamples.outlook(BatchSamples.file(batch, outside));
        assertThat(cold.night(SEASON, TODAY.plusDays(1)).orElseThrow().minimum())
                .isLessThan(12);
        assertThat(cold.night(SEASON, SEASON.lastDay().plusDays(9)))
                .as("beyond the season")
                .isEmpty();
        assertThat(BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.nothing()))
                        .night(SEASON, TODAY))
                .isEmpty();
    }

    @Test
    void aSowingInItsSteadIsCountedBackAlongItsPlan() {
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(10), TARGET, WAY);
        BatchOutlook failing = BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.counted(10, 3, WAY)));
        assertThat(failing.countBack(SEASON)
                        .windowFor(TARGET, TODAY)
                        .orElseThrow()
                        .best())
                .isEqualTo(bestSowDay());
    }

    @Test
    void nothingLiesAheadOfWhatIsOver() {
        BatchState gone = BatchSamples.counted(10, 2, WAY)
                .after(TODAY, new BatchChange.Released(501, new LineId(1), BatchSamples.TRAY, List.of(1, 2)));
        Batch batch = BatchSamples.planned(201, 2, TODAY.minusDays(10), TARGET, WAY);
        BatchFile file = BatchSamples.file(batch, gone, BatchSamples.promised(1, "Alder Field", 2, TARGET));
        BatchOutlook over = BatchOutlook.over(file, KALE, ContainerPath.straight(Samples.MODULES));
        assertThat(over.chance()).isEqualTo(1);
        assertThat(over.chanceFor(new LineId(1))).isEqualTo(1);
        assertThat(over.stays()).isEmpty();
        assertThat(BatchSamples.outlook(file).stays()).isEmpty();
    }

    @Test
    void whatCannotBeComputedSaysSo() {
        BatchFile file = BatchSamples.file(BatchSamples.planned(201, 2, TODAY, TARGET, WAY), BatchSamples.nothing());
        assertThat(BatchOutlook.notComputable(file, KALE, ContainerPath.straight(Samples.MODULES))
                        .trouble())
                .contains(new BatchTrouble.NotComputable());
        assertThat(new LookingAhead(SEASON, TODAY, Map.of())
                        .of(file, Samples.LOT, KALE, ContainerPath.straight(Samples.MODULES))
                        .trouble())
                .isEmpty();
    }
}
