package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import kiver.core.batch.BatchState;
import kiver.core.batch.LookedOver;
import kiver.core.batch.RootsSeen;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Potting;
import kiver.core.growth.Scenario;
import kiver.core.growth.Standing;
import kiver.core.plan.ContainerPath;
import kiver.core.pot.RootFill;
import kiver.core.pot.RootPace;

/**
 * What the hand's looks at roots tell of a batch: how full what it stands in is, when it must go on, and when it is past its
 * best.
 *
 * @param pace of its roots against its leaves
 * @param seen last, in what the plants stand in now
 */
record RootsTold(RootPace pace, Optional<RootsSeen> seen) {

    /** Where leaves have hardly begun, roots are not told from them. */
    private static final double LEAST_FILL = 0.02;

    /** Later than at this fill roots circle before anybody is back. */
    private static final double AT_THE_LATEST = 0.85;

    /**
     * What all looks tell since the plants were potted last.
     *
     * @param leafLimit leaves at which roots usually circle in what they stand in, above 0
     * @param leavesOn true leaves on a day
     */
    static RootsTold of(BatchState state, double leafLimit, ToDoubleFunction<LocalDate> leavesOn) {
        LocalDate filled = state.lastPottedOn().orElse(LocalDate.MIN);
        RootPace pace = RootPace.BEFORE_ANY_LOOK;
        for (Map.Entry<LocalDate, LookedOver> look :
                state.looks().tailMap(filled).entrySet()) {
            Optional<RootsSeen> roots = look.getValue().roots();
            if (roots.isPresent()) {
                double worked = RootFill.worked(leavesOn.applyAsDouble(look.getKey()), leafLimit);
                pace = pace.told(Math.max(LEAST_FILL, worked), roots.get());
            }
        }
        return new RootsTold(pace, state.roots());
    }

    /** The path with its next potting, or the end of its last container, where the roots of this batch put it. */
    Path bending(Path path, int pottingsDone) {
        if (seen.isEmpty()) {
            return path;
        }
        double factor = pace.leavesForOne();
        if (pottingsDone >= path.pottings().size()) {
            return path.limited(Math.max(path.leavesWanted(), path.leavesLimit() * factor), path.daysLimit() * factor);
        }
        List<Potting> pottings = new ArrayList<>(path.pottings());
        Potting next = pottings.get(pottingsDone);
        double nextButOne = pottingsDone + 1 < pottings.size()
                ? pottings.get(pottingsDone + 1).atLeaves()
                : path.leavesWanted();
        pottings.set(pottingsDone, new Potting(Math.min(nextButOne, next.atLeaves() * factor), next.checkDays()));
        return path.with(pottings);
    }

    /**
     * How full what most of its plants stand in is today, and until when they should go on: before roots circle, and while
     * the next container can still do them good.
     *
     * @param leaves true leaves that they have by now, at the batch's own pace
     * @param late pottings as late as the path allows
     */
    Rooting rooting(
            Standing standing,
            double leaves,
            Path path,
            ContainerPath containers,
            Crop crop,
            List<Potting> late,
            List<Scenario> scenarios) {
        int at = Math.min(standing.pottingsDone(), containers.containers().size() - 1);
        double limit = crop.leafLimitIn(containers.containers().get(at));
        RootFill fill = RootFill.of(leaves, limit, pace);
        if (at >= path.pottings().size()) {
            return new Rooting(fill, seen, Optional.empty(), Optional.empty());
        }
        double circling = limit * pace.leavesForOne();
        double latest = Math.min(late.get(at).atLeaves(), circling * Math.cbrt(AT_THE_LATEST));
        return new Rooting(
                fill,
                seen,
                reaching(Math.max(latest, path.pottings().get(at).atLeaves()), at, standing, path, scenarios),
                reaching(circling, at, standing, path, scenarios));
    }

    /** When it has so many leaves in what it stands in, most likely. */
    private static Optional<LocalDate> reaching(
            double leaves, int at, Standing standing, Path path, List<Scenario> scenarios) {
        List<Potting> pottings = new ArrayList<>(path.pottings().subList(0, at));
        pottings.add(new Potting(leaves, 0));
        return path.with(pottings).pottingSpreads(standing, scenarios).stream()
                .findFirst()
                .map(DateSpread::middle);
    }
}
