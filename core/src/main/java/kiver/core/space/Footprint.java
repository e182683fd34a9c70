package kiver.core.space;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.ProgressSeries;
import kiver.core.growth.Scenario;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;

/**
 * The room that a batch takes on its way, as most likely; the median of every mark is used.
 *
 * @param path it is on
 * @param way the places it passes
 * @param slotsByContainer bench room in each container of its path, in trays; one entry more than pottings still to
 *     come
 */
public record Footprint(Path path, Way way, List<Double> slotsByContainer) {

    /** Seedlings stay where they came up for these days, until the last are up. */
    private static final int DAYS_AFTER_HALF_UP = 2;

    public Footprint {
        slotsByContainer = List.copyOf(slotsByContainer);
    }

    /**
     * When a batch most likely passes the marks on its path, in days since the first day of the scenarios.
     *
     * @param emerged the median seedling is up
     * @param stageReached enough leaves to begin hardening
     * @param pottings still to come, in order
     */
    record Marks(double emerged, double stageReached, double[] pottings) {

        static Marks of(Path path, Standing standing, List<Scenario> scenarios) {
            Milestones[] milestones = scenarios.stream()
                    .map(scenario -> path.from(standing, scenario))
                    .toArray(Milestones[]::new);
            return of(milestones, path, standing, scenarios);
        }

        static Marks of(Milestones[] milestones, Path path, Standing standing, List<Scenario> scenarios) {
            return new Marks(
                    median(milestones, Milestones::emerged),
                    median(milestones, Milestones::stageReached),
                    medianPottings(path, standing, scenarios));
        }
    }

    /**
     * The stays from where the batch stands until it leaves.
     *
     * @param standing of the batch
     * @param scenarios ways the season may go
     * @param leaves day on which its plants are handed over
     */
    public List<Stay> from(Standing standing, List<Scenario> scenarios, LocalDate leaves) {
        return from(
                standing,
                Marks.of(path, standing, scenarios),
                scenarios.get(0).growingOn().firstDay(),
                leaves,
                path.hardeningFrom(
                        ChronoUnit.DAYS.between(scenarios.get(0).growingOn().firstDay(), leaves), scenarios));
    }

    /**
     * The stays in each of some ways the season may go: plants wait where they harden until they are ready, and when to begin
     * hardening is decided without knowing which of the ways it will be.
     *
     * @param standing of the batch
     * @param ways the season may go
     * @param leaves day on which its plants are to be handed over
     * @param mostDaysLate for so long they are waited for beyond that day, 0 or more
     * @return one list for each way, in their order
     */
    public List<List<Stay>> inEach(Standing standing, List<Scenario> ways, LocalDate leaves, int mostDaysLate) {
        LocalDate firstDay = ways.get(0).growingOn().firstDay();
        double hardeningFrom = path.hardeningFrom(ChronoUnit.DAYS.between(firstDay, leaves), ways);
        List<List<Stay>> stays = new ArrayList<>(ways.size());
        for (Scenario way : ways) {
            Milestones passed = path.from(standing, way);
            LocalDate gone = leaves;
            if (passed.ready() > ChronoUnit.DAYS.between(firstDay, leaves) + 1) {
                gone = passed.ready() > ChronoUnit.DAYS.between(firstDay, leaves) + mostDaysLate
                        ? leaves.plusDays(mostDaysLate)
                        : firstDay.plusDays((long) passed.ready());
            }
            Milestones[] alone = {passed};
            stays.add(from(standing, Marks.of(alone, path, standing, List.of(way)), firstDay, gone, hardeningFrom));
        }
        return List.copyOf(stays);
    }

    List<Stay> from(Standing standing, Marks marks, LocalDate firstDay, LocalDate leaves, double hardeningFrom) {
        double end = leaves.toEpochDay() - firstDay.toEpochDay() + 1;
        double emerged = Math.min(end, marks.emerged() + DAYS_AFTER_HALF_UP);
        // Hardening ends with the release, so what has its leaves early waits inside.
        double stage = Math.min(end, Math.max(marks.stageReached(), hardeningFrom));
        List<Stay> stays = new ArrayList<>();
        double from = standing.time();
        int container = 0;
        if (!standing.hasEmerged()) {
            add(stays, way.emergence(), firstDay, from, emerged, 0);
            from = Math.max(from, emerged);
        }
        if (!standing.hardeningStarted()) {
            for (double moved : marks.pottings()) {
                double until = Math.min(stage, Math.max(from, moved));
                add(stays, way.growingOn(), firstDay, from, until, container);
                from = Math.max(from, until);
                container++;
            }
            add(stays, way.growingOn(), firstDay, from, stage, container);
            from = Math.max(from, stage);
        }
        add(stays, way.hardening(), firstDay, from, Math.max(end, from + 1), slotsByContainer.size() - 1);
        return List.copyOf(stays);
    }

    private void add(List<Stay> stays, PlaceId place, LocalDate firstDay, double from, double until, int container) {
        LocalDate first = firstDay.plusDays((long) from);
        LocalDate gone = firstDay.plusDays((long) until);
        double slots = slotsByContainer.get(Math.min(container, slotsByContainer.size() - 1));
        if (first.isBefore(gone) && slots > 0) {
            stays.add(new Stay(place, first, gone, slots));
        }
    }

    private static double[] medianPottings(Path path, Standing standing, List<Scenario> scenarios) {
        int count = Math.max(0, path.pottings().size() - standing.pottingsDone());
        double[] medians = new double[count];
        if (count == 0) {
            return medians;
        }
        double[][] times = scenarios.stream()
                .map(scenario -> path.pottingTimes(standing, scenario))
                .toArray(double[][]::new);
        for (int index = 0; index < count; index++) {
            int potting = index;
            medians[index] = middle(
                    Arrays.stream(times).mapToDouble(each -> each[potting]).toArray());
        }
        return medians;
    }

    private static double median(Milestones[] milestones, ToDoubleFunction<Milestones> mark) {
        return middle(Arrays.stream(milestones).mapToDouble(mark).toArray());
    }

    private static double middle(double[] times) {
        Arrays.sort(times);
        double middle = times[(times.length - 1) / 2];
        return middle == ProgressSeries.NEVER ? Double.MAX_VALUE : middle;
    }
}
