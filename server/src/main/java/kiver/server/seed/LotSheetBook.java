package kiver.server.seed;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.seed.LotId;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.problem.Refusal;
import kiver.server.sheet.SheetBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The seed lots as a sheet; stock comes in seeds or in grams. */
@Component
class LotSheetBook implements SheetBook {

    private static final Shape SHAPE = new Shape(
            "lots",
            1,
            List.of(
                    Column.of("code"),
                    Column.of("variety"),
                    Column.of("supplier"),
                    Column.of("germination"),
                    Column.of("tested_seeds"),
                    Column.of("tested_on"),
                    Column.of("seeds"),
                    Column.of("grams")));

    private final SeedLotMapper mapper;
    private final CropBook crops;
    private final NurseryClock clock;

    LotSheetBook(SeedLotMapper mapper, CropBook crops, NurseryClock clock) {
        this.mapper = mapper;
        this.crops = crops;
        this.clock = clock;
    }

    @Override
    public Shape shape() {
        return SHAPE;
    }

    @Override
    public List<SheetRow> rows() {
        Map<Long, String> varieties = crops.varieties().stream().collect(Collectors.toMap(Variety::id, Variety::name));
        return mapper.all().stream()
                .map(lot -> SheetText.row(
                        SHAPE.names(),
                        lot.code(),
                        varieties.get(lot.varietyId()),
                        lot.supplier(),
                        lot.germinationLabel(),
                        lot.testedSeeds(),
                        lot.testedOn(),
                        lot.seedsBought(),
                        ""))
                .toList();
    }

    @Override
    public void put(SheetRow row) {
        String name = row.words("variety");
        Variety variety = crops.varieties().stream()
                .filter(each -> each.name().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new Refusal(
                        "variety",
                        Said.of("There is no variety \"{name}\". Add the variety first.")
                                .with("name", name)));
        double germination = row.number("germination");
        if (germination < 0 || germination > 1) {
            throw new Refusal(
                    "germination",
                    Said.of("A label says a share from 0 to 1, not {germination}.")
                            .with("germination", germination));
        }
        if (row.day("tested_on").isAfter(clock.today())) {
            throw new Refusal("tested_on", Said.of("This day is still to come."));
        }
        boolean inSeeds = !row.text("seeds").isEmpty();
        double weight = crops.cropOf(variety).seed().thousandSeedWeight();
        int seeds = inSeeds ? row.wholeNumber("seeds") : (int) Math.floor(row.number("grams") / weight * 1000);
        if (seeds < 1 || row.wholeNumber("tested_seeds") < 1) {
            throw new Refusal(
                    "seeds",
                    Said.of("A lot holds, and a test takes, at least one seed, not {seeds}.")
                            .with("seeds", seeds));
        }
        mapper.put(new SeedLot(
                new LotId(0),
                row.words("code"),
                variety.id(),
                row.words("supplier"),
                germination,
                row.wholeNumber("tested_seeds"),
                row.day("tested_on"),
                seeds,
                seeds));
    }
}
