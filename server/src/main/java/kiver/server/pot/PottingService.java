package kiver.server.pot;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.CellCondition;
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

    PottingService(
            BatchBook batches,
            TrayBook trays,
            CropBook crops,
            Requests requests,
            NurseryClock clock,
            StockLedger stock,
            Filling filling) {
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
     * Records that plants were potted on.
     *
     * @param requestId the same on every retry
     * @param number of the batch
     * @param day on which it happened, or null for today
     * @param potted what went where
     * @param mix number of the mix that the pots were filled from; null where it has none
     * @param by account number, or null for the nursery's simulated hands
     * @throws Refusal when the container is no larger, the plants are not there or the day is still to come
     */
    @Transactional
    public void pot(UUID requestId, int number, LocalDate day, Potted potted, @Nullable Integer mix, Long by) {
        LocalDate happened = day == null ? clock.today() : day;
        if (happened.isAfter(clock.today())) {
            throw new Refusal("day", Said.of("This day is still to come."));
        }
        // What was sent without a mix keeps the digest that it had before there were any.
        List<?> content = mix == null
                ? Arrays.asList("pot", number, happened, potted, by)
                : Arrays.asList("pot", number, happened, potted, by, mix);
        requests.once(requestId, content, () -> {
            batches.lock(number);
            batches.record(number, happened, changes(number, potted), by, requestId);
            if (mix != null) {
                filling.fill(
                        stock.mixOrRefuse(mix),
                        number,
                        List.of(new Filling.Filled(crops.container(potted.container()), potted.plants())),
                        happened,
                        by,
                        requestId);
            }
            return number;
        });
    }

    /** Fills carriers one after the other, the last one begun before first, whichever trays the plants come from. */
    private List<BatchChange> changes(int number, Potted potted) {
        Container into = crops.container(potted.container());
        BatchState state = batches.file(number).state();
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
        if (potted.plants() > plants.size()) {
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
                            .with("plants2", potted.plants()));
        }
        return carriers(state, into, plants.subList(0, potted.plants()));
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

    private List<BatchChange> carriers(BatchState state, Container into, List<Cell> plants) {
        List<BatchChange> changes = new ArrayList<>();
        Optional<Begun> begun = begunCarrier(state, into);
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
            changes.add(new BatchChange.PottedOn(from, cells, new CellRun(carrier, next, next + cells.size() - 1)));
            next += cells.size();
        }
        return changes;
    }

    /** A carrier with room at its end. */
    private record Begun(TrayId tray, int next) {}

    /** The carrier that was begun last and holds only this batch. */
    private Optional<Begun> begunCarrier(BatchState state, Container into) {
        return state.trays().stream()
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
