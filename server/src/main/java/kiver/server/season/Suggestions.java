package kiver.server.season;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.server.batch.BatchPlan;
import kiver.server.clock.NurseryClock;
import kiver.server.grow.BatchAnalysis;
import kiver.server.growth.SeasonService;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** What could be done about a place that is over-full, each with what it costs in chance. */
@Component
class Suggestions {

    private static final int MOST_BATCHES = 8;
    private static final int MOST_OF_A_KIND = 2;
    private static final int[] DAYS_LATER = {4, 8, 12};
    private static final double COOLER = -2;

    private final SeasonBoard board;
    private final SeasonService seasons;
    private final NurseryClock clock;

    Suggestions(SeasonBoard board, SeasonService seasons, NurseryClock clock) {
        this.board = board;
        this.seasons = seasons;
        this.clock = clock;
    }

    /** Kinds of suggestion. */
    enum SuggestionKind { OTHER_PLACE, HOLD_COOLER, SOW_LATER, POT_LATER, REFUSE }

    /**
     * A suggestion.
     *
     * @param kind of it
     * @param batch number
     * @param words what to do
     * @param chanceBefore of the batch's order as it stands
     * @param chance of it then
     * @param relief tray places it frees where they are lacking, on the worst day
     * @param edit that does it; missing where it is for people to settle
     */
    record Suggestion(
            SuggestionKind kind, int batch, Said words, double chanceBefore, double chance, double relief,
            @Nullable PlanEdits.Edit edit) {

        private double loss() {
            return chanceBefore - chance;
        }
    }

    /** The best suggestions of each kind for days on which a place is over-full, the least costly first. */
    List<Suggestion> forOverflow(long placeId, LocalDate from, LocalDate to) {
        PlaceId place = new PlaceId(placeId);
        List<BatchAnalysis> all = board.under(Map.of());
        Occupancy occupancy = board.occupancy(all);
        List<Suggestion> found = new ArrayList<>();
        occupancy.batchesAt(place, from, to.plusDays(1)).stream()
                .map(board::batch)
                .sorted(Comparator.comparingDouble(BatchAnalysis::chance).reversed())
                .limit(MOST_BATCHES)
                .forEach(batch -> consider(batch, place, from, to, occupancy, found));
        found.removeIf(each -> each.relief() <= 0);
        return Arrays.stream(SuggestionKind.values())
                .flatMap(kind -> found.stream()
                        .filter(each -> each.kind() == kind)
                        .sorted(Comparator.comparingDouble(Suggestion::loss))
                        .limit(kind == SuggestionKind.REFUSE ? 1 : MOST_OF_A_KIND))
                .sorted(Comparator.comparing((Suggestion each) -> each.kind() == SuggestionKind.REFUSE)
                        .thenComparingDouble(Suggestion::loss))
                .toList();
    }

    private void consider(
            BatchAnalysis batch, PlaceId place, LocalDate from, LocalDate to, Occupancy occupancy, List<Suggestion> found) {
        BatchPlan plan = BatchPlan.of(batch.file().batch());
        int number = batch.file().batch().number();
        boolean sown = batch.file().state().sownOn().isPresent();
        elsewhere(batch, plan, place).forEach(other -> {
            boolean cooler = seasons.season().meanTemperature(other.way().growingOn(), from, 14)
                    < seasons.season().meanTemperature(batch.way().growingOn(), from, 14) + COOLER;
            String where = seasons.season().place(differing(batch.way(), other.way())).name();
            add(found, cooler ? SuggestionKind.HOLD_COOLER : SuggestionKind.OTHER_PLACE, batch, other, place, from, to, occupancy,
                    (cooler ? Said.of("Hold batch {batch} cooler, in the {place} instead.") : Said.of("Put batch {batch} in the {place} instead."))
                            .with("batch", number).with("place", where.toLowerCase(Locale.ROOT)),
                    new PlanEdits.Edit(number, null, sown ? null : other.emergencePlaceId(), other.growingPlaceId(),
                            other.hardeningPlaceId(), null, null, null));
        });
        if (!batch.forecast().pottings().isEmpty() && !plan.pottedLate()) {
            add(found, SuggestionKind.POT_LATER, batch, plan.pottedLate(true), place, from, to, occupancy,
                    Said.of("Pot batch {batch} on as late as its roots allow; look at them every other day.").with("batch", number),
                    new PlanEdits.Edit(number, null, null, null, null, null, null, true));
        }
        if (!sown && !batch.file().batch().isBoughtIn()) {
            for (int days : DAYS_LATER) {
                LocalDate day = plan.sowDay().isBefore(clock.today()) ? clock.today().plusDays(days) : plan.sowDay().plusDays(days);
                add(found, SuggestionKind.SOW_LATER, batch, plan.sownOn(day), place, from, to, occupancy,
                        Said.of("Sow batch {batch} {days} days later, on {day}.").with("batch", number).with("days", days).with("day", day),
                        new PlanEdits.Edit(number, day, null, null, null, null, null, null));
            }
            batch.file().promises().stream().findFirst().ifPresent(promise -> found.add(new Suggestion(
                    SuggestionKind.REFUSE, number,
                    Said.of("Tell {grower} that {plants} plants of order {order} cannot be met, or move their day.")
                            .with("grower", promise.grower()).with("plants", promise.plants()).with("order", promise.orderNumber()),
                    batch.chance(), 0, relief(batch, List.of(), place, from, to), null)));
        }
    }

