package kiver.core.crop;

import java.util.Objects;

/**
 * What a lesson is about.
 *
 * @param matter of it
 * @param crop code
 * @param beside what it holds for
 * @param number of the place, variety or lot; 0 for the crop itself
 */
public record LessonAbout(Matter matter, CropCode crop, Beside beside, long number) {

    /** What is learnt. */
    public enum Matter {
        /** Logarithm of the time from sowing until half are up, by what the figures say. */
        EMERGENCE,
        /** Logarithm of the time that a leaf takes, by what the figures say. */
        LEAVES,
        /** Share of the plants that come up which reach their release. */
        SURVIVAL,
        /** Logarithm of how fast trays dry, by what weather and leaves say; positive is faster. */
        DRYING;

        /** Whether what is learnt of it is gone by before anybody decided. */
        public boolean isAtWorkAtOnce() {
            return this == LEAVES || this == DRYING;
        }
    }

    /** Where in the levels it stands. */
    public enum Beside {
        /** The crop wherever nothing else is known. */
        CROP,
        /** The crop at a place. */
        PLACE,
        /** A variety beside its crop. */
        VARIETY,
        /** A lot beside its variety. */
        LOT
    }

    public LessonAbout {
        Objects.requireNonNull(matter);
        Objects.requireNonNull(crop);
        if ((beside == Beside.CROP) != (number == 0) || number < 0) {
            throw new IllegalArgumentException("A place, variety or lot has a number above 0, a crop none.");
        }
        if ((matter == Matter.SURVIVAL || matter == Matter.DRYING) && beside != Beside.CROP) {
            throw new IllegalArgumentException("Survival and drying are learnt of crops alone.");
        }
    }

    /** Of a crop itself. */
    public static LessonAbout of(Matter matter, CropCode crop) {
        return new LessonAbout(matter, crop, Beside.CROP, 0);
    }
}
