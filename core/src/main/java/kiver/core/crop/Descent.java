package kiver.core.crop;

import java.util.Objects;

/**
 * What plants are of.
 *
 * @param crop code
 * @param variety number of the variety, or {@link #ANY}
 * @param lot number of the seed lot, or {@link #ANY}
 */
public record Descent(CropCode crop, long variety, long lot) {

    /** None in particular. */
    public static final long ANY = 0;

    public Descent {
        Objects.requireNonNull(crop);
        if (variety < 0 || lot < 0) {
            throw new IllegalArgumentException("Numbers of varieties and lots are not negative.");
        }
    }

    /** Any variety of a crop. */
    public static Descent of(CropCode crop) {
        return new Descent(crop, ANY, ANY);
    }
}
