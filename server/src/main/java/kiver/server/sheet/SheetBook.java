package kiver.server.sheet;

import java.util.List;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;

/** Something of which the nursery has many, as a sheet; each package offers its own. */
public interface SheetBook {

    /** Short name, lower case, for example "places". */
    String name();

    /** The columns; the first of them tell rows apart. */
    List<Column> columns();

    /** How many of the first columns tell rows apart, 1 or more. */
    int keys();

    /** All rows in their order. */
    List<SheetRow> rows();

    /**
     * Adds a row, or puts it in the place of the one with the same key.
     *
     * @throws IllegalArgumentException naming the column that is wrong
     */
    void put(SheetRow row);

    /** The names of the columns. */
    default List<String> names() {
        return columns().stream().map(Column::name).toList();
    }
}
