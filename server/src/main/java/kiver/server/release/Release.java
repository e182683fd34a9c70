package kiver.server.release;

import java.time.LocalDate;
import java.util.List;

/**
 * Plants that left together.
 *
 * @param number on the note, from 501
 * @param orderNumber they were for
 * @param day on which they left
 * @param lines what left with each line of the order; none of a release that was taken back
 */
public record Release(int number, int orderNumber, LocalDate day, List<Part> lines) {

    /** Plants that left with one line, as the line counts them. */
    public record Part(int line, int plants) {}

    /** Plants that left. */
    public int plants() {
        return lines.stream().mapToInt(Part::plants).sum();
    }

    /** Whether all of it was taken back. */
    public boolean takenBack() {
        return lines.isEmpty();
    }
}
