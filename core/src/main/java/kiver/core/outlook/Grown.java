package kiver.core.outlook;

/**
 * What a batch is of.
 *
 * @param varietyId in the database
 * @param variety name
 * @param crop code
 */
public record Grown(long varietyId, String variety, String crop) {}
