package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import kiver.core.batch.BatchStage;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.DateSpread;
import kiver.core.harden.HardeningProgramme;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.plan.Hindrance;
import kiver.core.plan.InPlace;
import kiver.core.plan.Plan;
import kiver.core.promise.Answer;
import kiver.core.sow.SowingOption;
import kiver.core.space.Outlay;
import kiver.core.space.Rates;
import kiver.core.space.Stay;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.Refusal;
import kiver.server.promise.BuyingIn;
import kiver.server.promise.InPlaceBook;
import kiver.server.promise.PromiseService;
import kiver.server.promise.SownInPlace;
import kiver.server.seed.SeedStore;
import kiver.server.space.RateBook;
import org.springframework.stereotype.Component;

/** The three ways in which a line can be met, side by side. */
@Component
class RouteComparison {

    private final OrderEdits edits;
    private final PromiseService promises;
    private final InPlaceBook inPlace;
    private final BatchAnalyst analyst;
    private final CropBook crops;
    private final SeedStore seeds;
    private final RateBook rates;

    RouteComparison(
            OrderEdits edits,
            PromiseService promises,
            InPlaceBook inPlace,
            BatchAnalyst analyst,
            CropBook crops,
            SeedStore seeds,
            RateBook rates) {
        this.edits = edits;
        this.promises = promises;
        this.inPlace = inPlace;
        this.analyst = analyst;
        this.crops = crops;
        this.seeds = seeds;
        this.rates = rates;
    }

    /** What becomes of a batch when its line goes another way. */
    record Freed(int batch, int plants, boolean withdrawn) {}

    /**
     * The ways of a line.
     *
     * @param plants that have not gone yet
     * @param routes raised here, sown in place, bought in
     * @param frees what becomes of its batches when another way is taken
     */
    record RoutesView(int plants, List<RouteView> routes, List<Freed> frees) {}

    /** The ways of a line of which so many plants have not gone yet. */
    RoutesView of(OrderedLine line, int plants) {
        List<BatchOutlook> growing = analyst.of(List.of(line.id())).stream()
                .filter(batch -> batch.stage() != BatchStage.RELEASED && batch.stage() != BatchStage.FAILED)
                .toList();
        Optional<SownInPlace> sown = inPlace.of(line);
        return new RoutesView(
                plants,
                List.of(
                        orWhyNot(Route.RAISED, () -> raised(line, plants, growing)),
                        orWhyNot(Route.IN_PLACE, () -> inPlace(line, plants, sown, growing)),
                        orWhyNot(Route.BOUGHT_IN, () -> boughtIn(line, plants, growing))),
                growing.stream().map(batch -> freed(batch.file(), line)).toList());
    }

    /** One way that cannot be worked out stands beside the others with its reason. */
    private static RouteView orWhyNot(Route route, Supplier<RouteView> way) {
        try {
            return way.get();
        } catch (Refusal refused) {
            return RouteView.refused(route, refused.said());
        }
    }

    private static Freed freed(BatchFile file, OrderedLine line) {
        int gone = file.releasedByLine().getOrDefault(line.id(), 0);
        int promised = file.promises().stream()
                .filter(promise -> promise.line().equals(line.id()))
                .mapToInt(promise -> promise.plants())
                .sum();
        return new Freed(
                file.batch().number(),
                promised - gone,
                gone == 0 && file.promises().size() == 1 && file.state().stage() == BatchStage.PLANNED);
    }

    private RouteView raised(OrderedLine line, int plants, List<BatchOutlook> growing) {
        Optional<BatchOutlook> own = growing.stream()
                .filter(batch -> !batch.file().batch().isBoughtIn())
                .findFirst();
        if (own.isPresent()) {
            return standing(Route.RAISED, line, own.get());
        }
        PromiseService.Checked checked = promises.check(PromiseService.wishFor(line, plants, line.target()), false);
        Plan plan = checked.promise().plan();
        Optional<Outlay> outlay = plan.chosen()
                .map(option -> Outlay.of(
                        checked.prepared().request().containers(),
                        option,
                        plan.plantsToAimFor(),
                        checked.promise().stays(),
                        rates.rates()));
        return new RouteView(
                Route.RAISED,
                false,
                checked.promise().answer() != Answer.NO,
                plan.sowDay().orElse(null),
                null,
                plan.ready().orElse(null),
                plan.chance(),
                outlay.map(Outlay::cost).orElse(null),
                outlay.map(Outlay::mostSlots).orElse(0.0),
                outlay.map(Outlay::seeds).orElse(0),
                null,
                checked.promise().reasons(),
                List.of(),
                null,
                List.of());
    }

