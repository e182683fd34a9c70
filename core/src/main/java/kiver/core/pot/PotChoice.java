package kiver.core.pot;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;

/**
 * A container that plants could be potted into.
 *
 * @param into the container
 * @param times its cell's volume by that of the plug, above 1
 * @param remarks what speaks against it; empty for the right one
 */
public record PotChoice(Container into, double times, List<PotRemark> remarks) {

    /** About a thumb of new mix all round and below, mm. */
    private static final double THUMB = 20;

    /** A pot of more than about five times its plug stays wet and sour. */
    private static final double LARGEST_STEP = 5;

    public PotChoice {
        remarks = List.copyOf(remarks);
    }

    /** How wide across a pot for that plug should be at least, mm. */
    public static double widthFor(Container plug) {
        return plug.cellWidth() + 2 * THUMB;
    }

    /** How deep a pot for that plug should be at least, mm. */
    public static double depthFor(Container plug) {
        return plug.cellDepth() + THUMB;
    }

    /**
     * The containers that are larger than the plug, the best first: nothing against it before what is a little off, what is
     * in the shed before what is not.
     *
     * @param plug what the plants stand in
     * @param known all containers
     * @param plants to be potted, 1 or more
     * @param inTheShed pots or trays there by code; a container that was never counted is missing
     */
    public static List<PotChoice> of(
            Container plug, List<Container> known, int plants, Map<ContainerCode, Integer> inTheShed) {
        return known.stream()
                .filter(each -> each.kind() != Container.Kind.OPEN && each.cellVolume() > plug.cellVolume())
                .map(each -> of(plug, each, plants, inTheShed))
                .sorted(Comparator.comparingDouble(PotChoice::against)
                        .thenComparingDouble(choice -> choice.into().cellVolume()))
                .toList();
    }

    private static PotChoice of(Container plug, Container into, int plants, Map<ContainerCode, Integer> inTheShed) {
        double times = into.cellVolume() / plug.cellVolume();
        List<PotRemark> remarks = new ArrayList<>();
        // What was pricked out of an open tray has no plug round which a thumb would have to fit.
        if (plug.kind() != Container.Kind.OPEN) {
            if (into.cellWidth() < widthFor(plug)) {
                remarks.add(new PotRemark.TooNarrow(into.cellWidth(), widthFor(plug)));
            }
            if (into.cellDepth() < depthFor(plug)) {
                remarks.add(new PotRemark.TooShallow(into.cellDepth(), depthFor(plug)));
            }
            if (times > LARGEST_STEP) {
                remarks.add(new PotRemark.StaysWet(Math.round(times)));
            }
        }
        Integer there = inTheShed.get(into.code());
        int wanted = into.pieces(plants);
        if (there == null) {
            remarks.add(new PotRemark.NeverCounted());
        } else if (there < wanted) {
            remarks.add(new PotRemark.TooFewInTheShed(there, wanted));
        }
        return new PotChoice(into, times, remarks);
    }

    /** How much speaks against it; what is missing weighs most, a pot too wet as much as one a third too narrow. */
    private double against() {
        return remarks.stream().mapToDouble(PotChoice::weight).sum();
    }

    private static double weight(PotRemark remark) {
        if (remark instanceof PotRemark.TooNarrow narrow) {
            return 3 * (1 - narrow.widthMillimetres() / narrow.wantedMillimetres());
        }
        if (remark instanceof PotRemark.TooShallow shallow) {
            return 2 * (1 - shallow.depthMillimetres() / shallow.wantedMillimetres());
        }
        if (remark instanceof PotRemark.StaysWet wet) {
            return Math.log(Math.max(LARGEST_STEP, wet.times()) / LARGEST_STEP) + 0.5;
        }
        return remark instanceof PotRemark.TooFewInTheShed ? 2 : 0.1;
    }
}
