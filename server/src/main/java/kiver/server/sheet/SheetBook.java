package kiver.server.sheet;

import java.util.List;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;

/** Something of which the nursery has many, as a sheet; each package offers its own. */
public interface SheetBook {

    /**
     * What a sheet is like.
     *
     * @param name short, lower case, for example "places"
     * @param keys how many of the first columns tell rows apart, 1 or more
     * @param columns in their order
     */
    record Shape(String name, int keys, List<Column> columns) {
        public Shape {
            columns = List.copyOf(columns);
        }

        /** What tells a row apart, in the order of its columns. */
        public List<String> key(SheetRow row) {
            return names().subList(0, keys).stream().map(row::text).toList();
        }

        /** The names of the columns. */
        public List<String> names() {
            return columns.stream().map(Column::name).toList();
        }

        /** The names of those that a file must have. */
        public List<String> required() {
            return Column.required(columns);
        }
    }

    /** What this sheet is like. */
    Shape shape();

    /** Whether its rows can be said to be no longer used. */
    default boolean mayRetire() {
        return true;
    }

    /** All rows in their order. */
    List<SheetRow> rows();

    /**
     * Adds a row, or puts it in the place of the one with the same key.
     *
     * @throws IllegalArgumentException naming the column that is wrong
     */
    void put(SheetRow row);
}
