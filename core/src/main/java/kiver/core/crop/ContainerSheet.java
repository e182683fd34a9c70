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
            Column.of("code"),
            Column.of("name"),
            Column.choice("kind", "cells", "blocks", "pots", "open"),
            Column.of("rows"),
            Column.of("columns"),
            Column.of("cell_volume"),
            Column.of("cell_depth"),
            Column.of("slots"),
            Column.of("cell_width").orNone());

    /** The names of the columns. */
    public static final List<String> NAMES = COLUMNS.stream().map(Column::name).toList();

    /** The names of those that a file must have. */
    public static final List<String> REQUIRED = Column.required(COLUMNS);

    private ContainerSheet() {}

    /**
     * The container of a row.
     *
     * @throws IllegalArgumentException naming the column that is wrong
     */
    public static Container read(SheetRow row) {
        Container square = new Container(
                new ContainerCode(row.words("code")),
                row.words("name"),
                Container.Kind.valueOf(row.oneOf("kind", List.of("cells", "blocks", "pots", "open"))
                        .toUpperCase(Locale.ROOT)),
                row.wholeNumber("rows"),
                row.wholeNumber("columns"),
                row.number("cell_volume"),
                row.number("cell_depth"),
                row.number("slots"));
        return square.wide(row.numberOr("cell_width", square.cellWidth()));
    }

    /** The row of a container; {@link #read} gives the container back. */
    public static SheetRow write(Container container) {
        return SheetText.row(
                NAMES,
                container.code().written(),
                container.name(),
                container.kind().words(),
                container.rows(),
                container.columns(),
                container.cellVolume(),
                container.cellDepth(),
                container.slots(),
                container.cellWidth());
    }
}
