package kiver.core.promise;

import java.util.List;
import java.util.Optional;
import kiver.core.growth.Way;
import kiver.core.plan.Plan;
import kiver.core.plan.SowingSeason;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;

/**
 * The answer to a question, with all it rests on.
 *
 * @param answer yes, yes if, or no
 * @param plan behind it
 * @param way through the nursery
 * @param stays room it takes, and when
 * @param lack of room on that way, when there is one
 * @param conditions under which it is a yes; empty for a plain yes
 * @param reasons why it is a no; empty otherwise
 * @param offers that would be a yes, nearest first; empty for a plain yes
 * @param sowingSeason when the crop can be sown for the site at all; empty while no site is chosen
 * @param coldWinters share of winters, 0 to 1, in which plants that stand over winter must be covered or brought in on some
 *     night; 0 for all others
 */
public record Promise(
        Answer answer,
        Plan plan,
        Way way,
        List<Stay> stays,
        Optional<Occupancy.Lack> lack,
        List<Proviso> conditions,
        List<Proviso> reasons,
        List<Offer> offers,
        Optional<SowingSeason> sowingSeason,
        double coldWinters) {

    public Promise {
        stays = List.copyOf(stays);
        conditions = List.copyOf(conditions);
        reasons = List.copyOf(reasons);
        offers = List.copyOf(offers);
    }
}
