package kiver.server.crop;

import kiver.core.crop.CropCode;

/** The figures of how a crop makes leaves were changed, in the transaction that is going on. */
public record LeavesChanged(CropCode crop) {}
