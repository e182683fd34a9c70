package kiver.server.sow;

import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchChange;
import kiver.core.crop.Container;
import kiver.core.outlook.Batch;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.batch.RecordingService;
import kiver.server.crop.CropBook;
import kiver.server.place.PlaceBook;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.stock.Filling;
import kiver.server.stock.MixLot;
import kiver.server.stock.StockLedger;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Records sowings: the right lot, enough seed in it, cells that exist. */
@Service
public class SowingService {

    private final RecordingService recording;
    private final BatchBook batches;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final CropBook crops;
    private final PlaceBook places;
    private final StockLedger stock;
    private final Filling filling;

    SowingService(
            RecordingService recording,
            BatchBook batches,
            SeedStore seeds,
            TrayBook trays,
            CropBook crops,
            PlaceBook places,
            StockLedger stock,
            Filling filling) {
        this.stock = stock;
        this.filling = filling;
        this.recording = recording;
        this.batches = batches;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.places = places;
    }

    @Transactional
    void sow(int number, SowingController.SowingEntry entry, long recordedBy) {
        if (batches.file(number).batch().isBoughtIn()) {
            throw new Refusal(
                    "batch",
                    Said.of("Batch {number} is bought in; take its plants in instead of sowing.")
                            .with("number", number));
        }
        batches.lock(number);
        CellRun run = run(entry.tray(), entry.firstCell(), entry.lastCell());
        if (places.places().stream()
                .noneMatch(place -> place.id().number() == entry.placeId()
                        && (place.suits(PlaceUse.EMERGENCE) || place.suits(PlaceUse.GROWING_ON)))) {
            throw new Refusal("placeId", Said.of("Choose a place where seed can come up."));
        }
        Optional<MixLot> mix = Optional.ofNullable(entry.mix()).map(stock::mixOrRefuse);
        BatchChange.Sown sown = new BatchChange.Sown(
                run,
                entry.seedsPerCell(),
                new LotId(entry.lotId()),
                mix.map(MixLot::words)
                        .orElseGet(() -> Optional.ofNullable(entry.medium())
                                .map(String::strip)
                                .filter(words -> !words.isEmpty())
                                .orElseThrow(
                                        () -> new Refusal("medium", Said.of("Say what the cells were filled with.")))),
                new PlaceId(entry.placeId()));
        requireSeed(number, entry, sown);
        recording.record(entry.requestId(), number, entry.day(), List.of(sown), recordedBy);
        mix.ifPresent(filled -> filling.fill(
                filled,
                number,
                List.of(new Filling.Filled(
                        crops.container(trays.numbered(entry.tray()).container()), run.length())),
                entry.day(),
                recordedBy,
                entry.requestId()));
    }

    /** What was set aside for a batch in a tray stays unsown, on purpose. */
    @Transactional
    void leaveUnsown(int number, SowingController.LeftUnsownEntry entry, long recordedBy) {
        Tray tray = trays.numbered(entry.tray());
        if (batches.file(number).toSow().stream().noneMatch(run -> run.tray().equals(tray.trayId()))) {
            throw new Refusal(
                    "tray",
                    Said.of("Nothing of batch {number} waits to be sown in {tray}.")
                            .with("number", number)
                            .with("tray", tray.code()));
        }
        recording.record(
                entry.requestId(), number, entry.day(), List.of(new BatchChange.LeftUnsown(tray.trayId())), recordedBy);
    }

    /** Plants raised elsewhere arrived and stand in cells set aside for their batch. */
    @Transactional
    void takeIn(int number, ArrivalController.ArrivalEntry entry, long recordedBy) {
        Batch batch = batches.file(number).batch();
        if (!batch.isBoughtIn()) {
            throw new Refusal(
                    "batch",
                    Said.of("Batch {number} is sown here; nothing of it arrives.")
                            .with("number", number));
        }
        batches.lock(number);
        CellRun run = run(entry.tray(), entry.firstCell(), entry.lastCell());
        if (places.places().stream().noneMatch(place -> place.id().number() == entry.placeId())) {
            throw new Refusal("placeId", Said.of("This place does not exist."));
        }
        double leaves = entry.leaves() == null ? batch.leavesOnArrival() : entry.leaves();
        recording.record(
                entry.requestId(),
                number,
                entry.day(),
                List.of(new BatchChange.BroughtIn(run, batch.lot(), leaves, new PlaceId(entry.placeId()))),
                recordedBy);
    }

    private CellRun run(int trayNumber, int first, int last) {
        Tray tray = trays.numberedAndHeld(trayNumber);
        Container container = tray.of(crops.container(tray.container()));
        if (last < first) {
            throw new Refusal(
                    "lastCell",
                    Said.of("The run ends at cell {lastCell}, before it begins at cell {firstCell}.")
                            .with("lastCell", last)
                            .with("firstCell", first));
        }
        if (last > container.cells()) {
            throw new Refusal(
                    "lastCell",
                    Said.of("{tray} has {cells} cells; the run cannot end at {lastCell}.")
                            .with("tray", tray.code())
                            .with("cells", container.cells())
                            .with("lastCell", last));
        }
        return new CellRun(tray.trayId(), first, last);
    }

    private void requireSeed(int number, SowingController.SowingEntry entry, BatchChange.Sown sown) {
        SeedLot lot = seeds.lotToTakeFrom(new LotId(entry.lotId()));
        SeedLot planned = seeds.lot(batches.file(number).batch().lot());
        if (lot.varietyId() != planned.varietyId()) {
            throw new Refusal(
                    "lotId",
                    Said.of("Lot {lot} is of another variety than this batch.").with("lot", lot.code()));
        }
        boolean sentBefore = batches.file(number).state().sowings().values().stream()
                .anyMatch(sowing -> sowing.sown().equals(sown));
        if (!sentBefore && sown.seeds() > lot.seedsLeft()) {
            throw new Refusal(
                    "lotId",
                    Said.of(
                                    "This takes {seeds} seeds and lot {lot} has {seedsLeft} left. Sow fewer cells, fewer seeds per cell, or another lot.")
                            .with("seeds", sown.seeds())
                            .with("lot", lot.code())
                            .with("seedsLeft", lot.seedsLeft()));
        }
    }
}
