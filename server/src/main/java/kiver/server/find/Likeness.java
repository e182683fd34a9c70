package kiver.server.find;

import java.text.Normalizer;
import java.util.Locale;
import java.util.stream.Stream;

/** How well a name fits what was typed, whatever the accents, the case and the order of the words. */
final class Likeness {

    /** It is this. */
    static final int SAME = 4;

    private static final int BEGINS = 3;
    private static final int NAMED = 2;
    private static final int HOLDS = 1;
    private static final int NONE = 0;
    private static final int FEWEST_LETTERS_INSIDE = 3;

    private final String typed;
    private final String[] words;

    Likeness(String text) {
        typed = plain(text);
        words = typed.split(" ");
    }

    /**
     * From {@link #SAME} down to 0 for a name that does not fit.
     *
     * @param name of the thing
     * @param beside what else may have been typed of it, for example its crop
     */
    int of(String name, String beside) {
        String own = plain(name);
        if (typed.isEmpty()) {
            return NONE;
        }
        if (own.equals(typed)) {
            return SAME;
        }
        String all = own + " " + plain(beside);
        if (allBegin(own)) {
            return own.startsWith(words[0]) ? BEGINS : NAMED;
        }
        if (allBegin(all)) {
            return HOLDS;
        }
        return typed.length() >= FEWEST_LETTERS_INSIDE && all.contains(typed) ? HOLDS : NONE;
    }

    private boolean allBegin(String text) {
        String[] its = text.split(" ");
        return Stream.of(words).allMatch(word -> Stream.of(its).anyMatch(each -> each.startsWith(word)));
    }

    private static String plain(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .replace("ß", "ss")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip();
    }
}
