package kiver.server.space;

import java.util.List;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** What things cost, as a sheet. */
@Component
class RateSheetBook implements SheetBook {

    private static final Shape SHAPE =
            new Shape("rates", 1, List.of(Column.of("code"), Column.of("words"), Column.of("value")));

    private final RateBook rates;

    RateSheetBook(RateBook rates) {
        this.rates = rates;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public boolean mayRetire() {
        return false;
    }

    @Override
    public List<SheetRow> rows() {
        return rates.all().stream()
                .map(rate -> SheetText.row(SHAPE.names(), rate.code(), rate.words(), rate.value()))
                .toList();
    }

    @Override
    public void put(SheetRow row) {
        double value = row.number("value");
        if (value < 0) {
            throw new Refusal("value", Said.of("A cost cannot be negative."));
        }
        if (!rates.set(row.words("code"), value)) {
            throw new Refusal("code", Said.of("There is no cost \"{code}\".").with("code", row.text("code")));
        }
    }
}
