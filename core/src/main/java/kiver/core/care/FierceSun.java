package kiver.core.care;

import java.util.List;
import java.util.Optional;
import kiver.core.growth.LeafGrowth;
import kiver.core.place.ShadeCloth;

/**
 * A day of sun too fierce for what stands at a place: what should be done before noon.
 *
 * @param danger the worse of what it brings
 * @param daylight expected at the leaves with no cloth drawn, mol m⁻² d⁻¹
 * @param hottest °C expected there
 * @param under daylight left under the place's cloth, mol m⁻² d⁻¹; empty where it has none to draw
 * @param batches that it harms, by number, rising; not empty
 */
public record FierceSun(Danger danger, double daylight, double hottest, Optional<Double> under, List<Integer> batches) {

    /**
     * Times its light need above which light scorches leaves that are new to it. An estimate: leaf number and weight of
     * seedlings gain nothing from the second half of such light, and what is not used for growth must go somewhere.
     */
    private static final double SCORCHES_ABOVE = 2.5;

    /** What it brings. */
    public enum Danger {
        /** Leaves bleach or scorch. */
        SCORCH,
        /** Growth stands still and plants wilt. */
        HEAT
    }

    public FierceSun {
        batches = batches.stream().sorted().toList();
    }

    /**
     * A batch that is up and stands there.
     *
     * @param batch number
     * @param leaves of its crop
     * @param young whether its roots cannot yet follow: hardly any leaves, or potted or moved on in these days
     */
    public record Standing(int batch, LeafGrowth leaves, boolean young) {}

    /**
     * What a day brings to what stands there; empty where it does no harm.
     *
     * @param daylight expected with no cloth drawn, mol m⁻² d⁻¹
     * @param hottest °C expected
     * @param cloth of the place
     */
    public static Optional<FierceSun> of(double daylight, double hottest, ShadeCloth cloth, List<Standing> standing) {
        List<Integer> hot = standing.stream()
                .filter(each -> hottest >= each.leaves().tooHotFrom())
                .map(Standing::batch)
                .toList();
        List<Integer> harmed = standing.stream()
                .filter(each -> hot.contains(each.batch()) || scorches(daylight, hottest, each))
                .map(Standing::batch)
                .toList();
        return harmed.isEmpty()
                ? Optional.empty()
                : Optional.of(new FierceSun(
                        hot.isEmpty() ? Danger.SCORCH : Danger.HEAT,
                        daylight,
                        hottest,
                        cloth.isThere() ? Optional.of(daylight * (1 - cloth.takes())) : Optional.empty(),
                        harmed));
    }

    /** Daylight above which leaves that are new to it scorch, mol m⁻² d⁻¹. */
    public static double scorchesAbove(LeafGrowth leaves) {
        return SCORCHES_ABOVE * leaves.lightNeed();
    }

    private static boolean scorches(double daylight, double hottest, Standing each) {
        return daylight > scorchesAbove(each.leaves())
                && (each.young() || hottest >= each.leaves().temperatures().optimum());
    }
}
