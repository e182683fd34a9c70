package kiver.core.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import kiver.core.order.LineId;

/** How plants are shared between lines that want more of them than there are. */
public enum Sharing {
    /** Whom they were promised first gets theirs first; those of one day share in proportion. */
    DATE_PROMISED,
    /** All get the same share of what they want. */
    PROPORTION;

    /**
     * What a line wants.
     *
     * @param line in the database
     * @param plants that it still wants, 1 or more
     * @param promisedOn day on which it was taken
     */
    public record Claim(LineId line, int plants, LocalDate promisedOn) {
        public Claim {
            if (plants < 1) {
                throw new IllegalArgumentException("A claim is for 1 plant or more, not " + plants + ".");
            }
        }
    }

    /**
     * Plants for each line, in the order of the claims; together no more than there are, none more than it wants, and none
     * left over while somebody still wants one.
     *
     * @param available plants, 0 or more
     * @param claims of lines, none twice
     */
    public Map<LineId, Integer> share(int available, List<Claim> claims) {
        SortedMap<LocalDate, List<Claim>> turns = this == PROPORTION
                ? new TreeMap<>(Map.of(LocalDate.MIN, claims))
                : claims.stream().collect(Collectors.groupingBy(Claim::promisedOn, TreeMap::new, Collectors.toList()));
        Map<LineId, Integer> shares = new LinkedHashMap<>();
        claims.forEach(claim -> shares.put(claim.line(), 0));
        int left = available;
        for (List<Claim> turn : turns.values()) {
            int wanted = turn.stream().mapToInt(Claim::plants).sum();
            int given = Math.min(left, wanted);
            shares.putAll(inProportion(given, wanted, turn));
            left -= given;
        }
        return shares;
    }

    /** By the largest remainders (Hamilton): whole plants, nearest to the exact shares. */
    private static Map<LineId, Integer> inProportion(int given, int wanted, List<Claim> claims) {
        Map<LineId, Integer> shares = new LinkedHashMap<>();
        List<Claim> byRemainder = new ArrayList<>(claims);
        int left = given;
        for (Claim claim : claims) {
            int whole = (int) ((long) given * claim.plants() / Math.max(1, wanted));
            shares.put(claim.line(), whole);
            left -= whole;
        }
        byRemainder.sort(
                Comparator.comparingLong((Claim claim) -> -((long) given * claim.plants() % Math.max(1, wanted)))
                        .thenComparingLong(claim -> claim.line().number()));
        for (int index = 0; index < left; index++) {
            shares.merge(byRemainder.get(index).line(), 1, Integer::sum);
        }
        return shares;
    }
}
