package kiver.core.diagnosis;

import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.care.Ailment;
import kiver.core.care.Failing.Cause;
import kiver.core.care.FeedClock;
import kiver.core.care.FeedSchool;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterSeen;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchSamples;
import org.junit.jupiter.api.Test;

class FailingRecordTest {

    private static final BatchState COUNTED = BatchSamples.counted(9, 45, WAY);

    private static FailingRecord.TrayWater water(double share, WaterSeen... seen) {
        return new FailingRecord.TrayWater(true, false, share, List.of(seen));
    }

    private static BatchOutlook batch(BatchState state) {
        return BatchSamples.outlook(
                BatchSamples.file(BatchSamples.planned(201, 40, TODAY.minusDays(9), BatchSamples.TARGET, WAY), state));
    }

    private static Map<Cause, FailingNote> notes(FailingRecord.TrayWater... water) {
        return record(COUNTED, List.of(water), Optional.empty(), List.of(), List.of());
    }

    private static Map<Cause, FailingNote> record(
            BatchState state,
            List<FailingRecord.TrayWater> water,
            Optional<FeedClock> feed,
            List<FailingRecord.Solution> given,
            List<FailingRecord.Look> looks) {
        return new FailingRecord(
                        batch(state),
                        TODAY,
                        water,
                        feed,
                        given,
                        Optional.of(Samples.SEASON.climate(WAY.emergence()).get(0)),
                        looks)
                .notes();
    }

    @Test
    void nearlyDryIsWhatTheCallForWaterTakesForIt() {
        double dry = WaterCall.NEARLY_DRY - 0.001;
        double light = WaterCall.NEARLY_DRY + 0.001;
        assertThat(notes(water(dry)).get(Cause.TOO_DRY)).isEqualTo(new FailingNote.WasNearlyDry());
        assertThat(notes(water(light)).get(Cause.TOO_DRY)).isEqualTo(new FailingNote.NeverWasNearlyDry());
        assertThat(notes(water(0.6, new WaterSeen.Weighed(dry))).get(Cause.TOO_DRY))
                .isEqualTo(new FailingNote.WasNearlyDry());
    }

    @Test
    void whatWasLightBetweenWateringsIsNotTooWetAndWhatNeverDriedIs() {
        assertThat(notes(water(0.6, new WaterSeen.Lifted(WaterSeen.Heft.LIGHT))).get(Cause.TOO_WET))
                .isEqualTo(new FailingNote.WasLightBetween());
        assertThat(notes(water(0.6)).get(Cause.TOO_WET)).isEqualTo(new FailingNote.WateredWhenItWantedSome());
        assertThat(notes(new FailingRecord.TrayWater(true, true, 0.9, List.of()))
                        .get(Cause.TOO_WET))
                .isEqualTo(new FailingNote.NeverWantedAny());
        assertThat(notes(new FailingRecord.TrayWater(false, false, 0.9, List.of())))
                .containsEntry(Cause.TOO_WET, new FailingNote.NobodyNotedItsWater())
                .containsEntry(Cause.TOO_DRY, new FailingNote.NobodyNotedItsWater());
    }

    @Test
    void hungerGoesByTheMixAndTheLastFeed() {
        assertThat(hunger(TODAY.minusDays(3), Optional.empty()))
                .isEqualTo(new FailingNote.MixFeedsNoMore(TODAY.minusDays(3)));
        assertThat(hunger(TODAY.minusDays(3), Optional.of(TODAY.minusDays(7)))).isEqualTo(new FailingNote.FedLately());
        assertThat(hunger(TODAY.minusDays(3), Optional.of(TODAY.minusDays(8))))
                .isEqualTo(new FailingNote.MixFeedsNoMore(TODAY.minusDays(3)));
        assertThat(hunger(TODAY, Optional.empty())).isEqualTo(new FailingNote.MixStillFeeds(TODAY));
        assertThat(notes().get(Cause.HUNGRY)).isEqualTo(new FailingNote.NobodySaidHowItIsFed());
    }

    private static FailingNote hunger(LocalDate reserveEnds, Optional<LocalDate> lastFed) {
        return record(
                        COUNTED,
                        List.of(),
                        Optional.of(new FeedClock(
                                FeedSchool.BY_RESERVE, TODAY.minusDays(20), reserveEnds, lastFed, TODAY.plusDays(30))),
                        List.of(),
                        List.of())
                .get(Cause.HUNGRY);
    }

    @Test
    void aStrongSolutionIsToldByItsLabelOrItsMeter() {
        assertThat(feed(200, Optional.empty())).isEqualTo(new FailingNote.GivenAStrongSolution());
        assertThat(feed(100, Optional.of(2.6))).isEqualTo(new FailingNote.GivenAStrongSolution());
        assertThat(feed(199, Optional.of(2.5))).isEqualTo(new FailingNote.GivenNoStrongSolution());
    }

    private static FailingNote feed(double strength, Optional<Double> conductivity) {
        return record(
                        COUNTED,
                        List.of(),
                        Optional.empty(),
                        List.of(new FailingRecord.Solution(strength, conductivity)),
                        List.of())
                .get(Cause.TOO_STRONG_FEED);
    }

    @Test
    void whatWasLostOrLookedForTellsOfRotAndOfMouths() {
        BatchState lost =
                COUNTED.after(TODAY, new BatchChange.Lost(BatchSamples.TRAY, List.of(1, 2), LossReason.SLUGS));
        assertThat(record(lost, List.of(), Optional.empty(), List.of(), List.of()))
                .containsEntry(Cause.EATEN, new FailingNote.WasEatenBefore())
                .containsEntry(Cause.DAMPING_OFF, new FailingNote.NobodyLookedForIt());
        assertThat(record(
                        COUNTED,
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        List.of(
                                new FailingRecord.Look(Ailment.DAMPING_OFF, 0.1),
                                new FailingRecord.Look(Ailment.SLUGS, 0))))
                .containsEntry(Cause.DAMPING_OFF, new FailingNote.SeenAtItsPlace())
                .containsEntry(Cause.EATEN, new FailingNote.LookedForAndNotSeen());
    }

    @Test
    void rootsThatNobodyLookedAtAreToldByDays() {
        assertThat(notes().get(Cause.CROWDED_ROOTS))
                .isInstanceOfSatisfying(
                        FailingNote.DaysInIt.class,
                        days -> assertThat(days.days()).isEqualTo(9));
    }

    @Test
    void whatStandsNowhereIsToldNothingOfAPlace() {
        Map<Cause, FailingNote> notes = new FailingRecord(
                        batch(COUNTED), TODAY, List.of(), Optional.empty(), List.of(), Optional.empty(), List.of())
                .notes();
        assertThat(notes).doesNotContainKeys(Cause.TOO_COLD, Cause.TOO_HOT, Cause.DAMPING_OFF, Cause.EATEN);
    }
}
