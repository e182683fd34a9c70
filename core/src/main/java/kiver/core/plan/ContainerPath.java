package kiver.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.Potting;

/**
 * The containers a batch passes through, from the one it is sown in to the one it is handed over in.
 *
 * @param kind of the path
 * @param containers in order, at least one; each larger than the one before
 */
public record ContainerPath(Kind kind, List<Container> containers) {

    /** Ways to get a plant into its last container. */
    public enum Kind {
        /** Sown where it stays. */
        STRAIGHT,
        /** Sown small, potted up once. */
        POTTED_ONCE,
        /** Sown small, potted up twice. */
        POTTED_TWICE,
        /** Sown into small pressed blocks, set on into the last container. */
        BLOCKS,
        /** Several seeds to a cell, never separated. */
        CLUMPS,
        /** Sown broadcast in an open tray, pricked out by the leaf. */
        PRICKED_OUT
    }

    /** Days without a new leaf after potting; after pricking out, which tears roots, twice as many. */
    private static final double CHECK_AFTER_POTTING = 2;

    /** A plug is potted when it has this share of the leaves it can carry: before roots circle. */
    private static final double POTTED_AT = 0.75;

    /** Later than at this share roots circle. */
    private static final double POTTED_AT_THE_LATEST = 0.95;

    /** A pot more than about five times its plug stays wet and sour. */
    private static final double LARGEST_STEP = 5;

    /** Less than this is not worth the work. */
    private static final double SMALLEST_STEP = 2;

    public ContainerPath {
        containers = List.copyOf(containers);
        if (containers.isEmpty()) {
            throw new IllegalArgumentException("A path needs a container.");
        }
        for (int index = 1; index < containers.size(); index++) {
            Container before = containers.get(index - 1);
            Container after = containers.get(index);
            if (after.cellVolume() <= before.cellVolume()) {
                throw new IllegalArgumentException("Plants cannot be potted from " + before.code() + " into "
                        + after.code() + ": the pot must be larger than the plug.");
            }
        }
    }

    /** Sown where it stays. */
    public static ContainerPath straight(Container container) {
        return new ContainerPath(Kind.STRAIGHT, List.of(container));
    }

    /**
     * The path of a kind that ends in a container.
     *
     * @param kind wanted
     * @param last the container that plants are handed over in
     * @param crop to be grown
     * @param known all containers of the nursery
     * @return nothing when the nursery has no containers for it or the crop is not grown so
     */
    public static Optional<ContainerPath> of(Kind kind, Container last, Crop crop, List<Container> known) {
        return switch (kind) {
            case STRAIGHT -> Optional.of(straight(last));
            case CLUMPS ->
                crop.cells().clumpSeeds() > 0 ? Optional.of(new ContainerPath(kind, List.of(last))) : Optional.empty();
            case POTTED_ONCE ->
                before(last, Container.Kind.CELLS, known).map(first -> new ContainerPath(kind, List.of(first, last)));
            case BLOCKS ->
                before(last, Container.Kind.BLOCKS, known).map(first -> new ContainerPath(kind, List.of(first, last)));
            case PRICKED_OUT ->
                crop.seed().depth() > 8
                        ? Optional.empty()
                        : known.stream()
                                .filter(each ->
                                        each.kind() == Container.Kind.OPEN && each.cellVolume() < last.cellVolume())
                                .findFirst()
                                .map(first -> new ContainerPath(kind, List.of(first, last)));
            case POTTED_TWICE ->
                before(last, Container.Kind.POTS, known)
                        .flatMap(middle -> before(middle, Container.Kind.CELLS, known)
                                .map(first -> new ContainerPath(kind, List.of(first, middle, last))));
        };
    }

    /** Every path that ends in a container, as far as the nursery has what it takes. */
    public static List<ContainerPath> all(Container last, Crop crop, List<Container> known) {
        List<ContainerPath> paths = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            of(kind, last, crop, known).ifPresent(paths::add);
        }
        return List.copyOf(paths);
    }

    /** The container that seed is sown in. */
    public Container first() {
        return containers.get(0);
    }

    /** The container that plants are handed over in. */
    public Container last() {
        return containers.get(containers.size() - 1);
    }

    /** When plants of a crop are usually moved on; see {@link #pottings(Crop, double, boolean)}. */
    public List<Potting> pottings(Crop crop, double leavesWanted) {
        return pottings(crop, leavesWanted, false);
    }

    /**
     * When plants of a crop are moved on: before they fill what they stand in, and so early that their last container
     * still has its share of the leaves wanted.
     *
     * @param crop of the plants
     * @param leavesWanted true leaves at which hardening begins
     * @param late whether they stay as long as their roots allow, though at most until the last leaf but one in each
     *     container to come
     * @return one entry for each container after the first
     */
    public List<Potting> pottings(Crop crop, double leavesWanted, boolean late) {
        List<Potting> pottings = new ArrayList<>();
        int moves = containers.size() - 1;
        for (int index = 0; index < moves; index++) {
            boolean pricked = containers.get(index).kind() == Container.Kind.OPEN;
            double share = leavesWanted * (index + 1) / (moves + 1);
            double limit = crop.leafLimitIn(containers.get(index));
            double usual = Math.min(share, POTTED_AT * limit);
            double latest = Math.min(leavesWanted - (moves - index), POTTED_AT_THE_LATEST * limit);
            pottings.add(
                    pricked
                            ? new Potting(Math.min(1, share), 2 * CHECK_AFTER_POTTING)
                            : new Potting(late ? Math.max(usual, latest) : usual, CHECK_AFTER_POTTING));
        }
        return List.copyOf(pottings);
    }

    /**
     * The bench room in each container.
     *
     * @param cells sown in the first
     * @param plants moved on into those after it
     * @return in trays, one entry for each container
     */
    public List<Double> slots(int cells, int plants) {
        List<Double> slots = new ArrayList<>();
        for (int index = 0; index < containers.size(); index++) {
            Container container = containers.get(index);
            int places = index == 0 ? cells : plants;
            slots.add(container.slots() * Math.ceil(places / (double) container.cells()));
        }
        return List.copyOf(slots);
    }

    /** The first step into a container so large that it stays wet; empty when there is none. */
    public Optional<ContainerStep> tooLargeAStep() {
        for (int index = 1; index < containers.size(); index++) {
            Container before = containers.get(index - 1);
            Container after = containers.get(index);
            if (before.kind() != Container.Kind.OPEN && after.cellVolume() > LARGEST_STEP * before.cellVolume()) {
                return Optional.of(new ContainerStep(
                        before.code().written(),
                        after.code().written(),
                        Math.round(after.cellVolume() / before.cellVolume())));
            }
        }
        return Optional.empty();
    }

    /** The container from which one pots into another: as near to a fifth of it as may be. */
    private static Optional<Container> before(Container last, Container.Kind kind, List<Container> known) {
        return known.stream()
                .filter(each -> each.kind() == kind
                        && each.slots() == 1
                        && each.cellVolume() * SMALLEST_STEP <= last.cellVolume())
                .min(Comparator.comparingDouble(
                        each -> Math.abs(Math.log(last.cellVolume() / LARGEST_STEP / each.cellVolume()))));
    }
}
