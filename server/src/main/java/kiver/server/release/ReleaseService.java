package kiver.server.release;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchStage;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.release.Allocation;
import kiver.core.release.Pick;
import kiver.core.release.ReadySample;
import kiver.core.release.ReadyTray;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchAnalyst;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.promise.InPlaceBook;
import kiver.server.promise.SownInPlace;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
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
    private final InPlaceBook inPlace;
    private final SiteAdvice advice;
    private final LookedAtBook lookedAt;
    private final HealthBook health;
    private final ReleaseMessages messages;
    private final Requests requests;
    private final NurseryClock clock;

    ReleaseService(
            BatchBook batches,
            BatchAnalyst analyst,
            OrderBook orders,
            TrayBook trays,
            ReleaseMapper releases,
            InPlaceBook inPlace,
            SiteAdvice advice,
            LookedAtBook lookedAt,
            HealthBook health,
            ReleaseMessages messages,
            Requests requests,
            NurseryClock clock) {
        this.batches = batches;
        this.analyst = analyst;
        this.orders = orders;
        this.trays = trays;
        this.releases = releases;
        this.inPlace = inPlace;
        this.advice = advice;
        this.lookedAt = lookedAt;
        this.health = health;
        this.messages = messages;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * The releases of some orders, with what left with each; one of no plants was taken back.
     *
     * @param of whose
     * @param files batches of which plants may have left
     */
    public List<Release> releases(List<Order> of, List<BatchFile> files) {
        Map<LineId, Integer> positions = of.stream()
                .flatMap(order -> order.lines().stream())
                .collect(Collectors.toMap(OrderedLine::id, OrderedLine::position));
        Map<Long, Map<Integer, Integer>> plants = new HashMap<>();
        for (BatchFile file : files) {
            file.releases()
                    .forEach(gone -> plants.computeIfAbsent(gone.release(), release -> new TreeMap<>())
                            .merge(positions.getOrDefault(gone.line(), 0), file.plantsOf(gone), Integer::sum));
        }
        inPlace.of(positions.keySet()).values().stream()
                .filter(SownInPlace::isHandedOver)
                .forEach(sown -> plants.computeIfAbsent((long) sown.release(), release -> new TreeMap<>())
                        .merge(positions.get(sown.lineId()), sown.plants(), Integer::sum));
        return releases.ofOrders(of.stream().map(Order::id).toArray(Long[]::new)).stream()
                .map(each -> new Release(
                        each.number(),
                        each.orderNumber(),
                        each.day(),
                        plants.getOrDefault((long) each.number(), Map.of()).entrySet().stream()
                                .map(part -> new Release.Part(part.getKey(), part.getValue()))
                                .toList()))
                .toList();
    }

    /** Plants that have gone with each line, by its number in the database; one of which nothing has gone is missing. */
    public static Map<LineId, Integer> releasedByLine(List<BatchOutlook> all) {
        Map<LineId, Integer> released = new HashMap<>();
        all.forEach(batch ->
                batch.file().releasedByLine().forEach((line, plants) -> released.merge(line, plants, Integer::sum)));
        return released;
    }

    /**
     * The same with the plants for which seed has gone, to be sown in place.
     *
     * @param lines that are asked about
     * @param all batches promised to them
     */
    Map<LineId, Integer> goneByLine(Collection<LineId> lines, List<BatchOutlook> all) {
        Map<LineId, Integer> gone = releasedByLine(all);
        inPlace.of(lines).values().stream()
                .filter(SownInPlace::isHandedOver)
                .forEach(sown -> gone.merge(sown.lineId(), sown.plants(), Integer::sum));
        return gone;
    }

    /** What would go with a line: plants of batches promised to it that are ready. */
    public List<Pick> propose(OrderedLine line, List<BatchOutlook> all, int missing) {
        if (missing < 1) {
            return List.of();
        }
        return Allocation.propose(missing, ReadyPlants.forLine(line.id(), all, false, Set.of(), trays.containers()));
    }

    /**
     * Plants to let go with one line.
     *
     * @param line position on the order
     * @param plants under their name, 0 or more
     * @param mixed plants of which nobody is sure what they are, 0 or more
     * @param sample what was seen of them
     * @param chosen cells that were picked for it; empty to let them be chosen
     */
    public record Parting(int line, int plants, int mixed, ReadySample sample, List<Chosen> chosen) {

        /** Of plants that are chosen when they go. */
        public Parting(int line, int plants, int mixed, ReadySample sample) {
            this(line, plants, mixed, sample, List.of());
        }
    }

    /** Cells picked from a tray, by its number. */
    public record Chosen(int tray, List<Integer> cells) {}

    /**
     * Lets plants go with an order.
     *
     * @param requestId the same on every retry
     * @param orderNumber the order
     * @param partings how many with which of its lines; 1 or more each and not more than are ready
     * @param seedOf lines whose seed goes, to be sown in place
     * @param recordedBy account number, or null for the nursery's simulated hands
     * @return the number of the release
     */
    @Transactional
    public int release(UUID requestId, int orderNumber, List<Parting> partings, List<Integer> seedOf, Long recordedBy) {
        return (int) requests.once(
                requestId, Arrays.asList("release", orderNumber, partings, seedOf, recordedBy), () -> {
                    Order order = orders.orderHeld(orderNumber);
                    requireEachLineOnce(partings, seedOf);
                    lockBatchesOf(order);
                    List<LineId> lines =
                            order.lines().stream().map(OrderedLine::id).toList();
                    List<BatchOutlook> all = analyst.of(lines);
                    Map<LineId, Integer> gone = goneByLine(lines, all);
                    Set<Cell> taken = new HashSet<>();
                    Map<Integer, List<BatchChange>> changes = new TreeMap<>();
                    LocalDate today = clock.today();
                    int number = releases.insert(order.id(), today);
                    for (Parting parting : partings) {
                        OrderedLine line = order.line(parting.line());
                        requireToBeHad(line, parting, gone.getOrDefault(line.id(), 0));
                        for (boolean mixed : List.of(false, true)) {
                            int plants = mixed ? parting.mixed() : parting.plants();
                            if (plants > 0) {
                                List<ReadyTray> ready =
                                        ReadyPlants.forLine(line.id(), all, mixed, taken, trays.containers());
                                requireReady(line, plants, mixed, ready);
                                List<Pick> picks = mixed || parting.chosen().isEmpty()
                                        ? Allocation.propose(plants, ready)
                                        : picked(line, parting, all, taken);
                                for (Pick pick : picks) {
                                    pick.cells().forEach(cell -> taken.add(new Cell(pick.tray(), cell)));
                                    changes.computeIfAbsent(pick.batch(), batch -> new ArrayList<>())
                                            .add(new BatchChange.Released(
                                                    number, line.id(), pick.tray(), pick.cells(), mixed));
                                }
                            }
                        }
                        lookedAt.put(
                                number, line.id(), new LookedAtBook.LookedAt(parting.sample(), advice.of(line, today)));
                        health.keep(number, line);
                    }
                    seedOf.forEach(line -> inPlace.handOver(order.line(line), number));
                    changes.forEach((batch, parts) -> batches.record(batch, today, parts, recordedBy, requestId));
                    messages.write(
                            order,
                            number,
                            today,
                            partings.stream()
                                    .map(parting -> new ReleaseMessages.Left(
                                            parting.plants() + parting.mixed(),
                                            order.line(parting.line()).variety()))
                                    .toList());
                    return number;
                });
    }

    /**
     * Holds the batches that an order's plants come from, so that nobody takes of them between the look and the taking; in
     * the order of their numbers, so that two releases cannot wait for each other.
     */
    private void lockBatchesOf(Order order) {
        Set<LineId> lines = order.lines().stream().map(OrderedLine::id).collect(Collectors.toSet());
        batches.filesOf(lines).stream()
                .map(file -> file.batch().number())
                .sorted()
                .forEach(batches::lock);
    }

    private static void requireEachLineOnce(List<Parting> partings, List<Integer> seedOf) {
        if (partings.isEmpty() && seedOf.isEmpty()) {
            throw new Refusal("lines", Said.of("Say how many plants go with which line."));
        }
        if (partings.stream().map(Parting::line).distinct().count() < partings.size()) {
            throw new Refusal("lines", Said.of("Name each line once."));
        }
    }

    private static void requireToBeHad(OrderedLine line, Parting parting, int released) {
        if (line.cancelledOn() != null) {
            throw new Refusal(
                    "lines",
                    Said.of("Line {position}, {variety}, is cancelled.")
                            .with("position", line.position())
                            .with("variety", line.variety()));
        }
        int plants = parting.plants() + parting.mixed();
        if (parting.plants() < 0 || parting.mixed() < 0 || plants < 1) {
            throw new Refusal("plants", Said.of("Release at least 1 plant{of}.").with("of", of(line)));
        }
        int missing = line.plants() - released;
        if (plants > missing) {
            throw new Refusal(
                    "plants",
                    Said.of(
                                    "The order is for {plants} plants{of}, and {released} have gone; release at most {missing} more.")
                            .with("plants", line.plants())
                            .with("of", of(line))
                            .with("released", released)
                            .with("missing", missing));
        }
    }

    private static void requireReady(OrderedLine line, int plants, boolean mixed, List<ReadyTray> ready) {
        int onHand = ready.stream().mapToInt(ReadyTray::plants).sum();
        if (plants <= onHand) {
            return;
        }
        if (mixed) {
            throw new Refusal(
                    "plants",
                    Said.of("Only {onHand} mixed plants{of} are ready; release at most that many.")
                            .with("onHand", onHand)
                            .with("of", of(line)));
        }
        throw new Refusal(
                "plants",
                onHand == 0
                        ? Said.of("No plants{of} are ready now.").with("of", of(line))
                        : Said.of("Only {onHand} plants{of} are ready; release at most that many.")
                                .with("onHand", onHand)
                                .with("of", of(line)));
    }

    /** The cells that somebody picked, if they are all still there and count what is to go. */
    private List<Pick> picked(OrderedLine line, Parting parting, List<BatchOutlook> all, Set<Cell> taken) {
        List<ReadyTray> ready = all.stream()
                .filter(batch -> batch.stage() == BatchStage.READY
                        && batch.file().promises().stream()
                                .anyMatch(promise -> promise.line().equals(line.id())))
                .flatMap(batch -> ReadyPlants.all(batch, false, taken, trays.containers()).stream())
                .toList();
        List<Pick> picks = parting.chosen().stream()
                .map(chosen -> ReadyTray.pick(
                                ready, trays.numbered(chosen.tray()).trayId(), chosen.cells())
                        .orElseThrow(() -> new Refusal(
                                "picks",
                                Said.of(
                                                "Not all plants picked from tray T{tray} are there and ready any more. Load the page again.")
                                        .with("tray", chosen.tray()))))
                .toList();
        if (picks.stream().mapToInt(Pick::plants).sum() != parting.plants()) {
            throw new Refusal("picks", Said.of("The cells picked do not count the plants that are to go."));
        }
        return picks;
    }

    private static Said of(OrderedLine line) {
        return Said.of(" of line {position}, {variety}")
                .with("position", line.position())
                .with("variety", line.variety());
    }

    /** Opens a release for an order, in its number in the database, and answers the number of the note; nothing has left with it yet. */
    public int open(long orderId, LocalDate day) {
        return releases.insert(orderId, day);
    }

    /** The number written on a tray. */
    public String code(TrayId tray) {
        return trays.tray(tray).code();
    }
}
