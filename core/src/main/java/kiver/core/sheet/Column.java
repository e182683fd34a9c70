package kiver.core.sheet;

import java.util.List;

/**
 * A column of a sheet. What people call it and what to enter stands in the catalogue of messages under the names of sheet
 * and column.
 *
 * @param name in the heading line, lower case with underscores, for example "seed_depth"
 * @param choices the only entries allowed; empty when any may stand there
 */
public record Column(String name, List<String> choices) {

    public Column {
        choices = List.copyOf(choices);
    }

    /** A column for any entry. */
    public static Column of(String name) {
        return new Column(name, List.of());
    }

    /** A column for one of a few entries. */
    public static Column choice(String name, String... choices) {
        return new Column(name, List.of(choices));
    }
}
