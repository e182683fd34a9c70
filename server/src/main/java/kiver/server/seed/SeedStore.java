package kiver.server.seed;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.seed.LotId;
import kiver.core.seed.PacketSays;
import kiver.server.crop.CoatedLots;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.Refusal;
import kiver.server.sheet.Retired;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The seed store. */
@Component
public class SeedStore implements CoatedLots {

    private final SeedLotMapper mapper;
    private final Retired retired;
    private final Revisions revisions;
    private final Kept<Set<Long>> coated;
    private volatile KeptLots kept = KeptLots.of("", List.of(), List.of());

    /** All lots, with the mark under which they were read. */
    private record KeptLots(String mark, List<SeedLot> lots, List<SeedLot> consignments, Map<LotId, SeedLot> byId) {

        private static KeptLots of(String mark, List<SeedLot> lots, List<SeedLot> consignments) {
            return new KeptLots(
                    mark,
                    lots,
                    consignments,
                    Stream.concat(lots.stream(), consignments.stream())
                            .collect(Collectors.toMap(SeedLot::id, Function.identity())));
        }
    }

    SeedStore(SeedLotMapper mapper, Revisions revisions, Retired retired) {
        this.retired = retired;
        this.revisions = revisions;
        this.mapper = mapper;
        coated = new Kept<>(() -> Set.copyOf(mapper.coated()));
        revisions.whenChanged("seed_lot", coated::discard);
    }

    @Override
    public boolean isCoated(long lot) {
        return coated.get().contains(lot);
    }

    /** All lots by code; read anew only when something has changed, since what is left follows from the whole record. */
    public List<SeedLot> lots() {
        return present().lots();
    }

    private KeptLots present() {
        if (Kept.writing()) {
            return KeptLots.of("", mapper.all(), mapper.consignments());
        }
        String mark = revisions.mark();
        KeptLots present = kept;
        if (!present.mark().equals(mark)) {
            present = KeptLots.of(mark, mapper.all(), mapper.consignments());
            kept = present;
        }
        return present;
    }

    /** Those that may still be sown from. */
    public List<SeedLot> lotsInUse() {
        return lots().stream().filter(lot -> !retired.is("lots", lot.code())).toList();
    }

    /** The lots of a variety that may still be sown from, newest test first. */
    public List<SeedLot> lotsOf(long varietyId) {
        return lotsInUse().stream()
                .filter(lot -> lot.varietyId() == varietyId)
                .sorted(Comparator.comparing(SeedLot::testedOn).reversed().thenComparing(SeedLot::code))
                .toList();
    }

    /** All seed lots and all consignments of plants that were raised elsewhere. */
    public List<SeedLot> lotsAndConsignments() {
        KeptLots all = present();
        return Stream.concat(all.lots().stream(), all.consignments().stream()).toList();
    }

    /** The seed lot, or the consignment of plants, of that number. */
    public SeedLot lot(LotId id) {
        return Optional.ofNullable(present().byId().get(id))
                .orElseThrow(() -> new Refusal("lotId", Said.of("This seed lot is not in the store.")));
    }

    /**
     * The lot, held until the transaction ends so that two sowings cannot take the same seed.
     *
     * @param id of the lot
     */
    public SeedLot lotToTakeFrom(LotId id) {
        mapper.lock(id);
        return mapper.byId(id).orElseGet(() -> lot(id));
    }

    /**
     * Writes down plants that are to arrive and answers the number of the consignment.
     *
     * @param code on the papers; empty where there is none
     * @param price of one plant, in the nursery's own money; null when it is not known
     */
    public LotId addConsignment(
            String code, long varietyId, String supplier, LocalDate arrives, int plants, Double price) {
        String own = code.isEmpty() ? "P-" + (mapper.consignments().size() + 1) + "-" + arrives : code;
        return mapper.insertConsignment(own, varietyId, supplier, arrives, plants, price)
                .orElseThrow(() -> new Refusal(
                        "code",
                        Said.of("There is a lot with the code \"{lot}\" already.")
                                .with("lot", own)));
    }

    /** What one plant of a consignment cost, if that is known. */
    public Optional<Double> priceOf(LotId id) {
        return mapper.price(id);
    }

    /** What was last paid for a plant of a crop that was bought in, if that is known. */
    public Optional<Double> lastPriceOf(String crop) {
        return mapper.lastPrice(crop);
    }

    /** What the packets say besides germination, by the lots' codes; those are missing that say nothing. */
    public Map<String, PacketSays> packets() {
        return mapper.packets().stream()
                .collect(Collectors.toMap(SeedLotMapper.PacketRow::code, SeedLotMapper.PacketRow::packet));
    }

    /** Writes down what the packet of a lot says. */
    public void sayOf(String lot, PacketSays packet) {
        mapper.sayOf(SeedLotMapper.PacketRow.of(lot, packet));
        coated.forget();
    }

    /** Adds a lot, or changes the one of its code; its number in {@code lot} is not used. */
    public void put(SeedLot lot) {
        mapper.put(lot);
    }

    /** Adds a lot; its number in {@code lot} is not used. */
    public void add(SeedLot lot) {
        if (mapper.insert(lot) == 0) {
            throw new Refusal(
                    "code",
                    Said.of("There is a lot with the code \"{lot}\" already.").with("lot", lot.code()));
        }
    }
}
