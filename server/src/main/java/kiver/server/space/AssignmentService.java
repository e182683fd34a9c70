package kiver.server.space;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.space.Assigner;
import kiver.core.space.Assignment;
import kiver.core.space.Candidate;
import kiver.core.space.Suitability;
import kiver.core.space.ToPlace;
import kiver.server.batch.BatchBook;
import kiver.server.batch.BatchPlan;
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

    private final BatchesInSpace batches;
    private final SeasonService seasons;
    private final NurseryClock clock;
    private final BatchBook book;
    private final PlanChanges plans;
    private volatile Run run;

    AssignmentService(
            BatchesInSpace batches, SeasonService seasons, NurseryClock clock, BatchBook book, PlanChanges plans) {
        this.batches = batches;
        this.seasons = seasons;
        this.clock = clock;
        this.book = book;
        this.plans = plans;
    }

    /** A run as far as it is. */
    private static final class Run {
        private final AtomicBoolean stop = new AtomicBoolean();
        private volatile double progress;
        private volatile Placings outcome;
        private volatile String failure;
    }

    /** Batches that are weighed alike. */
    private record Kind(Crop crop, Path path) {}

    /** How far the last run is. */
    public record Standing(boolean started, boolean running, double progress, Optional<Placings> outcome, Optional<String> failure) {}

    /** Starts a run unless one is under way. */
    public synchronized Standing start() {
        if (run == null || !standing().running()) {
            Run fresh = new Run();
            run = fresh;
            Season season = seasons.season();
            List<BatchInSpace> all = batches.inSpace();
            LocalDate today = clock.today();
            Thread thread = new Thread(() -> work(fresh, season, all, today), "assign-all");
            thread.setDaemon(true);
            thread.start();
        }
        return standing();
    }

    /** Stops the run; what was found so far stays. */
    public Standing stop() {
        if (run != null) {
            run.stop.set(true);
        }
        return standing();
    }

    /** How far it is. */
    public Standing standing() {
        Run present = run;
        if (present == null) {
            return new Standing(false, false, 0, Optional.empty(), Optional.empty());
        }
        boolean over = present.outcome != null || present.failure != null;
        return new Standing(
                true, !over, present.progress, Optional.ofNullable(present.outcome), Optional.ofNullable(present.failure));
    }

    /** Makes what was found the plan. Answers how many batches changed. */
    @Transactional
    public int take(Long by) {
        Placings outcome = standing().outcome()
                .orElseThrow(() -> new Refusal("assignment", Said.of("There is nothing to take yet: place all first.")));
        Map<Integer, BatchPlan> changed = new TreeMap<>();
        for (Placings.Placing placing : outcome.placings()) {
            var file = book.file(placing.batch());
            if (placing.changes() && file.state().sownOn().isEmpty() && !file.batch().pinned()) {
                changed.put(placing.batch(),
                        BatchPlan.of(file.batch()).along(placing.to(), false).sownOn(placing.sowDay()));
            }
        }
        plans.change(by, Said.of("Place the whole season"), changed);
        run = null;
        return changed.size();
    }

    private void work(Run present, Season season, List<BatchInSpace> all, LocalDate today) {
        try {
            Map<Kind, Suitability> suitabilities = new ConcurrentHashMap<>();
            AtomicInteger weighed = new AtomicInteger();
            List<ToPlace> toPlace = all.parallelStream()
                    .map(batch -> {
                        Suitability suitability = suitabilities.computeIfAbsent(
                                new Kind(batch.crop(), batch.path()), kind -> new Suitability(season, kind.crop(), kind.path()));
                        List<Candidate> candidates = candidates(batch, suitability, today, present.stop.get());
                        present.progress = WEIGHING * weighed.incrementAndGet() / all.size();
                        return new ToPlace(batch.number(), batch.crop().code(), candidates);
                    })
                    .toList();
            Assignment assignment = Assigner.assign(
                    season.places(), toPlace, new SplittableRandom(SEED), share -> present.progress = WEIGHING + (1 - WEIGHING) * share,
                    present.stop::get);
            present.outcome = Placings.of(all, toPlace, assignment, season, today);
        } catch (RuntimeException failure) {
            present.failure = failure.getMessage() == null ? failure.toString() : failure.getMessage();
        }
    }

    /** What is sown stands where it stands; what was placed by hand stays; everything else may go anywhere that suits. */
    private static List<Candidate> candidates(BatchInSpace batch, Suitability suitability, LocalDate today, boolean stopped) {
        Candidate asItIs = new Candidate(batch.way(), 0, batch.stays());
        if (batch.sown() || batch.pinned() || stopped || batch.target().isBefore(today)) {
            return List.of(asItIs);
        }
        return suitability.candidates(batch.target(), today, batch.slotsByContainer());
    }
}