    private RouteView standing(Route route, OrderedLine line, BatchOutlook batch) {
        Batch planned = batch.file().batch();
        boolean begun = batch.file().state().sownOn().isPresent();
        Optional<Outlay> outlay = begun || planned.isBoughtIn() ? Optional.empty() : Optional.of(outlay(batch));
        Optional<Double> price = planned.isBoughtIn() && !begun ? seeds.priceOf(planned.lot()) : Optional.empty();
        return new RouteView(
                route,
                true,
                true,
                batch.file().state().sownOn().orElse(planned.sowDay()),
                null,
                batch.forecast().ready().orElse(null),
                batch.chanceFor(line.id()),
                outlay.map(Outlay::cost)
                        .or(() -> price.map(each -> each * planned.cells()))
                        .orElse(null),
                batch.stays().stream().mapToDouble(Stay::slots).max().orElse(0),
                outlay.map(Outlay::seeds).orElse(0),
                price.orElse(null),
                List.of(),
                List.of(),
                null,
                List.of());
    }

    private Outlay outlay(BatchOutlook batch) {
        Batch planned = batch.file().batch();
        int trays = (int) Math.ceil(planned.cells()
                / (double) batch.containers().containers().get(0).cells());
        SowingOption option = new SowingOption(
                planned.seedsPerCell(),
                planned.cells(),
                trays,
                planned.cells() * planned.seedsPerCell(),
                batch.chances().enough());
        return Outlay.of(batch.containers(), option, planned.plants(), batch.stays(), rates.rates());
    }

    private RouteView inPlace(OrderedLine line, int plants, Optional<SownInPlace> sown, List<BatchOutlook> growing) {
        Crop crop = crops.crop(line.crop());
        Optional<BatchFile> instead = growing.stream()
                .map(BatchOutlook::file)
                .filter(file -> freed(file, line).withdrawn())
                .findFirst();
        InPlaceBook.Planned planned = inPlace.plan(line, plants, instead);
        InPlace outcome = sown.flatMap(each -> inPlace.outlookOf(line, each)).orElse(planned.outcome());
        // Of seed that is set aside already there is enough.
        List<Hindrance> hindrances = outcome
                .hindrance()
                .filter(hindrance -> sown.isEmpty() || hindrance instanceof Hindrance.GroundNeverFit)
                .stream()
                .toList();
        return new RouteView(
                Route.IN_PLACE,
                sown.isPresent(),
                hindrances.isEmpty(),
                sown.map(SownInPlace::sowFrom).or(outcome::from).orElse(null),
                sown.map(SownInPlace::sowUntil).or(outcome::until).orElse(null),
                outcome.atStage().orElse(null),
                outcome.chance(),
                seedCost(outcome.seeds()),
                0,
                outcome.seeds(),
                null,
                List.of(),
                hindrances,
                null,
                hindrances.isEmpty()
                        ? SowingLines.of(crop, outcome.spots(), outcome.seedsPerSpot(), outcome.up())
                        : List.of());
    }

    private double seedCost(int count) {
        Rates rate = rates.rates();
        return Math.ceil(count * (1 + rate.seedWaste())) / 1000 * rate.seedPerThousand();
    }

    private RouteView boughtIn(OrderedLine line, int plants, List<BatchOutlook> growing) {
        Optional<BatchOutlook> own = growing.stream()
                .filter(batch -> batch.file().batch().isBoughtIn())
                .findFirst();
        if (own.isPresent()) {
            return standing(Route.BOUGHT_IN, line, own.get());
        }
        Crop crop = crops.crop(line.crop());
        HardeningProgramme programme = BuyingIn.hardeningOf(crop);
        LocalDate arrives = line.target().minusDays(programme.days());
        boolean inTime = !arrives.isBefore(edits.today());
        int bought = BuyingIn.plantsToBuy(plants, crop);
        Container container = crops.container(line.container());
        double slots = container.slots() * Math.ceil(bought / (double) container.cells());
        Optional<Double> price = seeds.lastPriceOf(line.crop().written());
        return new RouteView(
                Route.BOUGHT_IN,
                false,
                inTime,
                arrives,
                null,
                new DateSpread(line.target(), line.target(), line.target()),
                inTime
                        ? crop.learnt().living().chanceOfAtLeast(bought, (int)
                                Math.ceil(plants * (1 - line.under()) - 1e-9))
                        : 0,
                price.map(each -> each * bought
                                + slots * programme.days() / 7.0 * rates.rates().slotWeek())
                        .orElse(null),
                slots,
                0,
                price.orElse(null),
                List.of(),
                List.of(),
                null,
                List.of());
    }
}
