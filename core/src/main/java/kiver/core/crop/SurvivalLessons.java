package kiver.core.crop;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What batches that are over teach of how many plants live on to their release: each crop borrows from the nursery until it
 * has batches of its own.
 *
 * <p>Plants of one batch share its fate, so a batch of 300 is not worth 300 plants. Reference: the design effect
 * 1 + (n − 1)·ρ of cluster samples (Kish 1965, Survey Sampling, section 5.4), with ρ = 0.05: a large batch is worth 20.
 */
public final class SurvivalLessons {

    private static final double WITHIN_A_BATCH = 0.05;

    private final Map<CropCode, List<LivedOn>> byCrop;

    /**
     * What became of a batch that is over.
     *
     * @param crop code
     * @param emerged cells in which something came up and was not taken out on purpose, 0 or more
     * @param lived of them, those that lived on to the end, 0 to all
     */
    public record LivedOn(CropCode crop, int emerged, int lived) {

        public LivedOn {
            if (lived < 0 || emerged < lived) {
                throw new IllegalArgumentException("No more live on than came up.");
            }
        }

        /** Plants that it is worth. */
        double worth() {
            return emerged == 0 ? 0 : emerged / (1 + (emerged - 1) * WITHIN_A_BATCH);
        }

        double livedWorth() {
            return emerged == 0 ? 0 : worth() * lived / emerged;
        }
    }

    public SurvivalLessons(List<LivedOn> batches) {
        byCrop = batches.stream().filter(each -> each.emerged() > 0).collect(Collectors.groupingBy(LivedOn::crop));
    }

    /** The crops of which a batch is over. */
    public Set<CropCode> crops() {
        return byCrop.keySet();
    }

    /** Batches of a crop that are over. */
    public int batches(CropCode crop) {
        return byCrop.getOrDefault(crop, List.of()).size();
    }

    /** What is known of a crop. */
    public Survival of(CropCode crop) {
        Survival before = nurseryWithout(crop);
        return after(before, byCrop.getOrDefault(crop, List.of()));
    }

    /** What the other crops tell, as sure as one is before anything is seen: crops differ. */
    private Survival nurseryWithout(CropCode crop) {
        List<LivedOn> others = byCrop.entrySet().stream()
                .filter(entry -> !entry.getKey().equals(crop))
                .flatMap(entry -> entry.getValue().stream())
                .toList();
        return new Survival(after(Survival.USUAL, others).mean(), Survival.USUAL.weight());
    }

    private static Survival after(Survival before, List<LivedOn> batches) {
        double weight =
                before.weight() + batches.stream().mapToDouble(LivedOn::worth).sum();
        double lived = before.mean() * before.weight()
                + batches.stream().mapToDouble(LivedOn::livedWorth).sum();
        return new Survival(lived / weight, weight);
    }
}
