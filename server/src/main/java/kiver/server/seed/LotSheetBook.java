package kiver.server.seed;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.sheet.SheetBook;
import org.springframework.stereotype.Component;

/** The seed lots as a sheet; stock comes in seeds or in grams. */
@Component
class LotSheetBook implements SheetBook {

    private static final Shape SHAPE = new Shape(
            "lots", 1, List.of(
                    Column.of("code", "Code on the packet", ""),
                    Column.of("variety", "Variety", ""),
                    Column.of("supplier", "Supplier", ""),
                    Column.of("germination", "Germination on the label, 0 to 1", ""),
                    Column.of("tested_seeds", "Seeds tested", ""),
                    Column.of("tested_on", "Tested on", "written 2027-04-15"),
                    Column.of("seeds", "Seeds bought", "or grams"),
                    Column.of("grams", "Grams bought", "or seeds; counted by the crop's thousand-seed weight")));

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
                        SHAPE.names(), lot.code(), varieties.get(lot.varietyId()), lot.supplier(), lot.germinationLabel(),
                        lot.testedSeeds(), lot.testedOn(), lot.seedsBought(), ""))
                .toList();
    }

    @Override
    public void put(SheetRow row) {
        String name = row.words("variety");
        Variety variety = crops.varieties().stream()
                .filter(each -> each.name().equalsIgnoreCase(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "variety is \"" + name + "\"; there is none of that name. Add the variety first."));
        double germination = row.number("germination");
        if (germination < 0 || germination > 1) {
            throw new IllegalArgumentException("germination is " + germination + "; enter a share from 0 to 1.");
        }
        if (row.day("tested_on").isAfter(clock.today())) {
            throw new IllegalArgumentException("tested_on is " + row.day("tested_on") + ", which is still to come.");
        }
        boolean inSeeds = !row.text("seeds").isEmpty();
        double weight = crops.cropOf(variety).seed().thousandSeedWeight();
        int seeds = inSeeds ? row.wholeNumber("seeds") : (int) Math.floor(row.number("grams") / weight * 1000);
        if (seeds < 1 || row.wholeNumber("tested_seeds") < 1) {
            throw new IllegalArgumentException("seeds is " + seeds + "; a lot holds, and a test takes, at least one seed.");
        }
        mapper.put(new SeedLot(
                0, row.words("code"), variety.id(), row.words("supplier"), germination, row.wholeNumber("tested_seeds"),
                row.day("tested_on"), seeds, seeds));
    }
}
