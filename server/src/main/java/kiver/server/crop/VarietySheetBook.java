package kiver.server.crop;

import java.util.List;
import java.util.Locale;
import kiver.core.crop.CropCode;
import kiver.core.crop.Maturity;
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

    private static final Shape SHAPE = new Shape(
            "varieties",
            1,
            List.of(
                    Column.of("name"),
                    Column.of("crop"),
                    Column.choice("hybrid", "yes", "no").orNone(),
                    Column.of("maturity_days").orNone(),
                    Column.choice("maturity_from", "sowing", "emergence", "planting")
                            .orNone()));

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
                .map(variety -> SheetText.row(
                        SHAPE.names(),
                        variety.name(),
                        variety.crop(),
                        variety.hybrid() ? "yes" : "no",
                        variety.maturityDays() == null ? "" : variety.maturityDays(),
                        variety.maturityFrom() == null
                                ? ""
                                : variety.maturityFrom().name().toLowerCase(Locale.ROOT)))
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
        Integer days = row.text("maturity_days").isEmpty() ? null : row.wholeNumber("maturity_days");
        String from = row.text("maturity_from");
        if (days != null && (days < 1 || days > Maturity.LONGEST)) {
            throw new Refusal(
                    "maturity_days",
                    Said.of("A variety is ripe after 1 to {longest} days, not {days}.")
                            .with("longest", Maturity.LONGEST)
                            .with("days", days));
        }
        if ((days == null) != from.isEmpty()) {
            throw new Refusal(
                    days == null ? "maturity_days" : "maturity_from",
                    Said.of("Say after how many days it is ripe, and from when they count, or leave both empty."));
        }
        crops.put(new Variety(
                0,
                crop,
                row.words("name"),
                row.yesOrNothing("hybrid"),
                days,
                days == null ? null : Maturity.From.valueOf(from.toUpperCase(Locale.ROOT))));
    }
}
