package kiver.core.promise;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import kiver.core.crop.Container;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.PestTime;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.CountBack;
import kiver.core.plan.Plan;
import kiver.core.plan.PlanRequest;
import kiver.core.plan.Planner;
import kiver.core.plan.SeedlingLight;
import kiver.core.plan.SowWindow;
import kiver.core.plan.SowingSeason;
import kiver.core.plan.WinterStand;
import kiver.core.space.Candidate;
import kiver.core.space.Footprint;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import kiver.core.space.Suitability;
import kiver.core.stock.MixStore;
import org.jspecify.annotations.Nullable;

/** Checks whether an order could be promised beside all that is promised already. */
public final class PromiseCheck {

    /** A yes is right in at least four cases of five. */
    public static final double SURE_ENOUGH = 0.8;

    /** A way that costs so much more than the best is not taken only for its room; see {@link Suitability}. */
    private static final double MUCH_WORSE = 25;

    private static final int FURTHEST_DATE = 60;

    /** Days that looked like a yes and are asked again in full, for each direction. */
    private static final int MOST_ASKED_AGAIN = 8;

    private static final int MOST_CONTAINERS_OFFERED = 2;
    /** Bags are not had from one day to the next. */
    private static final int DAYS_TO_BUY = 7;

    private final MixAhead mix;
    private final Season season;
    private final Occupancy occupancy;
    private final List<Container> containers;
    private final Supplier<List<SiteChoice>> sites;

    /**
     * A check.
     *
     * @param season to look into
     * @param occupancy by all batches that are planned or growing
     * @param containers that may be offered instead
     * @param sites that may be offered instead; only asked for when the site is what stands in the way
     */
    public PromiseCheck(
            Season season, Occupancy occupancy, List<Container> containers, Supplier<List<SiteChoice>> sites) {
        this(season, occupancy, containers, sites, MixAhead.NOT_KEPT);
    }

    private PromiseCheck(
            Season season,
            Occupancy occupancy,
            List<Container> containers,
            Supplier<List<SiteChoice>> sites,
            MixAhead mix) {
        this.mix = mix;
        this.season = season;
        this.occupancy = occupancy;
        this.containers = List.copyOf(containers);
        this.sites = sites;
    }

    /** The same with mix looked at, too. */
    public PromiseCheck withMix(MixAhead ahead) {
        return new PromiseCheck(season, occupancy, containers, sites, ahead);
    }

    /** The answer to a request, with offers where it is not a plain yes. */
    public Promise check(PlanRequest request) {
        return check(request, true);
    }

    /** The answer alone. */
    public Promise answer(PlanRequest request) {
        return check(request, false);
    }

    private Promise check(PlanRequest request, boolean withOffers) {
        Optional<Candidate> roomy = Optional.empty();
        List<Candidate> candidates = new Suitability(season, request.crop(), request.path())
                .candidates(
                        request.line().target(),
                        request.today(),
                        slots(request, request.line().plants()));
        for (Candidate candidate : candidates) {
            if (candidate.cost() <= candidates.get(0).cost() + MUCH_WORSE
                    && occupancy.lackFor(candidate.stays()).isEmpty()) {
                roomy = Optional.of(candidate);
                break;
            }
        }
        Way way = roomy.orElse(candidates.get(0)).way();
        CountBack countBack = countBack(request.path(), request, way);
        Plan plan = Planner.plan(request, countBack, season.firstDay(), season.lastDay());
        List<Stay> stays = stays(
                request,
                way,
                plan.sowDay().orElse(request.today()),
                request.line().target(),
                trueSlots(request, plan));
        List<Occupancy.Lack> lacks = occupancy.lacksFor(stays, List.of());
        Optional<Occupancy.Lack> lack = occupancy.lackFor(stays);
        List<Proviso> conditions = new ArrayList<>();
        List<Proviso> reasons = new ArrayList<>();
        StandsInTheWay.sortOut(plan, lacks, conditions, reasons);
        List<MixStore.ToBuy> toBuy = mix.toBuy(fillings(request, plan));
        if (reasons.isEmpty()) {
            toBuy.stream()
                    .filter(each -> !each.by().isAfter(request.today().plusDays(DAYS_TO_BUY)))
                    .forEach(each -> conditions.add(
                            new Proviso.MixToBuy(each.ingredient().name(), each.bags(), each.by())));
        }
        Answer answer = !reasons.isEmpty() ? Answer.NO : conditions.isEmpty() ? Answer.YES : Answer.YES_IF;
        List<Offer> offers =
                answer == Answer.YES || !withOffers ? List.of() : offers(request, way, countBack, plan, lack);
        return new Promise(
                answer,
                plan,
                way,
                stays,
                lack,
                conditions,
                reasons,
                offers,
                request.outdoors().map(outdoors -> SowingSeason.of(outdoors, countBack, request.today())),
                plan.winter().map(winter -> coldWinters(request, way, winter)).orElse(0.0));
    }