    /** The same plan with the crowded place exchanged for another of its use. */
    private List<BatchPlan> elsewhere(BatchAnalysis batch, BatchPlan plan, PlaceId crowded) {
        List<BatchPlan> others = new ArrayList<>();
        boolean hardening = batch.file().state().hardeningStartedOn().isPresent();
        boolean sown = batch.file().state().sownOn().isPresent();
        for (Place other : seasons.season().places()) {
            if (other.id().equals(crowded)) {
                continue;
            }
            Way way = batch.way();
            if (!sown && way.emergence().equals(crowded) && other.suits(PlaceUse.EMERGENCE)) {
                others.add(plan.along(new Way(other.id(), way.growingOn(), way.hardening()), true));
            }
            if (!hardening && way.growingOn().equals(crowded) && other.suits(PlaceUse.GROWING_ON)) {
                others.add(plan.along(new Way(way.emergence(), other.id(), way.hardening()), true));
            }
            if (!hardening && way.hardening().equals(crowded) && other.suits(PlaceUse.HARDENING_OFF)) {
                others.add(plan.along(new Way(way.emergence(), way.growingOn(), other.id()), true));
            }
        }
        return others;
    }

    private static PlaceId differing(Way from, Way to) {
        return !from.emergence().equals(to.emergence())
                ? to.emergence()
                : !from.growingOn().equals(to.growingOn()) ? to.growingOn() : to.hardening();
    }

    private void add(
            List<Suggestion> found, SuggestionKind kind, BatchAnalysis batch, BatchPlan plan, PlaceId place, LocalDate from,
            LocalDate to, Occupancy occupancy, Said words, PlanEdits.Edit edit) {
        BatchAnalysis tried = board.tried(batch, plan);
        int number = batch.file().batch().number();
        Occupancy without = occupancy.with(number, List.of());
        if (lackElsewhere(tried.stays(), place, without) <= lackElsewhere(batch.stays(), place, without)) {
            found.add(new Suggestion(
                    kind, number, words, batch.chance(), tried.chance(), relief(batch, tried.stays(), place, from, to), edit));
        }
    }

    /** What a batch lacks at most at other places than the crowded one; a help must not crowd those further. */
    private static double lackElsewhere(List<Stay> stays, PlaceId crowded, Occupancy without) {
        return without.lackFor(stays.stream().filter(stay -> !stay.place().equals(crowded)).toList())
                .map(Occupancy.Lack::mostOver)
                .orElse(0.0);
    }

    private static double relief(
            BatchAnalysis batch, List<Stay> then, PlaceId place, LocalDate from, LocalDate to) {
        double relief = 0;
        for (LocalDate day = from; !day.isAfter(to); day = day.plusDays(1)) {
            relief = Math.max(relief, slots(batch.stays(), place, day) - slots(then, place, day));
        }
        return relief;
    }

    private static double slots(List<Stay> stays, PlaceId place, LocalDate day) {
        return stays.stream()
                .filter(stay -> stay.place().equals(place) && stay.covers(day))
                .mapToDouble(Stay::slots)
                .sum();
    }
}
