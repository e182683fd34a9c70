package kiver.server.crop;

import java.util.List;
import kiver.core.crop.CropCode;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The varieties as a sheet. */
@Component
class VarietySheetBook implements SheetBook {

    private static final Shape SHAPE = new Shape("varieties", 1, List.of(Column.of("name"), Column.of("crop")));

    private final VarietyMapper varieties;
    private final CropBook crops;

    VarietySheetBook(VarietyMapper varieties, CropBook crops) {
        this.varieties = varieties;
        this.crops = crops;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public List<SheetRow> rows() {
        return varieties.all().stream()
                .map(variety -> SheetText.row(SHAPE.names(), variety.name(), variety.crop()))
                .toList();
    }

    @Override
    public void put(SheetRow row) {
        CropCode crop = new CropCode(row.words("crop"));
        if (crops.crops().stream().noneMatch(each -> each.code().equals(crop))) {
            throw new Refusal(
                    "crop",
                    Said.of("The crop \"{crop}\" is not in the library. Add the crop first.")
                            .with("crop", crop.written()));
        }
        varieties.put(crop, row.words("name"));
    }
}