    /** In how many winters what stands over winter must be covered or brought in. */
    private double coldWinters(PlanRequest request, Way way, WinterStand winter) {
        return season.chanceOfNightBelow(
                way.hardening(), request.crop().hardiness().floor(), winter.restsFrom(), winter.growsFrom());
    }

    /** What the plan fills: cells when it is sown, pots at each potting. */
    private static List<MixAhead.Filling> fillings(PlanRequest request, Plan plan) {
        List<MixAhead.Filling> fillings = new ArrayList<>();
        if (plan.chosen().isEmpty() || plan.sowDay().isEmpty()) {
            return fillings;
        }
        List<Container> containers = request.containers().containers();
        for (int index = 0; index < containers.size(); index++) {
            boolean sown = index == 0;
            LocalDate day = sown
                    ? plan.sowDay().get()
                    : index <= plan.pottings().size()
                            ? plan.pottings().get(index - 1).middle()
                            : request.line().target();
            int cells = sown ? plan.chosen().get().cells() : request.line().plants();
            fillings.add(new MixAhead.Filling(day, containers.get(index), cells, sown));
        }
        return fillings;
    }

    /** Whether exactly this would be answered with a plain yes. */
    private Optional<Promise> plainYes(PlanRequest request) {
        return Optional.of(answer(request)).filter(promise -> promise.answer() == Answer.YES);
    }

    private List<Offer> offers(
            PlanRequest request, Way way, CountBack countBack, Plan plan, Optional<Occupancy.Lack> lack) {
        List<Offer> offers = new ArrayList<>();
        double enough = plan.chosen().map(option -> option.chance()).orElse(0.0);
        boolean seedShort = plan.obstacles().stream().anyMatch(StandsInTheWay::isOfSeed);
        if (!seedShort) {
            dayOffer(request, way, countBack, plan, enough, 1).ifPresent(offers::add);
            dayOffer(request, way, countBack, plan, enough, -1).ifPresent(offers::add);
        }
        if (plan.window().isPresent() && (seedShort || lack.isPresent())) {
            quantityOffer(request, way, plan, lack).ifPresent(offers::add);
        }
        if (plan.obstacles().stream().anyMatch(StandsInTheWay::isOfTheSite)) {
            sites.get().stream()
                    .filter(site -> welcomes(site.outdoors(), request.line().target()))
                    .limit(2)
                    .forEach(site -> plainYes(request.at(site.outdoors()))
                            .ifPresent(yes -> offers.add(offer(
                                    site.protection().isPresent() ? Offer.Change.PROTECTION : Offer.Change.SITE,
                                    request.line().target(),
                                    request.line().plants(),
                                    request.containers().last(),
                                    site,
                                    yes.plan().chance()))));
        }
        if (!seedShort) {
            offers.addAll(containerOffers(request, way, enough));
        }
        return offers;
    }

    /** The nearest day, later or earlier, on which all would be well. */
    private Optional<Offer> dayOffer(
            PlanRequest request, Way way, CountBack countBack, Plan plan, double enough, int direction) {
        List<Double> slots = trueSlots(request, plan);
        int asked = 0;
        for (int away = 1; away <= FURTHEST_DATE && asked < MOST_ASKED_AGAIN; away++) {
            // What was asked in full and is none is near; each such day makes the next step longer.
            LocalDate target = request.line().target().plusDays((long) direction * away);
            if (target.isBefore(request.today())
                    || target.isAfter(season.lastDay().minusDays(7))) {
                break;
            }
            if (request.outdoors().map(outdoors -> !welcomes(outdoors, target)).orElse(false)) {
                continue;
            }
            Optional<SowWindow> window = countBack.windowFor(target, request.today());
            if (window.isPresent()
                    && window.get().chance() * enough >= SURE_ENOUGH
                    && countBack.isLit(window.get().best())
                    && occupancy
                            .lackFor(stays(request, way, window.get().best(), target, slots))
                            .isEmpty()) {
                Optional<Promise> yes = plainYes(request.with(request.line().on(target)));
                if (yes.isEmpty()) {
                    away += asked++;
                } else {
                    return Optional.of(offer(
                            Offer.Change.DAY,
                            target,
                            request.line().plants(),
                            request.containers().last(),
                            null,
                            yes.get().plan().chance()));
                }
            }
        }
        return Optional.empty();
    }

