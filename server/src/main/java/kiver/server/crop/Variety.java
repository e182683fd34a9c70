package kiver.server.crop;

/**
 * A variety that the nursery grows.
 *
 * @param id number
 * @param crop code of its crop
 * @param name unique
 */
public record Variety(long id, String crop, String name) {}
