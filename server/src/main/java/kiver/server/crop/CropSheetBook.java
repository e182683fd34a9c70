package kiver.server.crop;

import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.crop.CropSheet;
import kiver.core.sheet.SheetRow;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The crops as a sheet. */
@Component
class CropSheetBook implements SheetBook {

    private static final Shape SHAPE = new Shape("crops", 1, CropSheet.COLUMNS);

    private final LibraryBook library;

    CropSheetBook(LibraryBook library) {
        this.library = library;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public List<SheetRow> rows() {
        return library.library().crops().stream().map(CropSheet::write).toList();
    }

    @Override
    public void put(SheetRow row) {
        Crop crop = CropSheet.read(row);
        if (!crop.code().written().matches("[a-z0-9-]{1,40}")) {
            throw new Refusal(
                    "code",
                    Said.of("Use small letters, digits and hyphens for a code, not \"{code}\".")
                            .with("code", crop.code().written()));
        }
        library.put(crop);
    }
}
