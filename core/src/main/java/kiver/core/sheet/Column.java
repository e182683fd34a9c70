package kiver.core.sheet;

import java.util.List;

/**
 * A column of a sheet.
 *
 * @param name in the heading line, lower case with underscores, for example "seed_depth"
 * @param words as people say it, with its unit, for example "Sown deep, mm"
 * @param hint what to enter, or empty
 * @param choices the only entries allowed; empty when any may stand there
 */
public record Column(String name, String words, String hint, List<String> choices) {

    public Column {
        choices = List.copyOf(choices);
    }

    /** A column for any entry. */
    public static Column of(String name, String words, String hint) {
        return new Column(name, words, hint, List.of());
    }

    /** A column for one of a few entries. */
    public static Column choice(String name, String words, String... choices) {
        return new Column(name, words, "", List.of(choices));
    }
}
