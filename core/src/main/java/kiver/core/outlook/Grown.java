package kiver.core.outlook;

import kiver.core.crop.CropCode;

/**
 * What a batch is of.
 *
 * @param varietyId in the database
 * @param variety name
 * @param crop what kind of plant
 */
public record Grown(long varietyId, String variety, CropCode crop) {}
