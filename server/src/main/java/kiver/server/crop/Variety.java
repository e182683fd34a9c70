package kiver.server.crop;

import kiver.core.crop.CropCode;

/**
 * A variety that the nursery grows.
 *
 * @param id number
 * @param crop code of its crop
 * @param name unique
 */
public record Variety(long id, CropCode crop, String name) {}
