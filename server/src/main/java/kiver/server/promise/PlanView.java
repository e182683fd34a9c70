package kiver.server.promise;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Season;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.Obstacle;
import kiver.core.plan.Plan;
import kiver.core.plan.SowWindow;
import kiver.core.plan.SowingSeason;
import kiver.core.plan.WinterStand;
import kiver.core.plan.WinterStand.Span;
import kiver.core.promise.Answer;
import kiver.core.promise.Offer;
import kiver.core.promise.Promise;
import kiver.core.promise.Proviso;
import kiver.core.sow.SowingOption;
import kiver.core.space.Outlay;
import kiver.core.space.Rates;

/**
 * A plan and its promise as the screen shows them.
 *
 * @param promise what can be promised
 * @param sowing how it would be sown
 * @param dates of it
 * @param obstacles what stands in the way
 * @param places it would pass through
 * @param path kind of path through containers
 * @param containers of the path, by name
 * @param outlay what it takes of room, seed, mix and work
 * @param crop name
 * @param outdoors when the crop may stand at the site; missing while no site is chosen
 * @param winter how its plants stand over winter, where they do
 */
public record PlanView(
        PossiblePromise promise,
        SowingView sowing,
        PlanDates dates,
        List<Obstacle> obstacles,
        PlacesView places,
        ContainerPath.Kind path,
        List<NamedContainer> containers,
        @Nullable Outlay outlay,
        String crop,
        @Nullable OutdoorView outdoors,
        @Nullable WinterView winter) {

    /**
     * What can be promised.
     *
     * @param answer yes, yes if, or no
     * @param conditions of a yes if
     * @param reasons of a no
     * @param offers that would be a yes
     * @param possible whether the order can be taken
     * @param chance of the whole order in time, 0 to 1
     * @param sources batches that could give it without a sowing of its own
     */
    record PossiblePromise(
            Answer answer,
            List<Proviso> conditions,
            List<Proviso> reasons,
            List<OfferView> offers,
            boolean possible,
            double chance,
            List<Source> sources) {}

    /**
     * How it would be sown.
     *
     * @param plantsToAimFor with spares
     * @param options seeds per cell compared
     * @param chosen of the options
     * @param lot that would be sown
     * @param slots that the trays take on the bench when sown
     */
    record SowingView(
            int plantsToAimFor,
            List<SowingOption> options,
            @Nullable SowingOption chosen,
            @Nullable LotView lot,
            double slots) {}

    /**
     * The days of a plan.
     *
     * @param window of sow days
     * @param windowOpen whether some day is safe on both sides
     * @param emerged when the median seedling shows
     * @param pottings when plants are potted on, in order
     * @param stageReached when there are leaves enough
     * @param ready when hardened
     * @param pastLimit when past its best
     * @param target day on which the plants are wanted
     */
    record PlanDates(
            @Nullable SowWindow window,
            boolean windowOpen,
            @Nullable DateSpread emerged,
            List<DateSpread> pottings,
            @Nullable DateSpread stageReached,
            @Nullable DateSpread ready,
            @Nullable DateSpread pastLimit,
            LocalDate target) {}

    /**
     * How plants stand over winter, and when they can go out.
     *
     * @param restsFrom day from which they make next to no leaves
     * @param growsFrom day on which they begin again
     * @param autumn when they can go out before it
     * @param spring when they can go out after it
     * @param coldWinters share of winters, 0 to 1, in which they must be covered or brought in on some night
     * @param floorCelsius the lowest night that they stand
     */
    record WinterView(
            LocalDate restsFrom,
            LocalDate growsFrom,
            @Nullable Span autumn,
            @Nullable Span spring,
            double coldWinters,
            double floorCelsius) {}

    /**
     * Where it would stand.
     *
     * @param emergence name
     * @param growingOn name
     * @param hardening name
     * @param hardeningDays of the usual programme
     * @param stays room it takes, and when
     * @param all places of the nursery, by name
     */
    record PlacesView(
            String emergence,
            String growingOn,
            String hardening,
            int hardeningDays,
            List<PlannedStay> stays,
            List<NamedPlace> all) {}

    /** A container by its name. */
    record NamedContainer(ContainerCode code, String name) {}

    /** A place by its name. */
    record NamedPlace(long id, String name) {}

    /** Something near that would be a yes; a container and a site by name, where they change. */
    record OfferView(
            Offer.Change change,
            LocalDate target,
            int plants,
            ContainerCode container,
            String containerName,
            @Nullable Long siteId,
            @Nullable String site,
            @Nullable Protection protection,
            double chance) {}

    /** The lot and what is known of it. */
    record LotView(long id, String code, String supplier, double germination, int seedsLeft) {}

    /** Trays at a place for a while; both days inclusive. */
    record PlannedStay(String place, LocalDate from, LocalDate to, double slots) {}

    /** When a crop may stand at a site, beside the rules of thumb. */
    record OutdoorView(
            LocalDate from,
            OutdoorSeason.Reason because,
            double harmedAt,
            @Nullable DateSpread lastFrost,
            @Nullable DateSpread firstFrost,
            @Nullable DateSpread soil,
            double soilWait,
            @Nullable LocalDate until,
            double chanceOfHarm,
            @Nullable LocalDate averageLastFrost,
            @Nullable LocalDate averageFirstFrost,
            @Nullable LocalDate ruleForSowing,
            @Nullable LocalDate ruleForPlanting,
            @Nullable LocalDate ruleForLastPlanting,
            @Nullable LocalDate sowFrom,
            @Nullable LocalDate sowUntil) {

        static OutdoorView of(OutdoorSeason season, SowingSeason sowing, Crop crop, LocalDate target) {
            return new OutdoorView(
                    season.from(),
                    season.fromBecause(),
                    season.threshold(),
                    season.lastFrost().orElse(null),
                    season.firstFrost().orElse(null),
                    season.soil().orElse(null),
                    crop.outdoors().soilWait(),
                    season.until().orElse(null),
                    season.chanceOfHarm(target),
                    season.averageLastFrost().orElse(null),
                    season.averageFirstFrost().orElse(null),
                    season.ruleForSowing(crop).orElse(null),
                    season.ruleForPlanting(crop).orElse(null),
                    season.ruleForLastPlanting(crop).orElse(null),
                    sowing.from().orElse(null),
                    sowing.until().orElse(null));
        }
    }

    static PlanView of(
            PromiseService.Checked checked,
            LocalDate target,
            Rates rates,
            List<Source> sources,
            List<OfferView> offers) {
        Promise promise = checked.promise();
        Plan plan = promise.plan();
        var prepared = checked.prepared();
        var request = prepared.request();
        SowingOption chosen = plan.chosen().orElse(null);
        Season season = prepared.season();
        Optional<Outlay> outlay = plan.chosen()
                .map(option -> Outlay.of(request.containers(), option, plan.plantsToAimFor(), promise.stays(), rates));
        return new PlanView(
                new PossiblePromise(
                        promise.answer(),
                        promise.conditions(),
                        promise.reasons(),
                        offers,
                        plan.isPossible(),
                        plan.chance(),
                        sources),
                new SowingView(
                        plan.plantsToAimFor(),
                        plan.options(),
                        chosen,
                        prepared.lot()
                                .map(lot -> new LotView(
                                        lot.id().number(),
                                        lot.code(),
                                        lot.supplier(),
                                        request.germination().mean(),
                                        lot.seedsLeft()))
                                .orElse(null),
                        chosen == null ? 0 : chosen.trays() * request.sownIn().slots()),
                dates(plan, target),
                plan.obstacles(),
                places(promise, prepared.programme().days(), season),
                request.containers().kind(),
                request.containers().containers().stream()
                        .map(each -> new NamedContainer(each.code(), each.name()))
                        .toList(),
                outlay.orElse(null),
                request.crop().name(),
                request.outdoors()
                        .map(outdoors ->
                                OutdoorView.of(outdoors, promise.sowingSeason().orElseThrow(), request.crop(), target))
                        .orElse(null),
                plan.winter()
                        .map(winter -> winter(winter, promise, request.crop()))
                        .orElse(null));
    }

    private static WinterView winter(WinterStand winter, Promise promise, Crop crop) {
        return new WinterView(
                winter.restsFrom(),
                winter.growsFrom(),
                winter.autumn().orElse(null),
                winter.spring().orElse(null),
                promise.coldWinters(),
                crop.hardiness().floor());
    }

    private static PlanDates dates(Plan plan, LocalDate target) {
        return new PlanDates(
                plan.window().orElse(null),
                plan.window().map(SowWindow::isOpen).orElse(false),
                plan.emerged().orElse(null),
                plan.pottings(),
                plan.stageReached().orElse(null),
                plan.ready().orElse(null),
                plan.pastLimit().orElse(null),
                target);
    }

    private static PlacesView places(Promise promise, int hardeningDays, Season season) {
        return new PlacesView(
                name(season, promise.way().emergence()),
                name(season, promise.way().growingOn()),
                name(season, promise.way().hardening()),
                hardeningDays,
                promise.stays().stream()
                        .map(stay -> new PlannedStay(
                                name(season, stay.place()),
                                stay.from(),
                                stay.until().minusDays(1),
                                stay.slots()))
                        .toList(),
                season.places().stream()
                        .map(each -> new NamedPlace(each.id().number(), each.name()))
                        .toList());
    }

    private static String name(Season season, PlaceId place) {
        return season.place(place).name();
    }
}
