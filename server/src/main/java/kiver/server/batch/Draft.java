package kiver.server.batch;

import java.time.LocalDate;

/**
 * Changes to plans that are tried together.
 *
 * @param id in the database
 * @param name given to it
 * @param madeOn day
 */
public record Draft(long id, String name, LocalDate madeOn) {}
