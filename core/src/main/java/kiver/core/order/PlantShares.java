package kiver.core.order;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * How the plants of a batch are shared out.
 *
 * @param promised still to go with lines of orders, 0 or more
 * @param reserved spares kept for replacements, 0 or more
 * @param free for whoever asks next, 0 or more
 * @param missing plants short of what is promised, 0 or more
 */
public record PlantShares(int promised, int reserved, int free, int missing) {

    /** Spares are kept so long after the last plants of a line went. */
    public static final int DAYS_SPARES_ARE_KEPT = 14;

    /**
     * What one line was promised and got.
     *
     * @param plants promised
     * @param accepted the fewest that the grower takes as all of them
     * @param released plants that have gone with it
     * @param lastReleasedOn when the last of them went; empty while none has
     */
    public record Part(int plants, int accepted, int released, Optional<LocalDate> lastReleasedOn) {

        private int outstanding() {
            return released >= accepted ? 0 : plants - released;
        }

        private boolean keepsSpares(LocalDate today) {
            return outstanding() > 0
                    || lastReleasedOn
                            .map(day -> !day.plusDays(DAYS_SPARES_ARE_KEPT).isBefore(today))
                            .orElse(false);
        }
    }

    /**
     * The shares on a day.
     *
     * <p>While a batch is not counted to the end, it counts as what it was planned to give: its spares were sown beyond
     * that. Once it is, what lives is shared out: promised plants first, then spares, the rest is free.
     *
     * @param plants alive, or planned and not gone yet
     * @param counted whether they were counted to the end
     * @param parts promised
     * @param spareShare spares kept for each line, as a share of what it was promised, 0 or more
     * @param today the day
     */
    public static PlantShares of(int plants, boolean counted, List<Part> parts, double spareShare, LocalDate today) {
        int promised = parts.stream().mapToInt(Part::outstanding).sum();
        int left = Math.max(0, plants - promised);
        int spares = counted
                ? parts.stream()
                        .filter(part -> part.keepsSpares(today))
                        .mapToInt(part -> (int) Math.ceil(part.plants() * spareShare))
                        .sum()
                : 0;
        int reserved = Math.min(left, spares);
        return new PlantShares(promised, reserved, left - reserved, Math.max(0, promised - plants));
    }
}
