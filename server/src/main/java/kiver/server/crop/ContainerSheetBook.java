package kiver.server.crop;

import java.util.List;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerSheet;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.server.sheet.SheetBook;
import org.springframework.stereotype.Component;

/** The containers as a sheet. */
@Component
class ContainerSheetBook implements SheetBook {

    private final LibraryBook library;

    ContainerSheetBook(LibraryBook library) {
        this.library = library;
    }

    @Override
    public String name() {
        return "containers";
    }

    @Override
    public List<Column> columns() {
        return ContainerSheet.COLUMNS;
    }

    @Override
    public int keys() {
        return 1;
    }

    @Override
    public List<SheetRow> rows() {
        return library.library().containers().stream().map(ContainerSheet::write).toList();
    }

    @Override
    public void put(SheetRow row) {
        Container container = ContainerSheet.read(row);
        if (!container.code().matches("[a-z0-9-]{1,40}")) {
            throw new IllegalArgumentException("code is \"" + container.code() + "\"; use small letters, digits and hyphens.");
        }
        library.put(container);
    }
}
