package kiver.server.play;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import kiver.core.batch.BatchChange;
import kiver.core.batch.CellCondition;
import kiver.core.batch.LossReason;
import kiver.core.harden.NightOut;
import kiver.core.outlook.BatchOutlook;
import kiver.core.tray.Cell;
import kiver.core.tray.TrayId;
import kiver.server.batch.RecordingService;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.EveningBook;
import kiver.server.space.BatchOutlooks;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/**
 * Nights of a season that is played: what a night takes, it takes, of what was seen to nothing. A forecast that said too much
 * warmth costs plants, as it does.
 */
@Component
@Profile("play")
class PlayedNights {

    private final EveningBook evenings;
    private final BatchOutlooks batches;
    private final SeasonService seasons;
    private final RecordingService recording;
    private final Luck luck;
    private final NurseryClock clock;

    PlayedNights(
            EveningBook evenings,
            BatchOutlooks batches,
            SeasonService seasons,
            RecordingService recording,
            Luck luck,
            NurseryClock clock) {
        this.evenings = evenings;
        this.batches = batches;
        this.seasons = seasons;
        this.recording = recording;
        this.luck = luck;
        this.clock = clock;
    }

    /** Notes on a morning what the night has taken. */
    void takeTheirs() {
        LocalDate morning = clock.today();
        Set<Integer> safe = evenings.safeOn(morning.minusDays(1));
        for (BatchOutlook batch : batches.all()) {
            if (!safe.contains(batch.number())) {
                batch.night(seasons.season(), morning)
                        .filter(NightOut::isTooCold)
                        .ifPresent(night -> take(batch, night.likelyLoss(), morning));
            }
        }
    }

    private void take(BatchOutlook batch, double share, LocalDate morning) {
        List<BatchChange> losses = new ArrayList<>();
        for (TrayId tray : batch.file().state().trays()) {
            List<Integer> dead = batch.file().state().cellsIn(tray, CellCondition.ALIVE).stream()
                    .filter(cell ->
                            luck.isTakenByNight(batch.number(), CellsFound.key(new Cell(tray, cell)), morning, share))
                    .toList();
            if (!dead.isEmpty()) {
                losses.add(new BatchChange.Lost(tray, dead, LossReason.FROST));
            }
        }
        if (!losses.isEmpty()) {
            UUID request = UUID.nameUUIDFromBytes(
                    ("night " + morning + "/" + batch.number()).getBytes(StandardCharsets.UTF_8));
            recording.record(request, batch.number(), morning, losses, null);
        }
    }
}
