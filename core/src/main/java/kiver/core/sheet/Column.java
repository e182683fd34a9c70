package kiver.core.sheet;

import java.util.List;

/**
 * A column of a sheet. What people call it and what to enter stands in the catalogue of messages under the names of sheet
 * and column.
 *
 * @param name in the heading line, lower case with underscores, for example "seed_depth"
 * @param choices the only entries allowed; empty when any may stand there
 * @param mayLack whether a file may come without it, as those do that an earlier Kiver wrote
 * @param isDay whether a day stands there
 */
public record Column(String name, List<String> choices, boolean mayLack, boolean isDay) {

    public Column {
        choices = List.copyOf(choices);
    }

    /** A column for any entry. */
    public static Column of(String name) {
        return new Column(name, List.of(), false, false);
    }

    /** A column for days, in a file written as 2027-04-15. */
    public static Column day(String name) {
        return new Column(name, List.of(), false, true);
    }

    /** A column for one of a few entries. */
    public static Column choice(String name, String... choices) {
        return new Column(name, List.of(choices), false, false);
    }

    /** The same column, which a file may come without. */
    public Column orNone() {
        return new Column(name, choices, true, isDay);
    }

    /** The names of those that a file must have. */
    public static List<String> required(List<Column> columns) {
        return columns.stream()
                .filter(column -> !column.mayLack())
                .map(Column::name)
                .toList();
    }
}
