package kiver.core.crop;

import java.util.List;
import java.util.Locale;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;

/** Containers as rows of a sheet. */
public final class ContainerSheet {

    /** The columns, in their order. */
    public static final List<Column> COLUMNS = List.of(
            Column.of("code", "Code", "short and lasting, for example module-60"),
            Column.of("name", "Name", "as people say it"),
            Column.choice("kind", "Kind", "cells", "blocks", "pots", "open"),
            Column.of("rows", "Rows", "cells from front to back"),
            Column.of("columns", "Columns", "cells from left to right"),
            Column.of("cell_volume", "Cell holds, mL", ""),
            Column.of("cell_depth", "Cell deep, mm", ""),
            Column.of("slots", "Bench room, trays", "in trays of 540 × 280 mm"));

    /** The names of the columns. */
    public static final List<String> NAMES = COLUMNS.stream().map(Column::name).toList();

    private ContainerSheet() {}

    /**
     * The container of a row.
     *
     * @throws IllegalArgumentException naming the column that is wrong
     */
    public static Container read(SheetRow row) {
        return new Container(
                row.words("code"),
                row.words("name"),
                Container.Kind.valueOf(row.oneOf("kind", List.of("cells", "blocks", "pots", "open"))
                        .toUpperCase(Locale.ROOT)),
                row.wholeNumber("rows"),
                row.wholeNumber("columns"),
                row.number("cell_volume"),
                row.number("cell_depth"),
                row.number("slots"));
    }

    /** The row of a container; {@link #read} gives the container back. */
    public static SheetRow write(Container container) {
        return SheetText.row(
                NAMES,
                container.code(), container.name(), container.kind().words(), container.rows(), container.columns(),
                container.cellVolume(), container.cellDepth(), container.slots());
    }
}
