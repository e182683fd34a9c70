package kiver.core.outlook;

import java.util.List;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;

/**
 * How a batch travels: what it has to go through, where it is on that, and how fast.
 *
 * @param path it is on
 * @param standing where it stands on that path
 * @param way the places it is passing through, moves already made included
 * @param paces what is known of its paces
 */
public record Journey(Path path, Standing standing, Way way, Paces paces) {

    private static final Path NOWHERE = new Path(List.of(), 1, 1, Double.POSITIVE_INFINITY, 0);

    /** Of a batch for which nothing lies ahead, or nothing can be worked out. */
    static Journey none(Way planned) {
        return new Journey(NOWHERE, Standing.sownAt(0), planned, Paces.BEFORE_ANY_COUNT);
    }
}
