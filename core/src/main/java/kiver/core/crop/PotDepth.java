package kiver.core.crop;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** How deep a plant is set when it is potted up. */
public enum PotDepth {
    /** As deep as it stood. */
    LEVEL,
    /** Up to its lowest true leaves, the seed leaves taken off first. */
    DEEP,
    /** Deep, say some; level, say others. */
    DISPUTED;

    /** As a sheet says them. */
    public static final List<String> WORDS =
            Arrays.stream(values()).map(PotDepth::words).toList();

    /** As a sheet says it. */
    public String words() {
        return name().toLowerCase(Locale.ROOT);
    }
}
