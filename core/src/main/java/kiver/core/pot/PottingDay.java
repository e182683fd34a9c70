package kiver.core.pot;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;

/**
 * A morning's potting in an order in which pots, mix and labels are handled once: one container after the other, in each one
 * crop after the other, and what cannot wait first.
 *
 * @param steps in their order
 * @param minutes until the last is done, with so many hands
 */
public record PottingDay(List<Step> steps, double minutes) {

    /** Minutes to clear the bench and fetch other pots; an estimate. */
    private static final double CHANGE_OF_POTS = 5;

    /** Minutes to clean the bench between varieties, so that none gets among another; an estimate. */
    private static final double CHANGE_OF_VARIETY = 1;

    /**
     * A batch to be potted.
     *
     * @param batch its number
     * @param crop it is of
     * @param needs what that takes
     * @param minutes of one pair of hands, 0 or more
     * @param by last day on which it should go on; empty where that is not in sight
     */
    public record Piece(int batch, CropCode crop, PottingNeeds needs, double minutes, Optional<LocalDate> by) {}

    /**
     * A batch in its turn.
     *
     * @param changesPots whether other pots than before are fetched
     * @param from minutes after the beginning
     * @param until minutes after the beginning
     */
    public record Step(Piece piece, boolean changesPots, double from, double until) {}

    public PottingDay {
        steps = List.copyOf(steps);
    }

    /**
     * The day of some batches.
     *
     * @param hands who pot at one bench, 1 or more
     */
    public static PottingDay of(List<Piece> pieces, int hands) {
        if (hands < 1) {
            throw new IllegalArgumentException("Somebody has to do it: there are " + hands + " hands.");
        }
        Map<ContainerCode, List<Piece>> byPot = new LinkedHashMap<>();
        pieces.stream()
                .sorted(Comparator.comparing(PottingDay::deadline).thenComparing(Piece::batch))
                .forEach(piece -> byPot.computeIfAbsent(piece.needs().into().code(), pot -> new ArrayList<>())
                        .add(piece));
        List<Step> steps = new ArrayList<>();
        double at = 0;
        for (List<Piece> pots : byPot.values()) {
            boolean first = true;
            for (Piece piece : togetherByCrop(pots)) {
                double from = at + (first ? CHANGE_OF_POTS : CHANGE_OF_VARIETY);
                at = from + piece.minutes() / hands;
                steps.add(new Step(piece, first, from, at));
                first = false;
            }
        }
        return new PottingDay(steps, at);
    }

    private static List<Piece> togetherByCrop(List<Piece> pots) {
        Map<CropCode, List<Piece>> byCrop = new LinkedHashMap<>();
        pots.forEach(piece ->
                byCrop.computeIfAbsent(piece.crop(), crop -> new ArrayList<>()).add(piece));
        return byCrop.values().stream().flatMap(List::stream).toList();
    }

    private static LocalDate deadline(Piece piece) {
        return piece.by().orElse(LocalDate.MAX);
    }
}
