package kiver.core.crop;

import java.util.Objects;
import kiver.core.growth.Paces;

/**
 * What a nursery has learnt of a crop beside its figures, for a variety and a lot where it is about one.
 *
 * @param paces of a batch before anything of it is counted
 * @param living share of emerged plants that reach their release
 */
public record Learnt(Paces paces, Survival living) {

    /** Nothing beside the figures. */
    public static final Learnt NOTHING = new Learnt(Paces.BEFORE_ANY_COUNT, Survival.USUAL);

    public Learnt {
        Objects.requireNonNull(paces);
        Objects.requireNonNull(living);
    }
}
