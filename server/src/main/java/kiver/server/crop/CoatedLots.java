package kiver.server.crop;

/** Port: which seed lots are coated, so that their seed is not soaked. Kept by whoever keeps the seed. */
public interface CoatedLots {

    /** Whether a lot's seed lies in a coat; {@code lot} may be {@link kiver.core.crop.Descent#ANY}. */
    boolean isCoated(long lot);
}
