package kiver.server.space;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.space.Assigner;
import kiver.core.space.Assignment;
import kiver.core.space.Candidate;
import kiver.core.space.Suitability;
import kiver.core.space.ToPlace;
import kiver.server.batch.BatchBook;
import kiver.server.batch.PlanChanges;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Places the whole season at once, in the background, one run at a time. */
@Service
public class AssignmentService {

    /** The same season is placed the same way each time. */
    private static final long SEED = 1;

    /** Choosing takes this share of the work; weighing candidates the rest. */
    private static final double WEIGHING = 0.7;

    /** Nanoseconds. */
    private static final long TELL_EVERY = 200_000_000;

    private final BatchOutlooks batches;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final BatchBook book;
    private final PlanChanges plans;
    private final PlacingRuns runs;

    AssignmentService(
            BatchOutlooks batches,
            SeasonService seasons,
            NurseryClock clock,
            BatchBook book,
            PlanChanges plans,
            PlacingRuns runs) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
        this.book = book;
        this.plans = plans;
        this.runs = runs;
    }

    /** A run that this instance works on; it says now and then how far it is, and hears whether it is to stop. */
    private final class Run {
        private final UUID token = UUID.randomUUID();
        private final AtomicBoolean stop = new AtomicBoolean();
        private long toldAt;

        private synchronized void tell(double progress) {
            long now = System.nanoTime();
            if (now - toldAt > TELL_EVERY) {
                toldAt = now;
                stop.set(!runs.goOn(token, progress));
            }
        }
    }

    /** Batches that are weighed alike. */
    private record Kind(Crop crop, Path path) {}

    /** How far the last run is. */
    public record Standing(
            boolean started, boolean running, double progress, Optional<Placings> outcome, Optional<String> failure) {}

    /** Starts a run unless one is under way, here or elsewhere. */
    public Standing start() {
        Run fresh = new Run();
        if (runs.begin(fresh.token)) {
            Season season = seasons.season();
            List<BatchOutlook> all = batches.all().stream()
                    .filter(batch -> !batch.stays().isEmpty())
                    .toList();
            LocalDate today = clock.today();
            Thread thread = new Thread(() -> work(fresh, season, all, today), "assign-all");
            thread.setDaemon(true);
            thread.start();
        }
        return standing();
    }

    /** Stops the run; what was found so far stays. */
    public Standing stop() {
        runs.stop();
        return standing();
    }

    /** How far it is. */
    public Standing standing() {
        return runs.present()
                .map(run -> new Standing(
                        true, !run.isOver(), run.progress(), run.found(), Optional.ofNullable(run.failure())))
                .orElseGet(() -> new Standing(false, false, 0, Optional.empty(), Optional.empty()));
    }

    /** Makes what was found the plan. Answers how many batches changed. */
    @Transactional
    public int take(Long by) {
        PlacingRuns.RunRow run = runs.present().orElse(null);
        Placings outcome = Optional.ofNullable(run)
                .flatMap(PlacingRuns.RunRow::found)
                .filter(found -> runs.taken(run.token()))
                .orElseThrow(
                        () -> new Refusal("assignment", Said.of("There is nothing to take yet: place all first.")));
        Map<Integer, BatchPlan> changed = new TreeMap<>();
        for (Placings.Placing placing : outcome.placings()) {
            var file = book.file(placing.batch());
            if (placing.changes()
                    && file.state().sownOn().isEmpty()
                    && !file.batch().plan().pinned()) {
                changed.put(
                        placing.batch(),
                        file.batch().plan().along(placing.to(), false).sownOn(placing.sowDay()));
            }
        }
        plans.change(by, Said.of("Place the whole season"), changed);
        return changed.size();
    }

    private void work(Run present, Season season, List<BatchOutlook> all, LocalDate today) {
        try {
            Map<Kind, Suitability> suitabilities = new ConcurrentHashMap<>();
            AtomicInteger weighed = new AtomicInteger();
            List<ToPlace> toPlace = all.parallelStream()
                    .map(batch -> {
                        Suitability suitability = suitabilities.computeIfAbsent(
                                new Kind(batch.crop(), batch.path()),
                                kind -> new Suitability(season, kind.crop(), kind.path()));
                        List<Candidate> candidates = candidates(batch, suitability, today, present.stop.get());
                        present.tell(WEIGHING * weighed.incrementAndGet() / all.size());
                        return new ToPlace(batch.number(), batch.crop().code().written(), candidates);
                    })
                    .toList();
            Assignment assignment = Assigner.assign(
                    season.places(),
                    toPlace,
                    new SplittableRandom(SEED),
                    share -> present.tell(WEIGHING + (1 - WEIGHING) * share),
                    present.stop::get);
            runs.found(present.token, Placings.of(all, toPlace, assignment, season, today));
        } catch (RuntimeException failure) {
            runs.failed(present.token, failure.getMessage() == null ? failure.toString() : failure.getMessage());
        }
    }

    /** What is sown stands where it stands; what was placed by hand stays; everything else may go anywhere that suits. */
    private static List<Candidate> candidates(
            BatchOutlook batch, Suitability suitability, LocalDate today, boolean stopped) {
        Candidate asItIs = new Candidate(batch.way(), 0, batch.stays());
        if (batch.isFixed()
                || batch.file().batch().plan().pinned()
                || stopped
                || batch.file().batch().target().isBefore(today)) {
            return List.of(asItIs);
        }
        return suitability.candidates(batch.file().batch().target(), today, batch.slotsByContainer());
    }
}
