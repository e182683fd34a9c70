package kiver.core.care;

import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.Optional;
import kiver.core.crop.Thirst;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * What a tray wants of whoever walks past it: water, a look, or to be left alone.
 *
 * @param advice what is to be done
 * @param now what is known of its water
 * @param mark share of available water at which this crop is watered
 * @param atMark when it comes to the mark; empty where that is days ahead
 * @param again when it wants somebody once more before the next round, after what is advised was done; empty where it lasts
 * @param how the water is given
 * @param minutes that it stands in water; 0 where it is not stood in it
 * @param neverDries whether it was watered time after time without wanting it
 */
public record WaterCall(
        Advice advice,
        TrayWater now,
        double mark,
        Optional<LocalDateTime> atMark,
        Optional<LocalDateTime> again,
        WaterSeen.How how,
        int minutes,
        boolean neverDries) {

    /** What is to be done with a tray. */
    public enum Advice {
        WATER,
        SPRAY,
        LOOK,
        LEAVE
    }

    /**
     * What is known of a tray beside its record.
     *
     * @param thirst of its crop
     * @param untilUp how it is kept until something shows; empty once it does
     * @param isRooted whether its plants draw from below
     */
    public record Tray(Thirst thirst, Optional<AfterSowing> untilUp, boolean isRooted) {

        /** From its first true leaf on a plant draws from below. Estimate. */
        private static final double ROOTED = 1;

        /** The same by how many true leaves its plants have. */
        public static Tray of(Thirst thirst, Optional<AfterSowing> untilUp, double leaves) {
            return new Tray(thirst, untilUp, leaves >= ROOTED);
        }
    }

    /** So sure that it will have come to its mark it is watered. */
    private static final double SURE = 0.7;

    private static final double UNSURE = 0.3;

    /** A tray of which no more is known than this is lifted. */
    private static final double HARDLY_KNOWN = 0.2;

    /** Once it was looked at there is nothing more to wait for. */
    private static final double AS_LIKELY_AS_NOT = 0.5;

    /** Share of what a tray holds; with less than this left leaves begin to hang. Estimate. */
    public static final double NEARLY_DRY = 0.12;

    /** A tray whose chance to be nearly dry by the next round is larger than this is not left to luck. */
    private static final double RISK = 0.05;

    /** A tray that holds more than this takes up hardly any. */
    private static final double NEARLY_FULL = 0.85;

    private static final int HOURS_OF_A_LOOK = 12;

    /** Later than this in a day nobody needs to come once more: at night it dries little. */
    private static final LocalTime EVENING = LocalTime.of(18, 0);

    /** Seed that dries once it has drunk is dead. */
    private static final double SEED_MARK = 0.5;

    private static final double LONGEST_STAND = 30;
    private static final double STEP_OF_STAND = 5;

    /** The share of available water at which a crop is watered. */
    public static double mark(Thirst thirst) {
        return switch (thirst) {
            case DRY_SIDE -> 0.3;
            case EVEN -> 0.45;
            case MOIST -> 0.6;
        };
    }

    /**
     * The call on a tray.
     *
     * @param next when somebody walks past again
     */
    public static WaterCall of(Tray tray, WaterRecord record, DryingPace pace, LocalDateTime now, LocalDateTime next) {
        TrayWater water = record.at(now, pace);
        double mark = tray.untilUp().isPresent() ? SEED_MARK : mark(tray.thirst());
        TrayWater then = water.after(record.drunk(now, next), pace);
        double dryByThen = chanceBelow(mark, then);
        boolean looked = record.seen().stream()
                .anyMatch(each -> Duration.between(each.at(), now).toHours() < HOURS_OF_A_LOOK);
        Advice advice = tray.untilUp()
                .map(way -> untilUp(way, record, dryByThen, looked))
                .orElseGet(() -> up(water, then, dryByThen, looked));
        boolean beneath =
                advice != Advice.SPRAY && (tray.isRooted() || tray.untilUp().isPresent());
        return new WaterCall(
                advice,
                water,
                mark,
                record.reaches(mark, now, pace),
                tray.untilUp().isPresent() ? Optional.empty() : again(advice, mark, record, pace, now, next),
                advice == Advice.SPRAY ? WaterSeen.How.SPRAY : beneath ? WaterSeen.How.BELOW : WaterSeen.How.ABOVE,
                beneath ? minutes(water.share()) : 0,
                tray.untilUp().isEmpty() && record.neverDries(mark, now, pace));
    }

    private static Advice up(TrayWater water, TrayWater then, double dryByThen, boolean looked) {
        boolean atRisk = chanceBelow(NEARLY_DRY, then) > RISK;
        if (water.share() >= NEARLY_FULL && water.deviation() <= HARDLY_KNOWN) {
            return Advice.LEAVE;
        }
        if (dryByThen >= SURE || (looked && (dryByThen >= AS_LIKELY_AS_NOT || atRisk))) {
            return Advice.WATER;
        }
        boolean doubtful = dryByThen > UNSURE || atRisk || water.deviation() > HARDLY_KNOWN;
        return doubtful && !looked ? Advice.LOOK : Advice.LEAVE;
    }

    /** When a tray that may be nearly dry before the next round comes to its mark, if it is given what is advised. */
    private static Optional<LocalDateTime> again(
            Advice advice, double mark, WaterRecord record, DryingPace pace, LocalDateTime now, LocalDateTime next) {
        WaterRecord given =
                advice == Advice.WATER ? record.and(now, new WaterSeen.Watered(WaterSeen.How.BELOW)) : record;
        LocalDateTime evening = now.toLocalDate().atTime(EVENING);
        if (!now.isBefore(evening) || chanceBelow(NEARLY_DRY, given.at(next, pace)) <= RISK) {
            return Optional.empty();
        }
        return given.reaches(mark, now, pace)
                .map(at -> at.isAfter(evening) ? evening : at)
                .filter(at -> at.isAfter(now));
    }

    private static double chanceBelow(double share, TrayWater water) {
        return NormalDistribution.of(water.share(), Math.max(0.01, water.deviation()))
                .cumulativeProbability(share);
    }

    private static Advice untilUp(AfterSowing way, WaterRecord record, double dryByThen, boolean looked) {
        if (looked) {
            boolean palest = record.seen().get(record.seen().size() - 1).seen() instanceof WaterSeen.Surface surface
                    && !surface.dark();
            return palest ? Advice.WATER : Advice.LEAVE;
        }
        if (way == AfterSowing.SPRAYED_DAILY) {
            return Advice.SPRAY;
        }
        return dryByThen >= SURE && way == AfterSowing.STOOD_IN_WATER ? Advice.WATER : Advice.LOOK;
    }

    /** The drier, the longer: from 10 to 30 minutes in steps of 5. */
    private static int minutes(double share) {
        double minutes = LONGEST_STAND * (1 - share * 2 / 3);
        return (int) (Math.round(minutes / STEP_OF_STAND) * STEP_OF_STAND);
    }
}
