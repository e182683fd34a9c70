package kiver.server.release;

import java.time.LocalDate;

/**
 * Plants that left together.
 *
 * @param number on the note, from 501
 * @param orderNumber they were for
 * @param day on which they left
 * @param plants that left, as the order counts them; 0 of one that was taken back
 */
public record Release(int number, int orderNumber, LocalDate day, int plants) {

    /** Whether all of it was taken back. */
    public boolean takenBack() {
        return plants == 0;
    }
}
