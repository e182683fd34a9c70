package kiver.server.find;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;

/**
 * What fits some words, what is meant by them alone coming first.
 *
 * @param things that fit, at most {@link #MOST}
 * @param more whether others fit, too
 */
record Found(List<Thing> things, boolean more) {

    /** So many are shown; who wants others says more. */
    static final int MOST = 24;

    /**
     * Something that fits.
     *
     * @param kind of thing
     * @param key by which it is opened: a number or a code
     * @param name as people say it
     * @param beside what tells it from others of its name; null where nothing does
     * @param day of it: sown, wanted or handed over; null where it has none
     * @param exact whether it is this that was typed or scanned, and not only something like it
     */
    record Thing(
            FoundKind kind,
            String key,
            String name,
            @Nullable String beside,
            @Nullable LocalDate day,
            boolean exact) {}
}
