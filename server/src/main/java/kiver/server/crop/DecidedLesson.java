package kiver.server.crop;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import kiver.core.crop.CropCode;
import kiver.core.crop.LessonAbout;

/**
 * What was decided about a lesson.
 *
 * @param aboutId number of the place, variety or lot; 0 for the crop itself
 * @param taken whether plans go by it; otherwise they go by the figures
 * @param value of it, in the unit of its matter
 * @param weight plants that it is worth, for survival
 * @param batches it rested on
 * @param was what plans went by before it
 * @param by name of who decided
 * @param undoneOn when it was undone
 */
public record DecidedLesson(
        long id,
        LessonAbout.Matter matter,
        String crop,
        LessonAbout.Beside beside,
        long aboutId,
        boolean taken,
        double value,
        double weight,
        int batches,
        double was,
        LocalDate decidedOn,
        String by,
        @Nullable LocalDate undoneOn) {

    /** What it is about. */
    public LessonAbout about() {
        return new LessonAbout(matter, new CropCode(crop), beside, aboutId);
    }
}
