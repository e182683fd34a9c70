package kiver.core.learning;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * What was promised against what was kept, over lines of orders.
 *
 * @param lines whose day has come, without those cancelled
 * @param inTime that were whole by their day
 * @param late that were whole only after it
 * @param missing that are not whole
 * @param daysLate of those late, in the mean; 0 where none is
 */
public record Kept(int lines, int inTime, int late, int missing, double daysLate) {

    /**
     * A line whose day has come.
     *
     * @param wantedOn its day
     * @param wholeOn when as many had gone as count as whole; empty while that is not so
     */
    public record Line(LocalDate wantedOn, Optional<LocalDate> wholeOn) {

        /** Whether it was whole by its day. */
        public boolean isInTime() {
            return wholeOn.isPresent() && late() <= 0;
        }

        private long late() {
            return wholeOn.map(day -> ChronoUnit.DAYS.between(wantedOn, day)).orElse(0L);
        }
    }

    /** How some lines were kept. */
    public static Kept of(List<Line> lines) {
        int whole =
                (int) lines.stream().filter(line -> line.wholeOn().isPresent()).count();
        List<Long> late =
                lines.stream().map(Line::late).filter(days -> days > 0).toList();
        return new Kept(
                lines.size(),
                whole - late.size(),
                late.size(),
                lines.size() - whole,
                late.stream().mapToLong(Long::longValue).average().orElse(0));
    }

    /** The share that was whole in time, 0 to 1; 0 where no line's day has come. */
    public double share() {
        return lines == 0 ? 0 : inTime / (double) lines;
    }
}
