package kiver.server.pot;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
import kiver.core.batch.Grade;
import kiver.core.batch.LossReason;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.tray.Cell;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.stock.Filling;
import kiver.server.stock.Shed;
import kiver.server.stock.StockLedger;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Potting on and pricking out into larger containers, new trays of which are numbered as they are filled. */
@Service
public class PottingService {

    private final BatchBook batches;
    private final TrayBook trays;
    private final CropBook crops;
    private final Requests requests;
    private final NurseryClock clock;
    private final StockLedger stock;
    private final Filling filling;
    private final Shed shed;

    PottingService(
            BatchBook batches,
            TrayBook trays,
            CropBook crops,
            Requests requests,
            NurseryClock clock,
            StockLedger stock,
            Filling filling,
            Shed shed) {
        this.shed = shed;
        this.stock = stock;
        this.filling = filling;
        this.batches = batches;
        this.trays = trays;
        this.crops = crops;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * Plants that go on.
     *
     * @param trays they stand in; empty for all trays whose plants stand in something smaller
     * @param container code of what they are potted into
     * @param plants how many, 1 or more
     */
    public record Potted(List<TrayId> trays, ContainerCode container, int plants) {}

    /**
     * Plants that were parted from the others while they were potted.
     *
     * @param small of those potted
     * @param spare of those potted
     * @param culled thrown out beside those potted
     */
    public record Parted(int small, int spare, int culled) {
        /** All of them alike, none thrown out. */
        public static final Parted NOT = new Parted(0, 0, 0);
    }

    /**
     * Records that plants were potted on.
     *
     * @param requestId the same on every retry
     * @param number of the batch
     * @param day on which it happened, or null for today
     * @param potted what went where
     * @param parted how they were parted; those potted are among {@code potted}
     * @param mix number of the mix that the pots were filled from; null where it has none
     * @param by account number, or null for the nursery's simulated hands
     * @throws Refusal when the container is no larger, the plants are not there or the day is still to come
     */
    @Transactional
    public void pot(
            UUID requestId, int number, LocalDate day, Potted potted, Parted parted, @Nullable Integer mix, Long by) {
        LocalDate happened = day == null ? clock.today() : day;
        if (happened.isAfter(clock.today())) {
            throw new Refusal("day", Said.of("This day is still to come."));
        }
        // What says neither of a mix nor of grades keeps the digest that it had before there were any.
        List<Object> content = new ArrayList<>(Arrays.asList("pot", number, happened, potted, by));
        if (mix != null) {
            content.add(mix);
        }
        if (!parted.equals(Parted.NOT)) {
            content.add(parted);
        }
        requests.once(requestId, content, () -> {
            batches.lock(number);
            Container into = crops.container(potted.container());
            BatchState state = batches.file(number).state();
            List<Cell> plants = plants(state, into, potted, parted);
            batches.record(number, happened, changes(state, into, plants, potted.plants(), parted), by, requestId);
            shed.potted(into, potted.plants(), happened, number, by, requestId);
            if (mix != null) {
                filling.fill(stock.mixOrRefuse(mix), number, filled(into, plants, potted), happened, by, requestId);
            }
            return number;
        });
    }

    /** What went into the pots beside the plugs; what is pricked out of an open tray brings none. */
    private List<Filling.Filled> filled(Container into, List<Cell> plants, Potted potted) {
        Map<Double, Integer> byPlug = new TreeMap<>();
        plants.subList(0, potted.plants()).forEach(plant -> {
            Container from = crops.container(trays.tray(plant.tray()).container());
            byPlug.merge(from.kind() == Container.Kind.OPEN ? 0 : from.cellVolume(), 1, Integer::sum);
        });
        return byPlug.entrySet().stream()
                .map(each -> new Filling.Filled(into, each.getValue(), each.getKey()))
                .toList();
    }

    /** The plants that are looked at: those potted, then those thrown out. */
    private List<Cell> plants(BatchState state, Container into, Potted potted, Parted parted) {
        List<TrayId> from = potted.trays().isEmpty() ? smallerTrays(state, into) : potted.trays();
        List<Cell> plants = new ArrayList<>();
        for (TrayId tray : from) {
            Container present = crops.container(trays.tray(tray).container());
            if (into.cellVolume() <= present.cellVolume()) {
                throw new Refusal(
                        "container",
                        Said.of("{into} is no larger than what they stand in; the pot must be larger than the plug.")
                                .with("into", into.name()));
            }
            state.cellsIn(tray, CellCondition.ALIVE).forEach(cell -> plants.add(new Cell(tray, cell)));
        }
        if (parted.small() + parted.spare() > potted.plants()) {
            throw new Refusal(
                    "small",
                    Said.of(
                                    "{parted} small and spare plants are more than the {plants} that were potted; they are part of those.")
                            .with("parted", parted.small() + parted.spare())
                            .with("plants", potted.plants()));
        }
        int taken = potted.plants() + parted.culled();
        if (taken > plants.size()) {
            throw new Refusal(
                    "plants",
                    Said.of(
                                    "{from}{either, select, true { holds } other { hold }}{plants} living plants of this batch, not {plants2}.")
                            .with(
                                    "from",
                                    from.stream()
                                            .map(tray -> trays.tray(tray).code())
                                            .collect(Collectors.joining(", ")))
                            .when("either", from.size() == 1)
                            .with("plants", plants.size())
                            .with("plants2", taken));
        }
        return plants.subList(0, taken);
    }

    /** Each grade into carriers of its own, so that one label tells what stands in them. */
    private List<BatchChange> changes(BatchState state, Container into, List<Cell> plants, int potted, Parted parted) {
        int standard = potted - parted.small() - parted.spare();
        List<BatchChange> changes = new ArrayList<>();
        changes.addAll(carriers(state, into, plants.subList(0, standard), Grade.STANDARD));
        changes.addAll(carriers(state, into, plants.subList(standard, standard + parted.small()), Grade.SMALL));
        changes.addAll(carriers(state, into, plants.subList(standard + parted.small(), potted), Grade.SPARE));
        Map<TrayId, List<Integer>> culled = new LinkedHashMap<>();
        plants.subList(potted, plants.size())
                .forEach(plant -> culled.computeIfAbsent(plant.tray(), tray -> new ArrayList<>())
                        .add(plant.number()));
        culled.forEach((tray, cells) -> changes.add(new BatchChange.Lost(tray, cells, LossReason.TOO_WEAK)));
        return changes;
    }

    private List<TrayId> smallerTrays(BatchState state, Container into) {
        List<TrayId> smaller = state.trays().stream()
                .filter(tray -> !state.cellsIn(tray, CellCondition.ALIVE).isEmpty())
                .filter(tray -> crops.container(trays.tray(tray).container()).cellVolume() < into.cellVolume())
                .toList();
        if (smaller.isEmpty()) {
            throw new Refusal(
                    "container",
                    Said.of("No plant of this batch stands in anything smaller than {into}.")
                            .with("into", into.name()));
        }
        return smaller;
    }

    /** Fills carriers one after the other, the last one begun before first, whichever trays the plants come from. */
    private List<BatchChange> carriers(BatchState state, Container into, List<Cell> plants, Grade grade) {
        List<BatchChange> changes = new ArrayList<>();
        Optional<Begun> begun = begunCarrier(state, into, grade);
        TrayId carrier = begun.map(Begun::tray).orElse(null);
        int next = begun.map(Begun::next).orElse(1);
        int done = 0;
        while (done < plants.size()) {
            if (carrier == null || next > into.cells()) {
                carrier = trays.add(into.code()).trayId();
                next = 1;
            }
            TrayId from = plants.get(done).tray();
            List<Integer> cells = new ArrayList<>();
            while (done < plants.size()
                    && plants.get(done).tray().equals(from)
                    && next + cells.size() <= into.cells()) {
                cells.add(plants.get(done++).number());
            }
            changes.add(
                    new BatchChange.PottedOn(from, cells, new CellRun(carrier, next, next + cells.size() - 1), grade));
            next += cells.size();
        }
        return changes;
    }

    /** A carrier with room at its end. */
    private record Begun(TrayId tray, int next) {}

    /** The carrier that was begun last and holds only this batch and grade. */
    private Optional<Begun> begunCarrier(BatchState state, Container into, Grade grade) {
        return state.trays().stream()
                .filter(tray -> state.gradeOf(tray) == grade)
                .filter(tray -> trays.tray(tray).container().equals(into.code()))
                .filter(tray -> batches.filesIn(tray).size() == 1)
                .map(tray -> new Begun(
                        tray,
                        1
                                + state.cells().keySet().stream()
                                        .filter(cell -> cell.tray().equals(tray))
                                        .mapToInt(Cell::number)
                                        .max()
                                        .orElse(0)))
                .filter(each -> each.next() <= into.cells())
                .reduce((earlier, later) -> later);
    }
}
