package kiver.core.growth;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import kiver.core.place.ClimateSeries;
import kiver.core.place.PlaceId;
import kiver.core.weather.DayCurve;

/**
 * Progress of one stage at one place through one scenario, summed from the first day on, so that "when is it
 * complete" is a binary search and "how much by then" a subtraction.
 *
 * <p>Times are days since the first day, as fractions: 0 is the morning of the first day, 1.5 noon of the second.
 * Within a day progress is even.
 */
public final class ProgressSeries {

    /** What {@link #timeReaching} answers when the series ends before the progress is made. */
    public static final double NEVER = Double.POSITIVE_INFINITY;

    private final LocalDate firstDay;
    private final double[] sumBefore;

    private ProgressSeries(LocalDate firstDay, double[] sumBefore) {
        this.firstDay = firstDay;
        this.sumBefore = sumBefore;
    }

    /** Emergence progress at a place, one series for each of its scenarios: 1 is the median seedling up. */
    public static List<ProgressSeries> ofEmergence(Emergence emergence, PlaceId place, List<ClimateSeries> scenarios) {
        double perDayAtBest = 1 / (emergence.daysAtBest() * emergence.taught().longerAt(place));
        return summed(scenarios, emergence.temperatures(), light -> perDayAtBest);
    }

    /** Leaf progress at a place, one series for each of its scenarios: 1 is one true leaf more. */
    public static List<ProgressSeries> ofLeaves(LeafGrowth leaves, PlaceId place, List<ClimateSeries> scenarios) {
        double perDay = leaves.leavesPerDayAtBest() / leaves.taught().longerAt(place);
        return summed(scenarios, leaves.temperatures(), light -> perDay * leaves.lightFactor(light));
    }

    /** Days on which plants that harden may go out at a place, one series for each of its scenarios: 1 is a day more. */
    public static List<ProgressSeries> ofDaysOut(DaysOut daysOut, List<ClimateSeries> scenarios) {
        return scenarios.stream()
                .map(climate -> {
                    double[] sums = new double[climate.days() + 1];
                    for (int index = 0; index < climate.days(); index++) {
                        sums[index + 1] = sums[index] + (daysOut.include(climate.maximum(index)) ? 1 : 0);
                    }
                    return new ProgressSeries(climate.firstDay(), sums);
                })
                .toList();
    }

    /** Scenarios part where the weather is no longer known; what they have in common is summed once. */
    private static List<ProgressSeries> summed(
            List<ClimateSeries> scenarios, CardinalTemperatures temperatures, DoubleUnaryOperator progressAtBest) {
        RateTable rate = new RateTable(temperatures);
        List<ProgressSeries> series = new ArrayList<>(scenarios.size());
        for (ClimateSeries climate : scenarios) {
            double[] sums = new double[climate.days() + 1];
            int common = 0;
            if (!series.isEmpty()) {
                common = climate.daysLike(scenarios.get(0));
                System.arraycopy(series.get(0).sumBefore, 0, sums, 0, common + 1);
            }
            sum(climate, common, rate, progressAtBest, sums);
            series.add(new ProgressSeries(climate.firstDay(), sums));
        }
        return List.copyOf(series);
    }

    /** The mean rate of a day is kept while temperatures stay the same, as they do for months at set points. */
    private static void sum(
            ClimateSeries climate, int firstIndex, RateTable rate, DoubleUnaryOperator progressAtBest, double[] sums) {
        double minimum = Double.NaN;
        double maximum = Double.NaN;
        double meanRate = 0;
        for (int index = firstIndex; index < climate.days(); index++) {
            if (climate.minimum(index) != minimum || climate.maximum(index) != maximum) {
                minimum = climate.minimum(index);
                maximum = climate.maximum(index);
                meanRate = DayCurve.meanOverDay(minimum, maximum, rate);
            }
            sums[index + 1] = sums[index] + meanRate * progressAtBest.applyAsDouble(climate.light(index));
        }
    }

    /** The day on which time 0 begins. */
    public LocalDate firstDay() {
        return firstDay;
    }

    /** The time at which the series ends, in days. */
    public double end() {
        return sumBefore.length - 1.0;
    }

    /**
     * Progress made between two times, 0 or more.
     *
     * @param from days since the first day, inside the series
     * @param to not before {@code from}; beyond the end counts as the end
     */
    public double between(double from, double to) {
        return sumAt(to) - sumAt(from);
    }

    /**
     * The time at which that much progress has been made since a start.
     *
     * @param from days since the first day, 0 or more
     * @param progress 0 or more
     * @return days since the first day, or {@link #NEVER}
     */
    public double timeReaching(double from, double progress) {
        if (from >= end()) {
            return NEVER;
        }
        double wanted = sumAt(from) + progress;
        int low = (int) from;
        int high = sumBefore.length - 1;
        if (sumBefore[high] < wanted) {
            return NEVER;
        }
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (sumBefore[middle] < wanted) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        if (low == 0 || sumBefore[low] == sumBefore[low - 1]) {
            return Math.max(from, low);
        }
        double share = (wanted - sumBefore[low - 1]) / (sumBefore[low] - sumBefore[low - 1]);
        return Math.max(from, low - 1 + share);
    }

    /**
     * The latest time from which so much progress is made until another.
     *
     * @param by days since the first day, 0 or more; beyond the end counts as if it went on as at the end
     * @param progress 0 or more
     * @return days since the first day; 0 where there is not so much before
     */
    public double latestStart(double by, double progress) {
        if (by > end()) {
            return by - end() + latestStart(end(), progress);
        }
        double made = sumAt(by) - progress;
        if (made <= 0) {
            return 0;
        }
        int low = 0;
        int high = (int) Math.ceil(by);
        while (low < high) {
            int middle = (low + high + 1) >>> 1;
            if (sumBefore[middle] <= made) {
                low = middle;
            } else {
                high = middle - 1;
            }
        }
        double share = low == sumBefore.length - 1 || sumBefore[low + 1] == sumBefore[low]
                ? 0
                : (made - sumBefore[low]) / (sumBefore[low + 1] - sumBefore[low]);
        return Math.min(by, low + share);
    }

    private double sumAt(double time) {
        double inside = Math.min(Math.max(time, 0), end());
        int index = (int) inside;
        if (index == sumBefore.length - 1) {
            return sumBefore[index];
        }
        return sumBefore[index] + (inside - index) * (sumBefore[index + 1] - sumBefore[index]);
    }
}
