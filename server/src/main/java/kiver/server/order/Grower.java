package kiver.server.order;

/**
 * A grower.
 *
 * @param id number
 * @param name unique
 */
public record Grower(long id, String name) {}
