package kiver.server.crop;

import kiver.core.crop.CropCode;
import kiver.core.crop.LessonAbout.Matter;

/** The figures of how fast a crop goes through a stage were changed, in the transaction that is going on. */
public record PaceFiguresChanged(Matter matter, CropCode crop) {}
