package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.batch.CellCondition;
import kiver.core.batch.RecordedChange;
import kiver.core.growth.DateSpread;
import kiver.core.release.Allocation;
import kiver.core.release.Pick;
import kiver.core.release.ReadyTray;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchFile;
import kiver.server.clock.NurseryClock;
import kiver.server.grow.BatchAnalysis;
import kiver.server.grow.BatchAnalyst;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.tray.TrayBook;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Chooses plants for due orders and lets them go. */
@Service
public class ReleaseService {

    private final BatchBook batches;
    private final BatchAnalyst analyst;
    private final OrderBook orders;
    private final TrayBook trays;
    private final ReleaseMapper releases;
    private final Requests requests;
    private final NurseryClock clock;

    ReleaseService(
            BatchBook batches,
            BatchAnalyst analyst,
            OrderBook orders,
            TrayBook trays,
            ReleaseMapper releases,
            Requests requests,
            NurseryClock clock) {
        this.batches = batches;
        this.analyst = analyst;
        this.orders = orders;
        this.trays = trays;
        this.releases = releases;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * All releases, with what left with each; one of no plants was taken back.
     *
     * @param files all batches
     */
    public List<Release> releases(List<BatchFile> files) {
        Map<Integer, Integer> plants = new HashMap<>();
        for (BatchFile file : files) {
            for (RecordedChange change : file.state().changes()) {
                if (change.change() instanceof BatchChange.Released gone && !file.state().isCorrected(change.sequence())) {
                    plants.merge((int) gone.release(), file.plantsOf(gone), Integer::sum);
                }
            }
        }
        return releases.all().stream()
                .map(each -> new Release(
                        each.number(), each.orderNumber(), each.day(), plants.getOrDefault(each.number(), 0)))
                .toList();
    }

    /** Plants that have gone with each order, by order number; an order of which nothing has gone is missing. */
    public static Map<Integer, Integer> releasedByOrder(List<Release> made) {
        return made.stream()
                .filter(release -> !release.takenBack())
                .collect(Collectors.toMap(Release::orderNumber, Release::plants, Integer::sum));
    }

    /** What would go with an order: plants of its variety in its container that are ready. */
    public List<Pick> propose(Order order, List<BatchAnalysis> all, int missing) {
        if (missing < 1) {
            return List.of();
        }
        return Allocation.propose(missing, readyTrays(order, all));
    }

    private static List<ReadyTray> readyTrays(Order order, List<BatchAnalysis> all) {
        List<ReadyTray> ready = new ArrayList<>();
        all.stream()
                .filter(batch -> batch.stage() == BatchStage.READY)
                .filter(batch -> batch.file().batch().variety().equals(order.variety())
                        && batch.file().batch().container().equals(order.container()))
                // Plants grown for another order stay with it until it is filled.
                .filter(batch -> batch.file().batch().orderNumber() == order.number())
                .forEach(batch -> batch.file().state().trays().forEach(tray -> ready.addAll(readyOf(batch, tray))));
        return ready;
    }

    /** What is ready in a tray, lot by lot. */
    private static List<ReadyTray> readyOf(BatchAnalysis batch, TrayId tray) {
        BatchFile file = batch.file();
        Map<Long, List<Integer>> byLot = new TreeMap<>();
        for (int cell : file.state().cellsIn(tray, CellCondition.ALIVE)) {
            int sowing = file.state().cells().get(new Cell(tray, cell)).sowing();
            byLot.computeIfAbsent(file.state().sowings().get(sowing).sown().lot(), lot -> new ArrayList<>()).add(cell);
        }
        LocalDate past = batch.forecast().pastLimit().map(DateSpread::middle).orElse(LocalDate.MAX);
        List<ReadyTray> ready = new ArrayList<>();
        byLot.forEach((lot, cells) -> ready.add(new ReadyTray(
                file.batch().number(), lot, tray, cells,
                cells.stream()
                        .map(cell -> Math.max(1, file.state().plants(
                                List.of(file.state().cells().get(new Cell(tray, cell))), file.countsSeedlings())))
                        .toList(),
                past)));
        return ready;
    }

    /**
     * Lets plants go with an order.
     *
     * @param requestId the same on every retry
     * @param orderNumber the order
     * @param plants how many, 1 or more and not more than are ready
     * @param recordedBy account number, or null for the nursery's simulated hands
     * @return the number of the release
     */
    @Transactional
    public int release(UUID requestId, int orderNumber, int plants, Long recordedBy) {
        return (int) requests.once(requestId, Arrays.asList("release", orderNumber, plants, recordedBy), () -> {
            Order order = orders.orderToReleaseFor(orderNumber);
            List<BatchAnalysis> all = analyst.all();
            int released = releasedByOrder(releases(all.stream().map(BatchAnalysis::file).toList()))
                    .getOrDefault(orderNumber, 0);
            List<ReadyTray> ready = readyTrays(order, all);
            int onHand = ready.stream().mapToInt(ReadyTray::plants).sum();
            if (plants < 1) {
                throw new Refusal("plants", "Release at least 1 plant.");
            }
            int missing = order.plants() - released;
            if (onHand == 0 && missing > 0) {
                throw new Refusal("plants", "No plants for this order are ready yet.");
            }
            if (plants > Math.min(onHand, missing)) {
                throw new Refusal("plants", onHand < missing
                        ? "Only " + onHand + " plants for this order are ready; release at most that many."
                        : "The order is for " + order.plants() + " plants and " + released + " have gone; release at most "
                                + missing + " more.");
            }
            LocalDate today = clock.today();
            int number = releases.insert(order.id(), today);
            // Batches are locked in the order of their numbers, so that two releases cannot wait for each other.
            Map<Integer, List<BatchChange>> changes = new TreeMap<>();
            for (Pick pick : Allocation.propose(plants, ready)) {
                changes.computeIfAbsent((int) pick.batch(), batch -> new ArrayList<>())
                        .add(new BatchChange.Released(number, pick.tray(), pick.cells()));
            }
            changes.forEach((batch, parts) -> batches.record(batch, today, parts, recordedBy));
            return number;
        });
    }

    /** The number written on a tray. */
    public String code(TrayId tray) {
        return trays.tray(tray).code();
    }
}
