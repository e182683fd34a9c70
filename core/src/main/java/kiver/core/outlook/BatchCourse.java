package kiver.core.outlook;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import kiver.core.batch.BatchState;
import kiver.core.growth.Potting;
import kiver.core.growth.ProgressSeries;
import kiver.core.growth.Standing;
import kiver.core.place.PlaceId;

/**
 * How far the temperatures of the places where it stood have brought a batch.
 *
 * @param placements where it stood, in order of time; not empty
 * @param emergence progress by place; any scenario serves, since only days gone by are looked at
 * @param leaves leaf progress by place
 */
public record BatchCourse(
        List<BatchState.Placement> placements,
        Function<PlaceId, ProgressSeries> emergence,
        Function<PlaceId, ProgressSeries> leaves) {

    public BatchCourse {
        placements = List.copyOf(placements);
        if (placements.isEmpty()) {
            throw new IllegalArgumentException("A batch that was never placed has no course.");
        }
    }

    /** Emergence progress from sowing to the morning of a day, 0 or more. */
    public double emergenceProgressUntil(LocalDate day) {
        return progress(emergence, placements.get(0).from(), day);
    }

    /** True leaves made between two mornings at the crop's mean pace, 0 or more. */
    public double leavesBetween(LocalDate from, LocalDate to) {
        return progress(leaves, from, to);
    }

    /**
     * The first day on whose evening that much emergence progress was made, if it was before {@code until}.
     *
     * @param wanted progress, positive
     * @param until exclusive
     */
    public Optional<LocalDate> dayReaching(double wanted, LocalDate until) {
        LocalDate sown = placements.get(0).from();
        for (LocalDate day = sown; day.isBefore(until); day = day.plusDays(1)) {
            if (emergenceProgressUntil(day.plusDays(1)) >= wanted) {
                return Optional.of(day);
            }
        }
        return Optional.empty();
    }

    /**
     * Where the batch stands on the morning of a day.
     *
     * @param state of the batch
     * @param today the day
     * @param emergencePace the batch's pace as far as counts tell, about 1
     * @param pottings of its path, which say how long no leaf unfolded after each
     * @param pottingsDone of them that most of its plants have behind them
     */
    public Standing standing(
            BatchState state, LocalDate today, double emergencePace, List<Potting> pottings, int pottingsDone) {
        ProgressSeries anySeries = leaves.apply(placements.get(0).place());
        double now = ChronoUnit.DAYS.between(anySeries.firstDay(), today);
        if (!state.arrivals().isEmpty()) {
            BatchState.Arrival arrival = state.arrivals().values().iterator().next();
            double leavesMade = arrival.plants().leaves()
                    + leavesBetween(arrival.day(), today)
                    - leavesMissed(state, arrival.day(), today, pottings);
            return new Standing(
                    now,
                    0,
                    ChronoUnit.DAYS.between(anySeries.firstDay(), arrival.day()),
                    Math.max(0, leavesMade),
                    pottingsDone,
                    settledAt(state, pottingsDone, anySeries),
                    state.hardeningStartedOn().isPresent(),
                    state.hardeningDays());
        }
        boolean halfUp = (state.balance().sown() > 0 && state.isCompletelyCounted())
                || 2 * state.emerged() >= state.balance().sown();
        Optional<LocalDate> emerged = dayReaching(emergencePace, today);
        if (halfUp && state.emerged() > 0) {
            LocalDate day = emerged.orElse(today.minusDays(1));
            double emergedAt = ChronoUnit.DAYS.between(anySeries.firstDay(), day) + 0.5;
            double leavesMade = leavesBetween(day, today) - leavesMissed(state, day, today, pottings);
            return new Standing(
                    now,
                    0,
                    emergedAt,
                    Math.max(0, leavesMade),
                    pottingsDone,
                    settledAt(state, pottingsDone, anySeries),
                    state.hardeningStartedOn().isPresent(),
                    state.hardeningDays());
        }
        return new Standing(
                now,
                emergenceProgressUntil(today),
                ProgressSeries.NEVER,
                0,
                pottingsDone,
                settledAt(state, pottingsDone, anySeries),
                state.hardeningStartedOn().isPresent(),
                state.hardeningDays());
    }

    private static double settledAt(BatchState state, int pottingsDone, ProgressSeries series) {
        return pottingsDone == 0
                ? ProgressSeries.NEVER
                : state.lastPottedOn()
                        .map(day -> (double) ChronoUnit.DAYS.between(series.firstDay(), day))
                        .orElse(ProgressSeries.NEVER);
    }

    /** Leaves that would have unfolded while the plants stood still after their pottings. */
    private double leavesMissed(BatchState state, LocalDate emerged, LocalDate today, List<Potting> pottings) {
        double missed = 0;
        LocalDate counted = emerged;
        int index = 0;
        for (LocalDate potted : state.pottingDays()) {
            double check = pottings.isEmpty()
                    ? 0
                    : pottings.get(Math.min(index++, pottings.size() - 1)).checkDays();
            LocalDate begins = Days.later(potted, counted);
            LocalDate ends = Days.earlier(potted.plusDays(Math.round(check)), today);
            if (begins.isBefore(ends)) {
                missed += leavesBetween(begins, ends);
                counted = ends;
            }
        }
        return missed;
    }

    private double progress(Function<PlaceId, ProgressSeries> byPlace, LocalDate from, LocalDate to) {
        double sum = 0;
        for (int index = 0; index < placements.size(); index++) {
            LocalDate begins = Days.later(placements.get(index).from(), from);
            LocalDate ends = index + 1 < placements.size()
                    ? Days.earlier(placements.get(index + 1).from(), to)
                    : to;
            if (begins.isBefore(ends)) {
                ProgressSeries series = byPlace.apply(placements.get(index).place());
                sum += series.between((double) ChronoUnit.DAYS.between(series.firstDay(), begins), (double)
                        ChronoUnit.DAYS.between(series.firstDay(), ends));
            }
        }
        return sum;
    }
}
