package kiver.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.LossReason;
import kiver.core.batch.RecordedChange;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.place.PlaceId;
import kiver.core.tray.CellRun;

/** What might have been recorded of a batch from its sowing up to a day: about sixty entries until its plants are gone. */
final class MadeUpHistory {

    private static final int VISITS = 16;
    private static final int DAYS_BETWEEN_VISITS = 1;
    private static final int FIRST_VISIT = 5;
    private static final int DAYS_OF_HARDENING = 6;

    private final Batch batch;
    private final List<CellRun> runs;
    private final LocalDate until;
    private final SplittableRandom random;
    private final List<RecordedChange> entries = new ArrayList<>();
    private final Map<CellRun, List<Integer>> alive = new HashMap<>();

    private MadeUpHistory(Batch batch, List<CellRun> runs, LocalDate until, SplittableRandom random) {
        this.batch = batch;
        this.runs = runs;
        this.until = until;
        this.random = random;
    }

    /**
     * The entries from the sowing until a day.
     *
     * @param release number of the release that its plants go with on its target day
     * @param line of the order they are for, in the database
     */
    static List<RecordedChange> of(
            Batch batch, List<CellRun> runs, LocalDate until, int release, LineId line, SplittableRandom random) {
        MadeUpHistory history = new MadeUpHistory(batch, runs, until, random);
        history.sow();
        history.count();
        history.growOn();
        history.harden();
        history.release(release, line);
        return history.entries;
    }

    private void sow() {
        runs.forEach(run -> add(
                batch.sowDay(),
                new BatchChange.Sown(
                        run,
                        batch.seedsPerCell(),
                        batch.lot(),
                        "Fine mix",
                        new PlaceId(batch.plan().emergencePlaceId()))));
    }

    /** Visit by visit some more cells are up; nine in ten in the end. */
    private void count() {
        for (int visit = 1; visit <= VISITS; visit++) {
            LocalDate day = batch.sowDay().plusDays(FIRST_VISIT + (long) visit * DAYS_BETWEEN_VISITS);
            for (CellRun run : runs) {
                int upTo = run.first() + (int) ((run.length() - 1) * Math.min(1.0, visit / (VISITS - 1.0)));
                Map<Integer, Integer> seedlings = new HashMap<>();
                for (int cell = run.first(); cell <= upTo; cell++) {
                    if (cell % 10 != 0) {
                        seedlings.put(cell, 1 + cell % batch.seedsPerCell());
                    }
                }
                add(day, new BatchChange.Counted(run.tray(), seedlings, visit == VISITS));
                alive.put(
                        run,
                        new ArrayList<>(seedlings.keySet().stream().sorted().toList()));
            }
        }
    }

    private void growOn() {
        LocalDate day = batch.sowDay().plusDays(FIRST_VISIT + VISITS * DAYS_BETWEEN_VISITS + 1L);
        add(day, new BatchChange.Moved(new PlaceId(batch.plan().growingPlaceId())));
        for (CellRun run : runs) {
            for (int loss = 1; loss <= 4; loss++) {
                List<Integer> living = alive.get(run);
                if (living.size() > 8) {
                    Integer lost = living.remove(random.nextInt(living.size()));
                    add(day.plusDays(loss), new BatchChange.Lost(run.tray(), List.of(lost), LossReason.values()[loss]));
                }
            }
        }
    }

    private void harden() {
        LocalDate day = batch.target().minusDays(DAYS_OF_HARDENING + 1L);
        add(day, new BatchChange.HardeningStarted(new PlaceId(batch.plan().hardeningPlaceId()), DAYS_OF_HARDENING));
        IntStream.rangeClosed(1, DAYS_OF_HARDENING)
                .forEach(each -> add(day.plusDays(each), new BatchChange.HardenedForDay(4)));
        add(batch.target(), new BatchChange.HardeningEnded());
    }

    private void release(int release, LineId line) {
        runs.forEach(run -> add(batch.target(), new BatchChange.Released(release, line, run.tray(), alive.get(run))));
    }

    private void add(LocalDate day, BatchChange change) {
        if (!day.isAfter(until)) {
            entries.add(new RecordedChange(entries.size() + 1, day, change));
        }
    }
}
