package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;

/**
 * Looks for what could be done about places that are over-full, each with what it costs in chance.
 *
 * @param season ahead
 * @param today no batch is sown before it
 * @param occupancy by all batches as they stand
 * @param trial a batch as it would stand under another plan
 */
public record RoomRelief(
        Season season, LocalDate today, Occupancy occupancy, BiFunction<BatchOutlook, BatchPlan, BatchOutlook> trial) {

    private static final int MOST_BATCHES = 8;
    private static final int MOST_OF_A_KIND = 2;
    private static final List<Integer> DAYS_LATER = List.of(4, 8, 12);

    /** K in the mean of a fortnight that make a place a cooler one. */
    private static final double COOLER = -2;

    /**
     * Days on end on which a place is over-full.
     *
     * @param place that lacks room
     * @param from first day
     * @param to last day
     */
    public record Crowded(PlaceId place, LocalDate from, LocalDate to) {}

    /**
     * The best suggestions of each kind, the least costly first; those that people must settle come last.
     *
     * @param crowded the place and the days
     * @param batches all, as they stand
     */
    public List<SpaceSuggestion> suggestions(Crowded crowded, List<BatchOutlook> batches) {
        Map<Integer, BatchOutlook> byNumber =
                batches.stream().collect(Collectors.toMap(BatchOutlook::number, Function.identity()));
        Map<Class<?>, List<SpaceSuggestion>> byKind =
                occupancy
                        .batchesAt(crowded.place(), crowded.from(), crowded.to().plusDays(1))
                        .stream()
                        .map(byNumber::get)
                        .sorted(Comparator.comparingDouble(BatchOutlook::chance).reversed())
                        .limit(MOST_BATCHES)
                        .flatMap(batch -> of(batch, crowded))
                        .filter(each -> each.relief() > 0)
                        .collect(Collectors.groupingBy(each -> each.help().getClass()));
        return byKind.values().stream()
                .flatMap(each -> each.stream()
                        .sorted(Comparator.comparingDouble(SpaceSuggestion::loss))
                        .limit(each.get(0).plan().isEmpty() ? 1 : MOST_OF_A_KIND))
                .sorted(Comparator.comparing(
                                (SpaceSuggestion each) -> each.plan().isEmpty())
                        .thenComparingDouble(SpaceSuggestion::loss)
                        .thenComparing(each -> each.help().batch()))
                .toList();
    }

    private Stream<SpaceSuggestion> of(BatchOutlook batch, Crowded crowded) {
        Batch planned = batch.file().batch();
        BatchPlan plan = planned.plan();
        List<Optional<SpaceSuggestion>> found = new ArrayList<>();
        for (BatchPlan other : elsewhere(batch, crowded.place())) {
            PlaceId place = differing(batch.way(), other.way());
            boolean cooler = mean(other.way(), crowded) < mean(batch.way(), crowded) + COOLER;
            found.add(tried(
                    batch,
                    crowded,
                    other,
                    cooler
                            ? new SpaceHelp.CoolerPlace(batch.number(), place)
                            : new SpaceHelp.OtherPlace(batch.number(), place)));
        }
        if (!batch.forecast().pottings().isEmpty() && !plan.pottedLate()) {
            found.add(tried(batch, crowded, plan.pottedLate(true), new SpaceHelp.PotLater(batch.number())));
        }
        if (batch.file().state().sownOn().isEmpty() && !planned.isBoughtIn()) {
            for (int days : DAYS_LATER) {
                LocalDate day = Days.later(plan.sowDay(), today).plusDays(days);
                found.add(tried(batch, crowded, plan.sownOn(day), new SpaceHelp.SowLater(batch.number(), days, day)));
            }
            batch.file().promises().stream()
                    .findFirst()
                    .ifPresent(promise -> found.add(Optional.of(new SpaceSuggestion(
                            new SpaceHelp.TellGrower(
                                    batch.number(), promise.grower(), promise.plants(), promise.orderNumber()),
                            batch.chance(),
                            0,
                            relief(batch, List.of(), crowded),
                            Optional.empty()))));
        }
        return found.stream().flatMap(Optional::stream);
    }

    private double mean(Way way, Crowded crowded) {
        return season.meanTemperature(way.growingOn(), crowded.from(), 14);
    }

    /** The same plan with the crowded place exchanged for another of its use. */
    private List<BatchPlan> elsewhere(BatchOutlook batch, PlaceId crowded) {
        BatchPlan plan = batch.file().batch().plan();
        List<BatchPlan> others = new ArrayList<>();
        boolean hardening = batch.file().state().hardeningStartedOn().isPresent();
        boolean sown = batch.file().state().sownOn().isPresent();
        Way way = batch.way();
        for (Place other : season.places()) {
            if (other.id().equals(crowded)) {
                continue;
            }
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
        if (!from.emergence().equals(to.emergence())) {
            return to.emergence();
        }
        return from.growingOn().equals(to.growingOn()) ? to.hardening() : to.growingOn();
    }

    /** A suggestion, unless it would crowd other places further. */
    private Optional<SpaceSuggestion> tried(BatchOutlook batch, Crowded crowded, BatchPlan plan, SpaceHelp help) {
        BatchOutlook tried = trial.apply(batch, plan);
        Occupancy without = occupancy.with(batch.number(), List.of());
        return lackElsewhere(tried.stays(), crowded.place(), without)
                        > lackElsewhere(batch.stays(), crowded.place(), without)
                ? Optional.empty()
                : Optional.of(new SpaceSuggestion(
                        help,
                        batch.chance(),
                        tried.chance(),
                        relief(batch, tried.stays(), crowded),
                        Optional.of(plan)));
    }

    /** What a batch lacks at most at other places than the crowded one. */
    private static double lackElsewhere(List<Stay> stays, PlaceId crowded, Occupancy without) {
        return without.lackFor(stays.stream()
                        .filter(stay -> !stay.place().equals(crowded))
                        .toList())
                .map(Occupancy.Lack::mostOver)
                .orElse(0.0);
    }

    private static double relief(BatchOutlook batch, List<Stay> then, Crowded crowded) {
        return crowded.from()
                .datesUntil(crowded.to().plusDays(1))
                .mapToDouble(day -> slots(batch.stays(), crowded.place(), day) - slots(then, crowded.place(), day))
                .reduce(0, Math::max);
    }

    private static double slots(List<Stay> stays, PlaceId place, LocalDate day) {
        return stays.stream()
                .filter(stay -> stay.place().equals(place) && stay.covers(day))
                .mapToDouble(Stay::slots)
                .sum();
    }
}
