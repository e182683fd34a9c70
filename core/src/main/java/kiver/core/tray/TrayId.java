package kiver.core.tray;

/**
 * Identifies a tray within the nursery.
 *
 * @param number 1 or more
 */
public record TrayId(long number) {}
