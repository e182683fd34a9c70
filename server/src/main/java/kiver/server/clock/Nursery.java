package kiver.server.clock;

import java.time.LocalDate;

/**
 * The nursery of this database.
 *
 * @param name of the nursery
 * @param latitude degrees, north positive
 * @param demo whether it holds demonstration data
 * @param demoToday the day on the demonstration's clock; null in a real nursery
 */
public record Nursery(String name, double latitude, boolean demo, LocalDate demoToday) {}
