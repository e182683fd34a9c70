package kiver.core.diagnosis;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.batch.RootsSeen;
import kiver.core.care.Ailment;
import kiver.core.care.Failing.Cause;
import kiver.core.care.FeedClock;
import kiver.core.care.WaterCall;
import kiver.core.care.WaterSeen;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.ClimateSeries;

/**
 * What was noted of a batch and where it stood, for telling why it fails.
 *
 * @param batch as it stands today
 * @param today the nursery's day
 * @param water of each of its trays
 * @param feed when it is next fed; empty where nobody said how the nursery feeds
 * @param given solutions that it was given within {@link #DAYS_BACK} days
 * @param climate of the place where it stands, as measured until yesterday; empty where it stands nowhere
 * @param looks what was looked for at that place within {@link #DAYS_BACK} days
 */
public record FailingRecord(
        BatchOutlook batch,
        LocalDate today,
        List<TrayWater> water,
        Optional<FeedClock> feed,
        List<Solution> given,
        Optional<ClimateSeries> climate,
        List<Look> looks) {

    /** What is older has shown by now. Estimate. */
    public static final int DAYS_BACK = 14;

    private static final int DAYS_OF_HEAT = 7;

    /** Days; fed within a week. */
    private static final int FED_LATELY = 8;

    /** mg of nitrogen in a litre; seedlings are scorched by more. Estimate. */
    private static final double STRONG = 200;

    /** mS/cm of what is given; see {@link #STRONG}. Estimate. */
    private static final double STRONG_CONDUCTIVITY = 2.5;

    /**
     * Water of a tray.
     *
     * @param noted whether anybody noted anything of it
     * @param neverDries whether it was watered three times before it wanted any
     * @param share of what it holds, 0 to 1, as far as is known now
     * @param seen what was seen and done of late
     */
    public record TrayWater(boolean noted, boolean neverDries, double share, List<WaterSeen> seen) {

        private boolean wasNearlyDry() {
            return share < WaterCall.NEARLY_DRY
                    || seen.stream()
                            .anyMatch(each -> each instanceof WaterSeen.Weighed weighed
                                    && weighed.share() < WaterCall.NEARLY_DRY);
        }

        /** Light is the moment to water, and no harm yet. */
        private boolean wasLight() {
            return seen.stream()
                    .anyMatch(each -> each instanceof WaterSeen.Lifted lifted && lifted.heft() == WaterSeen.Heft.LIGHT);
        }
    }

    /**
     * What was given.
     *
     * @param strength mg of nitrogen in a litre
     * @param conductivity mS/cm; empty where nobody measured
     */
    public record Solution(double strength, Optional<Double> conductivity) {

        private boolean isStrong() {
            return strength >= STRONG
                    || conductivity.filter(each -> each > STRONG_CONDUCTIVITY).isPresent();
        }
    }

    /**
     * What was looked for.
     *
     * @param share of the plants on which it was seen, 0 to 1
     */
    public record Look(Ailment ailment, double share) {}

    /** What it says of each cause. */
    public Map<Cause, FailingNote> notes() {
        Map<Cause, FailingNote> notes = new EnumMap<>(Cause.class);
        notes.put(Cause.TOO_WET, tooWet());
        notes.put(Cause.TOO_DRY, tooDry());
        notes.put(Cause.HUNGRY, hunger());
        notes.put(
                Cause.TOO_STRONG_FEED,
                given.stream().anyMatch(Solution::isStrong)
                        ? new FailingNote.GivenAStrongSolution()
                        : new FailingNote.GivenNoStrongSolution());
        notes.put(
                Cause.TOO_DARK,
                batch.leggy() ? new FailingNote.TooDarkForItsWarmth() : new FailingNote.LightWasEnough());
        climate.ifPresent(series -> {
            int now = (int) ChronoUnit.DAYS.between(series.firstDay(), today);
            notes.put(Cause.TOO_COLD, cold(series, now));
            notes.put(Cause.TOO_HOT, heat(series, now));
            notes.put(
                    Cause.DAMPING_OFF,
                    lostTo(Set.of(LossReason.DAMPING_OFF))
                            ? new FailingNote.LostToDampingOff()
                            : looked(Set.of(Ailment.DAMPING_OFF)));
            notes.put(
                    Cause.EATEN,
                    lostTo(Set.of(LossReason.SLUGS, LossReason.MICE))
                            ? new FailingNote.WasEatenBefore()
                            : looked(Set.of(Ailment.SLUGS, Ailment.MICE, Ailment.BIRDS, Ailment.FLEA_BEETLE)));
        });
        notes.put(Cause.CROWDED_ROOTS, roots());
        return notes;
    }

    private boolean nobodyNotedWater() {
        return water.stream().noneMatch(TrayWater::noted);
    }

    private FailingNote tooWet() {
        if (nobodyNotedWater()) {
            return new FailingNote.NobodyNotedItsWater();
        }
        if (water.stream().anyMatch(TrayWater::neverDries)) {
            return new FailingNote.NeverWantedAny();
        }
        return water.stream().anyMatch(tray -> tray.wasNearlyDry() || tray.wasLight())
                ? new FailingNote.WasLightBetween()
                : new FailingNote.WateredWhenItWantedSome();
    }

    private FailingNote tooDry() {
        if (nobodyNotedWater()) {
            return new FailingNote.NobodyNotedItsWater();
        }
        return water.stream().anyMatch(TrayWater::wasNearlyDry)
                ? new FailingNote.WasNearlyDry()
                : new FailingNote.NeverWasNearlyDry();
    }

    private FailingNote hunger() {
        if (feed.isEmpty()) {
            return new FailingNote.NobodySaidHowItIsFed();
        }
        if (feed.get()
                .lastFed()
                .filter(day -> day.isAfter(today.minusDays(FED_LATELY)))
                .isPresent()) {
            return new FailingNote.FedLately();
        }
        LocalDate ends = feed.get().reserveEnds();
        return ends.isBefore(today) ? new FailingNote.MixFeedsNoMore(ends) : new FailingNote.MixStillFeeds(ends);
    }

    private FailingNote cold(ClimateSeries series, int now) {
        double stops = batch.crop().cold().nightFloor();
        return new FailingNote.ColdNights(
                (int) IntStream.range(Math.max(0, now - DAYS_BACK), now)
                        .filter(day -> series.minimum(day) < stops)
                        .count(),
                stops);
    }

    private FailingNote heat(ClimateSeries series, int now) {
        double hot = batch.crop().leaves().tooHotFrom();
        return new FailingNote.HotDays(
                (int) IntStream.range(Math.max(0, now - DAYS_OF_HEAT), now)
                        .filter(day -> series.maximum(day) >= hot)
                        .count(),
                hot);
    }

    private boolean lostTo(Set<LossReason> reasons) {
        BatchState state = batch.file().state();
        return state.changes().stream()
                .anyMatch(change -> change.change() instanceof BatchChange.Lost lost
                        && reasons.contains(lost.reason())
                        && !state.isCorrected(change.sequence()));
    }

    private FailingNote looked(Set<Ailment> ailments) {
        List<Look> own =
                looks.stream().filter(each -> ailments.contains(each.ailment())).toList();
        if (own.isEmpty()) {
            return new FailingNote.NobodyLookedForIt();
        }
        return own.stream().anyMatch(each -> each.share() > 0)
                ? new FailingNote.SeenAtItsPlace()
                : new FailingNote.LookedForAndNotSeen();
    }

    private FailingNote roots() {
        BatchState state = batch.file().state();
        if (state.roots().isPresent()) {
            return state.roots().filter(RootsSeen::isOutgrown).isPresent()
                    ? new FailingNote.RootsHadOutgrownIt()
                    : new FailingNote.RootsHadRoom();
        }
        LocalDate filled = state.lastPottedOn().orElse(batch.began());
        int standsIn = Math.min(
                batch.standing().pottingsDone(), batch.containers().containers().size() - 1);
        return new FailingNote.DaysInIt(
                ChronoUnit.DAYS.between(filled, today),
                batch.crop().dayLimitIn(batch.containers().containers().get(standsIn)));
    }
}
