package kiver.core.promise;

import java.time.LocalDate;
import java.util.List;
import kiver.core.plan.Obstacle;
import kiver.core.plan.Plan;
import kiver.core.space.Occupancy;

/** What stands in the way of a plan, and whether something can be done about it. */
final class StandsInTheWay {

    /** Below this a wish is not promised, whatever is done for it. */
    private static final double TOO_UNLIKELY = 0.5;

    private StandsInTheWay() {}

    /** What stands in the way, as conditions that can be met or as reasons that cannot. */
    static void sortOut(Plan plan, List<Occupancy.Lack> lacks, List<Proviso> conditions, List<Proviso> reasons) {
        for (Obstacle obstacle : plan.obstacles()) {
            if (obstacle.prevents()) {
                reasons.add(new Proviso.InTheWay(obstacle));
            } else if (!isAdvice(obstacle)) {
                conditions.add(new Proviso.InTheWay(obstacle));
            }
        }
        if (reasons.isEmpty() && plan.chance() < TOO_UNLIKELY) {
            reasons.add(new Proviso.TooUnlikely(plan.chance()));
            reasons.addAll(conditions);
        }
        lacks.forEach(lack -> conditions.add(of(lack)));
        if (reasons.isEmpty() && conditions.isEmpty() && plan.chance() < PromiseCheck.SURE_ENOUGH) {
            conditions.add(new Proviso.ChanceToLiveWith(plan.chance()));
        }
    }

    /** A place may have too little room, or not be there at all on those days. */
    private static Proviso of(Occupancy.Lack lack) {
        LocalDate last = lack.until().minusDays(1);
        boolean isThere =
                lack.from().datesUntil(lack.until()).anyMatch(lack.place().exists()::holds);
        return isThere
                ? new Proviso.NoRoom(lack.place().id(), (int) Math.ceil(lack.mostOver()), lack.from(), last)
                : new Proviso.NotThere(lack.place().id(), lack.from(), last);
    }

    /** Said, but not a condition. */
    private static boolean isAdvice(Obstacle obstacle) {
        return obstacle instanceof Obstacle.BetterSownInPlace
                || obstacle instanceof Obstacle.PotTooLarge
                || obstacle instanceof Obstacle.CellTooShallow
                || obstacle instanceof Obstacle.PestAbout pest && pest.coverHelps();
    }

    static boolean isOfSeed(Obstacle obstacle) {
        return obstacle instanceof Obstacle.NoSeed
                || obstacle instanceof Obstacle.TooLittleSeed
                || obstacle instanceof Obstacle.SeedToBuy;
    }

    static boolean isOfTheSite(Obstacle obstacle) {
        return obstacle instanceof Obstacle.FrostAtSite
                || obstacle instanceof Obstacle.ColdSoil
                || obstacle instanceof Obstacle.SoilNeverWarm
                || obstacle instanceof Obstacle.GroundTooCold
                || obstacle instanceof Obstacle.PestAbout
                || obstacle instanceof Obstacle.TooLateForAutumn;
    }
}
