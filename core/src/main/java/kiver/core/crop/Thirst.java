package kiver.core.crop;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** How wet a young plant is kept, from one watering to the next. */
public enum Thirst {
    /** It may nearly dry out before it is watered. */
    DRY_SIDE,
    /** It is watered when the tray has grown light. */
    EVEN,
    /** It never dries. */
    MOIST;

    /** As sheets say it. */
    public static final List<String> WORDS =
            Arrays.stream(values()).map(Thirst::words).toList();

    /** As a sheet says it, for example "dry side". */
    public String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** The one of these words, which must be among {@link #WORDS}. */
    public static Thirst of(String words) {
        return values()[WORDS.indexOf(words)];
    }
}
