package kiver.server.outlook;

import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.LookedOver;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.LookingAhead;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchRecorded;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.LeafTellings;
import kiver.server.crop.LeavesChanged;
import kiver.server.crop.LibraryBook;
import kiver.server.growth.SeasonService;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Has each count of leaves teach the crop's pace at its place, in the transaction in which it is recorded or taken back. */
@Component
class LeafTeacher {

    private final BatchBook batches;
    private final BatchAnalyst analyst;
    private final LeafTellings tellings;
    private final LibraryBook library;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final TrayBook trays;

    LeafTeacher(
            BatchBook batches,
            BatchAnalyst analyst,
            LeafTellings tellings,
            LibraryBook library,
            SeasonService seasons,
            NurseryClock clock,
            TrayBook trays) {
        this.batches = batches;
        this.analyst = analyst;
        this.tellings = tellings;
        this.library = library;
        this.seasons = seasons;
        this.clock = clock;
        this.trays = trays;
    }

    @EventListener
    void recorded(BatchRecorded recorded) {
        if (recorded.changes().stream().anyMatch(LeafTeacher::mayTell)) {
            tell(analyst.one(recorded.number()));
        }
    }

    private static boolean mayTell(BatchChange change) {
        return change instanceof LookedOver || change instanceof BatchChange.Corrected;
    }

    /** What was counted beside other figures tells nothing beside these; what is still in hand is told anew. */
    @EventListener
    void changed(LeavesChanged changed) {
        tellings.removeOf(changed.crop());
        batches.files().stream()
                .filter(file -> file.batch().crop().equals(changed.crop())
                        && !file.state().looks().isEmpty())
                .map(analyst::trial)
                .forEach(this::tell);
    }

    private void tell(BatchOutlook batch) {
        LookingAhead ahead = new LookingAhead(
                seasons.season(),
                clock.today(),
                trays.all().stream().collect(Collectors.toMap(Tray::trayId, Tray::container)));
        library.library()
                .crop(batch.crop().code())
                .filter(untaught -> batch.trouble().isEmpty())
                .flatMap(untaught -> ahead.telling(batch, untaught))
                .ifPresentOrElse(tellings::put, () -> tellings.remove(batch.number()));
    }
}
