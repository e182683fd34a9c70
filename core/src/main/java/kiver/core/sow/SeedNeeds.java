package kiver.core.sow;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import kiver.core.seed.LotId;

/** What planned sowings take from the seed store, and where it runs short. */
public final class SeedNeeds {

    private SeedNeeds() {}

    /**
     * One sowing that is planned.
     *
     * @param batch number
     * @param lot that it is to be sown from
     * @param day of sowing
     * @param seeds to take, 1 or more
     */
    public record Sowing(int batch, LotId lot, LocalDate day, int seeds) {}

    /**
     * What is asked of one lot.
     *
     * @param lot number
     * @param stock seeds in store, 0 or more
     * @param sowings from it, by day
     * @param shortFrom day of the first sowing that it can no longer serve whole
     */
    public record LotNeed(LotId lot, int stock, List<Sowing> sowings, Optional<LocalDate> shortFrom) {

        /** Seeds asked for in all. */
        public int seeds() {
            return sowings.stream().mapToInt(Sowing::seeds).sum();
        }

        /** Seeds to buy, 0 or more. */
        public int lacking() {
            return Math.max(0, seeds() - stock);
        }
    }

    /**
     * The needs by lot, those that run short first and soonest first.
     *
     * @param sowings planned, in any order
     * @param stock seeds in store by lot
     */
    public static List<LotNeed> of(List<Sowing> sowings, Map<LotId, Integer> stock) {
        Map<LotId, List<Sowing>> byLot = new TreeMap<>();
        sowings.stream()
                .sorted(Comparator.comparing(Sowing::day).thenComparing(Sowing::batch))
                .forEach(sowing -> byLot.computeIfAbsent(sowing.lot(), lot -> new ArrayList<>())
                        .add(sowing));
        List<LotNeed> needs = new ArrayList<>();
        byLot.forEach((lot, all) -> needs.add(need(lot, stock.getOrDefault(lot, 0), all)));
        needs.sort(Comparator.comparing((LotNeed need) -> need.shortFrom().orElse(LocalDate.MAX))
                .thenComparing(LotNeed::lot));
        return List.copyOf(needs);
    }

    private static LotNeed need(LotId lot, int stock, List<Sowing> sowings) {
        int left = stock;
        for (Sowing sowing : sowings) {
            left -= sowing.seeds();
            if (left < 0) {
                return new LotNeed(lot, stock, List.copyOf(sowings), Optional.of(sowing.day()));
            }
        }
        return new LotNeed(lot, stock, List.copyOf(sowings), Optional.empty());
    }
}
