package kiver.server.seed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import kiver.core.seed.LotId;
import kiver.core.seed.PacketSays;
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
                    Column.day("tested_on"),
                    Column.of("seeds"),
                    Column.of("grams"),
                    Column.of("packet_days_from").orNone(),
                    Column.of("packet_days_to").orNone(),
                    Column.of("packet_depth").orNone(),
                    Column.of("sow_by").orNone(),
                    Column.choice("coated", "yes", "no").orNone(),
                    Column.choice("own_saved", "yes", "no").orNone()));

    private static final int FIRST_YEAR = 1990;
    private static final int LAST_YEAR = 2200;
    private static final double DEEPEST = 200;
    private static final double PER_CENT = 100;

    private final SeedLotMapper mapper;
    private final SeedStore store;
    private final CropBook crops;
    private final NurseryClock clock;

    LotSheetBook(SeedLotMapper mapper, SeedStore store, CropBook crops, NurseryClock clock) {
        this.mapper = mapper;
        this.store = store;
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
        Map<String, SeedLotMapper.PacketRow> packets =
                mapper.packets().stream().collect(Collectors.toMap(SeedLotMapper.PacketRow::code, Function.identity()));
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
                        "",
                        orEmpty(packets.get(lot.code()), SeedLotMapper.PacketRow::daysFrom),
                        orEmpty(packets.get(lot.code()), SeedLotMapper.PacketRow::daysTo),
                        orEmpty(packets.get(lot.code()), SeedLotMapper.PacketRow::depth),
                        orEmpty(packets.get(lot.code()), SeedLotMapper.PacketRow::sowBy),
                        yesOrNo(packets.get(lot.code()), SeedLotMapper.PacketRow::coated),
                        yesOrNo(packets.get(lot.code()), SeedLotMapper.PacketRow::ownSaved)))
                .toList();
    }

    private static Object orEmpty(
            SeedLotMapper.PacketRow packet, Function<SeedLotMapper.PacketRow, ? extends Number> part) {
        Number said = packet == null ? null : part.apply(packet);
        return said == null ? "" : said;
    }

    private static String yesOrNo(SeedLotMapper.PacketRow packet, Predicate<? super SeedLotMapper.PacketRow> part) {
        return packet != null && part.test(packet) ? "yes" : "no";
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
        double said = row.number("germination");
        // A label that says 90 means 90 in 100.
        double germination = said > 1 && said <= PER_CENT ? said / PER_CENT : said;
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
        store.put(new SeedLot(
                new LotId(0),
                row.words("code"),
                variety.id(),
                row.words("supplier"),
                germination,
                row.wholeNumber("tested_seeds"),
                row.day("tested_on"),
                seeds,
                seeds));
        store.sayOf(row.words("code"), packet(row));
    }

    private static PacketSays packet(SheetRow row) {
        Optional<PacketSays.Days> days =
                DaysOnPacket.typed(days(row, "packet_days_from"), days(row, "packet_days_to"), "packet_days_to");
        Double depth = row.text("packet_depth").isEmpty() ? null : row.number("packet_depth");
        if (depth != null && (depth < 0 || depth > DEEPEST)) {
            throw new Refusal(
                    "packet_depth",
                    Said.of("Seed lies 0 to {deepest} mm deep, not {depth}.")
                            .with("deepest", DEEPEST)
                            .with("depth", depth));
        }
        return new PacketSays(
                days,
                depth == null ? OptionalDouble.empty() : OptionalDouble.of(depth),
                sowBy(row),
                row.yesOrNothing("coated"),
                row.yesOrNothing("own_saved"));
    }

    private static Integer days(SheetRow row, String column) {
        return row.text(column).isEmpty() ? null : row.wholeNumber(column);
    }

    private static OptionalInt sowBy(SheetRow row) {
        if (row.text("sow_by").isEmpty()) {
            return OptionalInt.empty();
        }
        int year = row.wholeNumber("sow_by");
        if (year < FIRST_YEAR || year > LAST_YEAR) {
            throw new Refusal("sow_by", Said.of("Enter the year with four digits."));
        }
        return OptionalInt.of(year);
    }
}
