package kiver.server.outlook;

import java.util.Optional;
import java.util.stream.Collectors;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchChange.Counted;
import kiver.core.batch.LookedOver;
import kiver.core.crop.Crop;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.PaceTelling;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.EmergenceTold;
import kiver.core.outlook.LookingAhead;
import kiver.core.seed.Germination;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchRecorded;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.LibraryBook;
import kiver.server.crop.PaceFiguresChanged;
import kiver.server.crop.PaceTellings;
import kiver.server.growth.SeasonService;
import kiver.server.seed.SeedStore;
import kiver.server.sow.LotKnowledge;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Has each count, of what came up as of leaves, teach the crop's pace at its place, in the transaction in which it is recorded
 * or taken back.
 */
@Component
class PaceTeacher {

    private static final Logger LOG = LoggerFactory.getLogger(PaceTeacher.class);

    private final BatchBook batches;
    private final BatchAnalyst analyst;
    private final PaceTellings tellings;
    private final LibraryBook library;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final TrayBook trays;
    private final LotKnowledge lots;
    private final SeedStore seeds;

    PaceTeacher(
            BatchBook batches,
            BatchAnalyst analyst,
            PaceTellings tellings,
            LibraryBook library,
            SeasonService seasons,
            NurseryClock clock,
            TrayBook trays,
            LotKnowledge lots,
            SeedStore seeds) {
        this.batches = batches;
        this.analyst = analyst;
        this.tellings = tellings;
        this.library = library;
        this.seasons = seasons;
        this.clock = clock;
        this.trays = trays;
        this.lots = lots;
        this.seeds = seeds;
    }

    @EventListener
    void recorded(BatchRecorded recorded) {
        if (recorded.changes().stream().anyMatch(PaceTeacher::mayTellOfLeaves)) {
            tellOfLeaves(analyst.one(recorded.number()));
        }
        if (recorded.changes().stream().anyMatch(PaceTeacher::mayTellOfEmergence)) {
            tellOfEmergence(batches.file(recorded.number()));
        }
    }

    private static boolean mayTellOfLeaves(BatchChange change) {
        return change instanceof LookedOver || change instanceof BatchChange.Corrected;
    }

    private static boolean mayTellOfEmergence(BatchChange change) {
        return change instanceof Counted || change instanceof BatchChange.Corrected;
    }

    /** What was counted beside other figures tells nothing beside these; what is still in hand is told anew. */
    @EventListener
    void changed(PaceFiguresChanged changed) {
        tellings.removeOf(changed.matter(), changed.crop());
        for (BatchFile file : batches.files()) {
            if (!file.batch().crop().equals(changed.crop())) {
                continue;
            }
            if (changed.matter() == Matter.EMERGENCE) {
                tellOfEmergence(file);
            } else if (!file.state().looks().isEmpty()) {
                tellOfLeaves(analyst.trial(file));
            }
        }
    }

    private void tellOfLeaves(BatchOutlook batch) {
        library.library()
                .crop(batch.crop().code())
                .filter(untaught -> batch.trouble().isEmpty())
                .flatMap(untaught -> lookingAhead().telling(batch, untaught))
                .ifPresentOrElse(
                        told -> tellings.put(Matter.LEAVES, told),
                        () -> tellings.remove(Matter.LEAVES, batch.number()));
    }

    private void tellOfEmergence(BatchFile file) {
        int number = file.batch().number();
        library.library()
                .crop(file.batch().crop())
                .filter(untaught ->
                        !file.state().cellsUp().isEmpty() && file.trouble().isEmpty())
                .flatMap(untaught -> told(file, untaught))
                .ifPresentOrElse(
                        told -> tellings.put(Matter.EMERGENCE, told), () -> tellings.remove(Matter.EMERGENCE, number));
    }

    /** What cannot be worked out tells nothing; the count stands all the same. */
    private Optional<PaceTelling> told(BatchFile file, Crop untaught) {
        Germination known = germination(file);
        LookingAhead ahead = lookingAhead();
        try {
            return EmergenceTold.of(ahead, file, known, untaught);
        } catch (RuntimeException wrong) {
            LOG.error("What batch {} tells cannot be worked out", file.batch().number(), wrong);
            return Optional.empty();
        }
    }

    private Germination germination(BatchFile file) {
        return lots.germination(
                seeds.lot(file.lotSown()),
                clock.today(),
                batches.files(),
                file.batch().number());
    }

    private LookingAhead lookingAhead() {
        return new LookingAhead(
                seasons.season(),
                clock.today(),
                trays.all().stream().collect(Collectors.toMap(Tray::trayId, Tray::container)));
    }
}
