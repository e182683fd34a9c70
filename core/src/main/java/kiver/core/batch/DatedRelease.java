package kiver.core.batch;

import java.time.LocalDate;

/**
 * Plants that left and when they did.
 *
 * @param plants what left of which tray
 * @param day on which
 */
public record DatedRelease(BatchChange.Released plants, LocalDate day) {}
