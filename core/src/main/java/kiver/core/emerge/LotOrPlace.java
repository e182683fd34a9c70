package kiver.core.emerge;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import kiver.core.place.PlaceId;
import kiver.core.seed.Germination;
import kiver.core.seed.LotId;
import kiver.core.seed.Shortfall;

/**
 * Whether a batch that came up badly did so because of its lot or because of its place: what the same lot did elsewhere, and
 * what other lots did here, each held against what its label lets expect.
 *
 * @param here the batch itself
 * @param elsewhere the same lot in other places
 * @param othersHere other lots in the same place
 * @param tailElsewhere how often the lot would do so badly elsewhere if its label were true; empty where it was not sown
 * @param tailOthers the same for the other lots here together
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
        OptionalDouble tailOthers = together(othersHere);
        return new LotOrPlace(
                here, elsewhere, othersHere, tailElsewhere, tailOthers, blame(here, tailElsewhere, tailOthers));
    }

    /** The tail of all counts together: those of one lot share its germination, those of several are independent. */
    private static OptionalDouble together(List<Count> counts) {
        if (counts.isEmpty()) {
            return OptionalDouble.empty();
        }
        Map<LotId, List<Count>> byLot = new LinkedHashMap<>();
        counts.forEach(count ->
                byLot.computeIfAbsent(count.lot(), lot -> new ArrayList<>()).add(count));
        double[] all = {1};
        for (List<Count> ofLot : byLot.values()) {
            all = Shortfall.sum(
                    all,
                    Shortfall.distribution(
                            ofLot.get(0).label(),
                            ofLot.stream()
                                    .flatMap(count -> count.trials().stream())
                                    .toList()));
        }
        return OptionalDouble.of(
                Shortfall.tail(all, counts.stream().mapToInt(Count::up).sum()));
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
