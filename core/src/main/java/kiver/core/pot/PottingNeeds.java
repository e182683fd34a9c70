package kiver.core.pot;

import kiver.core.crop.Container;

/**
 * What it takes to pot plants on.
 *
 * @param plants that go on, 1 or more
 * @param from what they stand in
 * @param into what they go into
 * @param traysFrom trays of theirs that stand empty afterwards
 */
public record PottingNeeds(int plants, Container from, Container into, int traysFrom) {

    private static final double MILLILITRES = 1000;

    public PottingNeeds {
        if (plants < 1 || traysFrom < 0) {
            throw new IllegalArgumentException("At least one plant is potted, and no fewer than no trays come free.");
        }
    }

    /** Trays or carriers that are filled. */
    public int carriers() {
        return (int) Math.ceil(plants / (double) into.cells());
    }

    /** Pots, or trays of cells, that are taken from the shed. */
    public int pieces() {
        return into.pieces(plants);
    }

    /** L of loose mix: what a pot holds beside the plug that goes into it. */
    public double mix() {
        double plug = from.kind() == Container.Kind.OPEN ? 0 : from.cellVolume();
        return plants * (into.cellVolume() - plug) / MILLILITRES;
    }

    /** Bench room that comes free, in trays. */
    public double slotsBefore() {
        return traysFrom * from.slots();
    }

    /** Bench room that the pots take, in trays. */
    public double slotsAfter() {
        return carriers() * into.slots();
    }
}
