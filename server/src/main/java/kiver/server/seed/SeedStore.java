package kiver.server.seed;

import java.util.Comparator;
import java.util.List;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** The seed store. */
@Component
public class SeedStore {

    private final SeedLotMapper mapper;
    private final Revisions revisions;
    private volatile KeptLots kept = new KeptLots("", List.of());

    /** All lots, with the mark under which they were read. */
    private record KeptLots(String mark, List<SeedLot> lots) {}

    SeedStore(SeedLotMapper mapper, Revisions revisions) {
        this.revisions = revisions;
        this.mapper = mapper;
    }

    /** All lots by code; read anew only when something has changed, since what is left follows from the whole record. */
    public List<SeedLot> lots() {
        if (Kept.writing()) {
            return mapper.all();
        }
        String mark = revisions.mark();
        KeptLots present = kept;
        if (!present.mark().equals(mark)) {
            present = new KeptLots(mark, mapper.all());
            kept = present;
        }
        return present.lots();
    }

    /** The lots of a variety, newest test first. */
    public List<SeedLot> lotsOf(long varietyId) {
        return lots().stream()
                .filter(lot -> lot.varietyId() == varietyId)
                .sorted(Comparator.comparing(SeedLot::testedOn).reversed().thenComparing(SeedLot::code))
                .toList();
    }

    /** The lot of that number. */
    public SeedLot lot(long id) {
        return lots().stream().filter(lot -> lot.id() == id).findFirst().orElseThrow(() -> new Refusal("lotId", Said.of("This seed lot is not in the store.")));
    }

    /**
     * The lot, held until the transaction ends so that two sowings cannot take the same seed.
     *
     * @param id of the lot
     */
    public SeedLot lotToTakeFrom(long id) {
        mapper.lock(id);
        return mapper.byId(id).orElseGet(() -> lot(id));
    }

    /** Adds a lot, or changes the one of its code; its number in {@code lot} is not used. */
    public void put(SeedLot lot) {
        mapper.put(lot);
    }

    /** Adds a lot; its number in {@code lot} is not used. */
    public void add(SeedLot lot) {
        if (mapper.insert(lot) == 0) {
            throw new Refusal("code", Said.of("There is a lot with the code \"{lot}\" already.").with("lot", lot.code()));
        }
    }
}
