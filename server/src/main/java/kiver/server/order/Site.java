package kiver.server.order;

/**
 * A place where a grower plants.
 *
 * @param id number
 * @param growerId whose it is
 * @param name unique for the grower
 * @param altitude m above the sea
 */
public record Site(long id, long growerId, String name, int altitude) {}
