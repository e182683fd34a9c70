package kiver.server.crop;

import java.util.List;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerSheet;
import kiver.core.sheet.SheetRow;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The containers as a sheet. */
@Component
class ContainerSheetBook implements SheetBook {

    private static final Shape SHAPE = new Shape("containers", 1, ContainerSheet.COLUMNS);

    private final LibraryBook library;

    ContainerSheetBook(LibraryBook library) {
        this.library = library;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public List<SheetRow> rows() {
        return library.library().containers().stream()
                .map(ContainerSheet::write)
                .toList();
    }

    @Override
    public void put(SheetRow row) {
        Container container = ContainerSheet.read(row);
        if (!container.code().written().matches("[a-z0-9-]{1,40}")) {
            throw new Refusal(
                    "code",
                    Said.of("Use small letters, digits and hyphens for a code, not \"{code}\".")
                            .with("code", container.code().written()));
        }
        library.put(container);
    }
}
