package kiver.core.care;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import kiver.core.growth.LeafGrowth;

/**
 * A place too dark for what grows there, at the warmth that it has: stems stretch.
 *
 * @param light of the last days, mol m⁻² d⁻¹
 * @param celsius °C by day and night over the same days
 * @param wanted light that would keep all of it sturdy in that warmth, mol m⁻² d⁻¹
 * @param coolEnough °C at which the light there would do for all of it
 * @param batches that stretch, by number, rising; not empty
 */
public record LightCall(double light, double celsius, double wanted, double coolEnough, List<Integer> batches) {

    public LightCall {
        batches = batches.stream().sorted().toList();
    }

    /**
     * A batch that is up and grows there.
     *
     * @param batch number
     * @param leaves of its crop
     */
    public record Growing(int batch, LeafGrowth leaves) {}

    /** What stretches in a light and a warmth; empty where nothing does. */
    public static Optional<LightCall> of(double light, double celsius, List<Growing> growing) {
        List<Growing> stretching = growing.stream()
                .filter(each -> each.leaves().isLeggyIn(light, celsius))
                .toList();
        return stretching.stream()
                .max(Comparator.comparingDouble(each -> each.leaves().leggyBelow(celsius)))
                .map(darkest -> new LightCall(
                        light,
                        celsius,
                        darkest.leaves().leggyBelow(celsius),
                        stretching.stream()
                                .mapToDouble(each -> each.leaves().warmthFor(light))
                                .min()
                                .orElseThrow(),
                        stretching.stream().map(Growing::batch).toList()));
    }
}
