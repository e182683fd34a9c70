package kiver.server.release;

import java.time.LocalDate;

/**
 * Plants that left together.
 *
 * @param number on the note, from 501
 * @param orderNumber they were for
 * @param day on which they left
 */
public record Release(int number, int orderNumber, LocalDate day) {}
