package kiver.server.space;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.outlook.BatchOutlook;
import kiver.core.space.Assignment;
import kiver.core.space.Candidate;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.core.space.ToPlace;
import kiver.server.wording.Said;

/**
 * A whole season placed, with the reason for each batch's place.
 *
 * @param placings one for each batch
 * @param pinned batches that were placed by hand
 * @param overflowBefore tray places over capacity before, summed over places and days
 * @param overflowAfter the same after
 * @param gap how far it may at most be from the best there can be, as a share
 * @param stopped whether it was stopped before it was done
 */
public record Placings(
        List<Placing> placings, int pinned, double overflowBefore, double overflowAfter, double gap, boolean stopped) {

    public Placings {
        placings = List.copyOf(placings);
    }

    /** A batch that goes somewhere else, or is sown on another day, with the reason. */
    public record Placing(
            int batch, Way from, Way to, LocalDate sowDayBefore, LocalDate sowDay, boolean changes, Said reason) {}

    /**
     * What came of placing.
     *
     * @param all batches that were placed
     * @param toPlace their candidates, in the same order
     * @param assignment what was chosen
     * @param season they were placed in
     * @param today the first day looked at
     */
    static Placings of(
            List<BatchOutlook> all, List<ToPlace> toPlace, Assignment assignment, Season season, LocalDate today) {
        Map<Integer, List<Stay>> before = new HashMap<>();
        Map<Integer, List<Stay>> after = new HashMap<>();
        for (int index = 0; index < all.size(); index++) {
            before.put(all.get(index).number(), all.get(index).stays());
            after.put(
                    all.get(index).number(), chosen(toPlace, assignment, index).stays());
        }
        int days = (int) (season.lastDay().toEpochDay() - today.toEpochDay()) + 1;
        Occupancy then = Occupancy.of(season.places(), after, today, days);
        Map<String, List<Candidate>> byKin = IntStream.range(0, all.size())
                .boxed()
                .collect(Collectors.groupingBy(
                        index -> toPlace.get(index).kin(),
                        Collectors.mapping(index -> chosen(toPlace, assignment, index), Collectors.toList())));
        List<Placing> placings = new ArrayList<>();
        for (int index = 0; index < all.size(); index++) {
            BatchOutlook batch = all.get(index);
            Candidate chosen = chosen(toPlace, assignment, index);
            LocalDate sowDay =
                    batch.isFixed() || toPlace.get(index).candidates().size() == 1
                            ? batch.began()
                            : chosen.stays().get(0).from();
            boolean changes = !chosen.way().equals(batch.way()) || !sowDay.equals(batch.began());
            placings.add(new Placing(
                    batch.number(),
                    batch.way(),
                    chosen.way(),
                    batch.began(),
                    sowDay,
                    changes,
                    reason(
                            batch,
                            toPlace.get(index).candidates().get(0),
                            chosen,
                            byKin.get(toPlace.get(index).kin()),
                            then)));
        }
        return new Placings(
                placings,
                (int) all.stream()
                        .filter(batch -> batch.file().batch().plan().pinned())
                        .count(),
                Occupancy.of(season.places(), before, today, days).overfullness(),
                then.overfullness(),
                assignment.gap(),
                assignment.stopped());
    }

    private static Candidate chosen(List<ToPlace> toPlace, Assignment assignment, int index) {
        return toPlace.get(index).candidates().get(assignment.chosen().get(index));
    }

    /** Whether others of its crop grow on at the same place. */
    // Two batches may have candidates that are equal; a batch is only not beside itself.
    @SuppressWarnings("ReferenceEquality")
    private static boolean beside(Candidate chosen, List<Candidate> kin) {
        return kin.stream().anyMatch(other -> other != chosen && other.growsBeside(chosen));
    }

    private static Said reason(
            BatchOutlook batch, Candidate best, Candidate chosen, List<Candidate> kin, Occupancy then) {
        if (batch.isFixed()) {
            return Said.of("Stands there already.");
        }
        if (batch.file().batch().plan().pinned()) {
            return Said.of("Placed by hand.");
        }
        if (chosen.equals(best)) {
            return Said.of("What suits it best has room.");
        }
        Optional<Occupancy.Lack> lack = then.lackFor(best.stays(), chosen.stays());
        return lack.map(over -> Said.of("{place} would suit it best but is full from {from} to {to}.")
                        .with("place", over.place().name())
                        .with("from", over.from())
                        .with("to", over.until().minusDays(1)))
                .orElse(
                        beside(chosen, kin)
                                ? Said.of("Suits it nearly as well as the best, and more {crop} stands there.")
                                        .with("crop", batch.crop().name().toLowerCase(Locale.ROOT))
                                : Said.of("Leaves room where others need it more."));
    }
}