    /** The most plants that seed and room allow on the same day. */
    private Optional<Offer> quantityOffer(PlanRequest request, Way way, Plan plan, Optional<Occupancy.Lack> lack) {
        double share = 1;
        if (plan.chosen().isPresent()) {
            share = Math.min(
                    share, request.seedsInStock() / (double) plan.chosen().get().seeds());
        } else {
            return Optional.empty();
        }
        if (lack.isPresent()) {
            double wanted = stays(
                            request,
                            way,
                            plan.sowDay().orElseThrow(),
                            request.line().target(),
                            trueSlots(request, plan))
                    .stream()
                    .filter(stay -> stay.place().equals(lack.get().place().id()))
                    .mapToDouble(Stay::slots)
                    .max()
                    .orElse(1);
            share = Math.min(share, (wanted - lack.get().mostOver()) / wanted);
        }
        for (int plants = roundDown((int) (share * request.line().plants()));
                plants >= 1;
                plants = roundDown((int) (plants * 0.93))) {
            PlanRequest fewer = request.with(request.line().of(plants));
            Optional<Promise> yes = plainYes(fewer);
            if (yes.isPresent()) {
                return Optional.of(offer(
                        Offer.Change.QUANTITY,
                        request.line().target(),
                        plants,
                        request.containers().last(),
                        null,
                        yes.get().plan().chance()));
            }
            if (plants < 10) {
                break;
            }
        }
        return Optional.empty();
    }

    private List<Offer> containerOffers(PlanRequest request, Way way, double enough) {
        List<Offer> offers = new ArrayList<>();
        LocalDate target = request.line().target();
        if (request.outdoors().map(outdoors -> !welcomes(outdoors, target)).orElse(false)) {
            return offers;
        }
        for (Container container : containers) {
            if (container.kind() == Container.Kind.OPEN
                    || container.equals(request.containers().last())
                    || request.crop().seed().depth() > container.cellDepth() / 2) {
                continue;
            }
            PlanRequest other = request.in(ContainerPath.straight(container));
            if (other.path().leavesLimit() <= other.path().leavesWanted()) {
                continue;
            }
            Optional<SowWindow> window = countBack(other.path(), other, way).windowFor(target, request.today());
            if (window.isPresent()
                    && window.get().chance() * enough >= SURE_ENOUGH
                    && occupancy
                            .lackFor(stays(
                                    other,
                                    way,
                                    window.get().best(),
                                    target,
                                    slots(other, request.line().plants())))
                            .isEmpty()) {
                plainYes(other)
                        .ifPresent(yes -> offers.add(offer(
                                Offer.Change.CONTAINER,
                                target,
                                request.line().plants(),
                                container,
                                null,
                                yes.plan().chance())));
            }
        }
        offers.sort((one, another) -> Double.compare(another.chance(), one.chance()));
        return offers.stream().limit(MOST_CONTAINERS_OFFERED).toList();
    }

    private static boolean welcomes(OutdoorSeason outdoors, LocalDate target) {
        return !outdoors.soilNeverWarm()
                && !target.isBefore(outdoors.from())
                && outdoors.chanceOfHarm(target) <= OutdoorSeason.FROST_ACCEPTED
                && outdoors.pestsOn(target).stream().allMatch(PestTime::coverHelps)
                && outdoors.until().map(until -> !target.isAfter(until)).orElse(true);
    }

    private static Offer offer(
            Offer.Change change,
            LocalDate target,
            int plants,
            Container container,
            @Nullable SiteChoice site,
            double chance) {
        return new Offer(
                change,
                target,
                plants,
                container.code(),
                site == null ? "" : site.key(),
                site == null ? null : site.protection().orElse(null),
                Math.min(1, chance));
    }

    private CountBack countBack(Path path, PlanRequest request, Way way) {
        return new CountBack(
                path,
                scenarios(request, way),
                season.manyFreshDraws(
                        way,
                        request.crop().development(),
                        request.crop().learnt().paces()),
                season.firstDay(),
                SeedlingLight.at(season, way.growingOn(), request.crop().leaves()));
    }

    private List<Scenario> scenarios(PlanRequest request, Way way) {
        return season.scenarios(
                way, request.crop().development(), request.crop().learnt().paces());
    }

    private List<Stay> stays(PlanRequest request, Way way, LocalDate sowDay, LocalDate target, List<Double> slots) {
        double time = sowDay.toEpochDay() - season.firstDay().toEpochDay();
        LocalDate leaves = target.isBefore(sowDay) ? sowDay : target;
        return new Footprint(request.path(), way, slots).from(Standing.sownAt(time), scenarios(request, way), leaves);
    }

    /** The room that a plan's trays take. */
    private static List<Double> trueSlots(PlanRequest request, Plan plan) {
        return plan.chosen()
                .map(option -> request.containers().slots(option.cells(), plan.plantsToAimFor()))
                .orElseGet(() -> slots(request, request.line().plants()));
    }

    /** About the room that so many plants take, before cells are counted. */
    private static List<Double> slots(PlanRequest request, int plants) {
        int aim = request.allowances().plantsToAimFor(plants);
        return request.containers().slots((int) Math.ceil(aim * 1.15), aim);
    }

    private static int roundDown(int plants) {
        return plants >= 100 ? plants / 10 * 10 : plants >= 20 ? plants / 5 * 5 : plants;
    }
}
