package kiver.core.emerge;

import java.util.List;
import java.util.OptionalDouble;
import kiver.core.place.PlaceId;
import kiver.core.seed.Germination;
import kiver.core.seed.GerminationNodes;
import kiver.core.seed.LotId;
import kiver.core.seed.Shortfall;
import org.apache.commons.statistics.distribution.BinomialDistribution;

/**
 * Whether a batch that came up badly did so because of its lot or because of its place: what the same lot did elsewhere, and
 * what other lots did here, each held against what its label lets expect.
 *
 * @param here the batch itself
 * @param elsewhere the same lot in other places
 * @param othersHere other lots in the same place
 * @param tailElsewhere how often the lot would do so badly elsewhere if its label were true; empty where it was not sown
 * @param tailOthers how often chance and mishaps alone leave so many of the others here as bad; empty where there are none
 * @param blame what follows
 */
public record LotOrPlace(
        Count here,
        List<Count> elsewhere,
        List<Count> othersHere,
        OptionalDouble tailElsewhere,
        OptionalDouble tailOthers,
        Blame blame) {

    /** What is to blame. */
    public enum Blame {
        /** So few come up by chance alone more than once in twenty sowings; nothing is. */
        CHANCE,
        LOT,
        PLACE,
        /** The lot does badly elsewhere, and others do badly here. */
        BOTH,
        /** The lot does well elsewhere, and others do well here: something about this sowing. */
        THIS_SOWING,
        /** There is nothing yet to hold it against. */
        CANNOT_TELL
    }

    /** So few come up by chance alone in one sowing of twenty. */
    private static final double SELDOM = 0.05;

    /**
     * The count of a batch that was counted to its end.
     *
     * @param batch number
     * @param lot it was sown from
     * @param place in which it was to come up
     * @param label what was to be expected of the lot when it was sown
     * @param trials what was tried and what came up, at least one tried
     */
    public record Count(int batch, LotId lot, PlaceId place, Germination label, List<Shortfall.Trials> trials) {
        public Count {
            trials = List.copyOf(trials);
        }

        /** Seeds, or cells where only something was seen, that were tried. */
        public int tried() {
            return trials.stream().mapToInt(Shortfall.Trials::tried).sum();
        }

        /** How many of them came up. */
        public int up() {
            return Shortfall.up(trials);
        }

        /** How often so few would come up if the label were true, 0 to 1. */
        public double tail() {
            return Shortfall.tail(label, trials);
        }

        /** The same allowing for batches of one lot that differ, as they do. */
        public double usualTail() {
            return Shortfall.tail(label.ofNextBatch(), trials);
        }

        /** Whether a batch does so badly once in twenty times only. */
        public boolean isBad() {
            return usualTail() <= SELDOM;
        }
    }

    /**
     * Holds a batch against what else was counted to its end.
     *
     * @param here the batch
     * @param others every other count, of any lot in any place
     */
    public static LotOrPlace of(Count here, List<Count> others) {
        List<Count> elsewhere = others.stream()
                .filter(count ->
                        count.lot().equals(here.lot()) && !count.place().equals(here.place()))
                .toList();
        List<Count> othersHere = others.stream()
                .filter(count ->
                        !count.lot().equals(here.lot()) && count.place().equals(here.place()))
                .toList();
        OptionalDouble tailElsewhere = together(elsewhere);
        OptionalDouble tailOthers = tailOf(othersHere);
        return new LotOrPlace(
                here, elsewhere, othersHere, tailElsewhere, tailOthers, blame(here, tailElsewhere, tailOthers));
    }

    /** The tail of all counts of one lot together. */
    private static OptionalDouble together(List<Count> counts) {
        return counts.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Shortfall.tail(
                        counts.get(0).label(),
                        counts.stream()
                                .flatMap(count -> count.trials().stream())
                                .toList()));
    }

    /**
     * How often chance and mishaps alone leave so many of the other batches as bad. One that failed wholly counts as one: added
     * up seed by seed it would speak for all.
     */
    private static OptionalDouble tailOf(List<Count> others) {
        if (others.isEmpty()) {
            return OptionalDouble.empty();
        }
        int bad = (int) others.stream().filter(Count::isBad).count();
        return OptionalDouble.of(
                bad == 0
                        ? 1
                        : BinomialDistribution.of(others.size(), SELDOM + GerminationNodes.CHANCE_OF_MISHAP)
                                .survivalProbability(bad - 1));
    }

    private static Blame blame(Count here, OptionalDouble tailElsewhere, OptionalDouble tailOthers) {
        if (here.tail() > SELDOM) {
            return Blame.CHANCE;
        }
        boolean badElsewhere = tailElsewhere.orElse(1) <= SELDOM;
        boolean badHere = tailOthers.orElse(1) <= SELDOM;
        if (badElsewhere || badHere) {
            return badElsewhere && badHere ? Blame.BOTH : badElsewhere ? Blame.LOT : Blame.PLACE;
        }
        if (tailElsewhere.isPresent() && tailOthers.isPresent()) {
            return Blame.THIS_SOWING;
        }
        // Of two that may be to blame one is known to do well.
        if (tailOthers.isPresent()) {
            return Blame.LOT;
        }
        return tailElsewhere.isPresent() ? Blame.PLACE : Blame.CANNOT_TELL;
    }
}
