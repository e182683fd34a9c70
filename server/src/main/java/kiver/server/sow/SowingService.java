package kiver.server.sow;

import java.util.List;
import kiver.core.batch.BatchChange;
import kiver.core.crop.Container;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.tray.CellRun;
import kiver.server.batch.BatchBook;
import kiver.server.batch.RecordingService;
import kiver.server.crop.CropBook;
import kiver.server.place.PlaceBook;
import kiver.server.problem.Refusal;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
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

    SowingService(
            RecordingService recording,
            BatchBook batches,
            SeedStore seeds,
            TrayBook trays,
            CropBook crops,
            PlaceBook places) {
        this.recording = recording;
        this.batches = batches;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.places = places;
    }

    @Transactional
    void sow(int number, SowingController.SowingEntry entry, long recordedBy) {
        Tray tray = trays.numbered(entry.tray());
        Container container = crops.container(tray.container());
        if (entry.lastCell() < entry.firstCell()) {
            throw new Refusal("lastCell", Said.of("The run ends at cell {lastCell}, before it begins at cell {firstCell}.").with("lastCell", entry.lastCell()).with("firstCell", entry.firstCell()));
        }
        if (entry.lastCell() > container.cells()) {
            throw new Refusal("lastCell", Said.of("{tray} has {cells} cells; the run cannot end at {lastCell}.").with("tray", tray.code()).with("cells", container.cells()).with("lastCell", entry.lastCell()));
        }
        if (places.places().stream().noneMatch(place -> place.id().number() == entry.placeId()
                && (place.suits(PlaceUse.EMERGENCE) || place.suits(PlaceUse.GROWING_ON)))) {
            throw new Refusal("placeId", Said.of("Choose a place where seed can come up."));
        }
        CellRun run = new CellRun(tray.trayId(), entry.firstCell(), entry.lastCell());
        BatchChange.Sown sown = new BatchChange.Sown(
                run, entry.seedsPerCell(), entry.lotId(), entry.medium().strip(), new PlaceId(entry.placeId()));
        requireSeed(number, entry, sown);
        recording.record(entry.requestId(), number, entry.day(), List.of(sown), recordedBy);
    }

    /** What was set aside for a batch in a tray stays unsown, on purpose. */
    @Transactional
    void leaveUnsown(int number, SowingController.LeftUnsownEntry entry, long recordedBy) {
        Tray tray = trays.numbered(entry.tray());
        if (batches.file(number).toSow().stream().noneMatch(run -> run.tray().equals(tray.trayId()))) {
            throw new Refusal("tray", Said.of("Nothing of batch {number} waits to be sown in {tray}.").with("number", number).with("tray", tray.code()));
        }
        recording.record(entry.requestId(), number, entry.day(), List.of(new BatchChange.LeftUnsown(tray.trayId())), recordedBy);
    }

    private void requireSeed(int number, SowingController.SowingEntry entry, BatchChange.Sown sown) {
        SeedLot lot = seeds.lotToTakeFrom(entry.lotId());
        SeedLot planned = seeds.lot(batches.file(number).batch().lotId());
        if (lot.varietyId() != planned.varietyId()) {
            throw new Refusal("lotId", Said.of("Lot {lot} is of another variety than this batch.").with("lot", lot.code()));
        }
        boolean sentBefore = batches.file(number).state().sowings().values().stream()
                .anyMatch(sowing -> sowing.sown().equals(sown));
        if (!sentBefore && sown.seeds() > lot.seedsLeft()) {
            throw new Refusal("lotId", Said.of("This takes {seeds} seeds and lot {lot} has {seedsLeft} left. Sow fewer cells, fewer seeds per cell, or another lot.").with("seeds", sown.seeds()).with("lot", lot.code()).with("seedsLeft", lot.seedsLeft()));
        }
    }
}
