package kiver.server.promise;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.CountedIn;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.Sowing;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import kiver.server.batch.BatchBook;
import kiver.server.batch.NewBatch;
import kiver.server.batch.TrayLayout;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.plan.Wish;
import kiver.server.problem.Refusal;
import kiver.server.promise.BuyingInController.BuyingEntry;
import kiver.server.seed.SeedStore;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Plans batches whose plants somebody else raises: they begin with the leaves they come with, and harden here. */
@Service
public class BuyingIn {

    /** K by which a heated house is warmer than what awaits them. */
    private static final double FROM_A_HEATED_HOUSE = 8;

    private final PromiseService promises;
    private final Bookings bookings;
    private final BatchBook batches;
    private final OrderBook orders;
    private final InPlaceBook inPlace;
    private final SeedStore seeds;
    private final CropBook crops;
    private final TrayLayout layout;
    private final NurseryClock clock;

    BuyingIn(
            PromiseService promises,
            Bookings bookings,
            BatchBook batches,
            OrderBook orders,
            InPlaceBook inPlace,
            SeedStore seeds,
            CropBook crops,
            TrayLayout layout,
            NurseryClock clock) {
        this.promises = promises;
        this.bookings = bookings;
        this.batches = batches;
        this.orders = orders;
        this.inPlace = inPlace;
        this.seeds = seeds;
        this.crops = crops;
        this.layout = layout;
        this.clock = clock;
    }

    /** Plans them, promises what a line still lacks of them, and answers the batch's number. */
    @Transactional
    int buy(BuyingEntry entry) {
        return bookings.once(entry.requestId(), Arrays.asList("buy in", entry), () -> {
            bookings.oneAtATime();
            Optional<OrderedLine> line = lineOf(entry);
            int batch = plan(entry.wish(), entry.consignment());
            line.ifPresent(each -> bookings.promise(
                    each.id(), batch, Math.min(missing(each), entry.wish().plants()), Optional.empty()));
            return batch;
        });
    }

    /** Plans them for so many plants of a line, within the edit that goes over to them. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void buyFor(OrderedLine line, int plants, Consignment consignment) {
        bookings.promise(
                line.id(),
                plan(PromiseService.wishFor(line, plants, line.target()), consignment),
                plants,
                Optional.empty());
    }

    /** Plants to buy so that enough of them live to be handed over. */
    public static int plantsToBuy(int plants, Crop crop) {
        return (int) Math.ceil(plants / crop.learnt().living().mean());
    }

    private Optional<OrderedLine> lineOf(BuyingEntry entry) {
        if (entry.order() == null) {
            return Optional.empty();
        }
        OrderedLine line = orders.order(entry.order()).line(entry.line() == null ? 1 : entry.line());
        if (line.cancelledOn() != null) {
            throw new Refusal(
                    "line",
                    Said.of("Line {position}, {variety}, is cancelled.")
                            .with("position", line.position())
                            .with("variety", line.variety()));
        }
        if (line.varietyId() != entry.wish().varietyId()) {
            throw new Refusal(
                    "varietyId",
                    Said.of("Line {position} asks for {variety}.")
                            .with("position", line.position())
                            .with("variety", line.variety()));
        }
        if (missing(line) < 1) {
            throw new Refusal(
                    "line",
                    Said.of("All plants of line {position} are promised already.")
                            .with("position", line.position()));
        }
        return Optional.of(line);
    }

    private int missing(OrderedLine line) {
        return line.plants()
                - batches.filesOf(List.of(line.id())).stream()
                        .flatMap(file -> file.promises().stream())
                        .filter(promise -> promise.line().equals(line.id()))
                        .mapToInt(promise -> promise.plants())
                        .sum()
                - inPlace.of(line).map(SownInPlace::plants).orElse(0);
    }

    private int plan(Wish wish, Consignment consignment) {
        PromiseService.Checked checked = promises.check(wish.along(null), false);
        requireInTime(wish, consignment);
        if (consignment.plants() < wish.plants()) {
            throw new Refusal(
                    "consignment.plants",
                    Said.of("{plants} plants cannot give {wanted}; buy at least as many.")
                            .with("plants", consignment.plants())
                            .with("wanted", wish.plants()));
        }
        Container first = crops.container(consignment.container());
        Container last = crops.container(wish.container());
        boolean potted = !first.code().equals(last.code());
        if (first.kind() == Container.Kind.OPEN || (potted && last.cellVolume() <= first.cellVolume())) {
            throw new Refusal(
                    "consignment.container",
                    Said.of("Plants in the {first} cannot go out in the {last}.")
                            .with("first", first.name())
                            .with("last", last.name()));
        }
        // They come up elsewhere, so that they stand where they grow on from the first day.
        Way way = checked.promise().way();
        LotId lot = seeds.addConsignment(
                consignment.code() == null ? "" : consignment.code().strip(),
                wish.varietyId(),
                consignment.supplier().strip(),
                consignment.arrives(),
                consignment.plants(),
                consignment.price());
        return batches.add(
                new NewBatch(
                        wish.varietyId(),
                        new Sowing(lot, 1, consignment.plants(), wish.plants()),
                        BatchPlan.of(
                                consignment.arrives(),
                                null,
                                new Way(way.growingOn(), way.growingOn(), way.hardening()),
                                potted ? ContainerPath.Kind.POTTED_ONCE : ContainerPath.Kind.STRAIGHT,
                                potted ? List.of(first.code(), last.code()) : List.of(last.code())),
                        hardeningOf(checked.prepared().request().crop()),
                        wish.line(clock.today()).counting(CountedIn.PLANTS),
                        consignment.leaves()),
                layout.runs(first.code(), consignment.plants()));
    }

    /** Nobody here knows how warm they were raised: they are hardened as if it had been a heated house. */
    public static HardeningProgramme hardeningOf(Crop crop) {
        return HardeningProgramme.usualFor(crop.hardiness(), FROM_A_HEATED_HOUSE, 1);
    }

    private void requireInTime(Wish wish, Consignment consignment) {
        LocalDate today = clock.today();
        if (consignment.arrives().isBefore(today)) {
            throw new Refusal(
                    "consignment.arrives",
                    Said.of("This day has passed; today is {today}.").with("today", today));
        }
        if (consignment.arrives().isAfter(wish.target())) {
            throw new Refusal(
                    "consignment.arrives",
                    Said.of("They would arrive after {target}, when they are wanted.")
                            .with("target", wish.target()));
        }
        if (consignment.leaves() > wish.leavesTo()) {
            throw new Refusal(
                    "consignment.leaves",
                    Said.of("They would come with more than the {most} true leaves that are wanted.")
                            .with("most", wish.leavesTo()));
        }
    }
}
