package kiver.server.seed;

import java.util.List;
import kiver.server.problem.Refusal;
import org.springframework.stereotype.Component;

/** The seed store. */
@Component
public class SeedStore {

    private final SeedLotMapper mapper;

    SeedStore(SeedLotMapper mapper) {
        this.mapper = mapper;
    }

    /** All lots by code. */
    public List<SeedLot> lots() {
        return mapper.all();
    }

    /** The lots of a variety, newest test first. */
    public List<SeedLot> lotsOf(long varietyId) {
        return mapper.ofVariety(varietyId);
    }

    /** The lot of that number. */
    public SeedLot lot(long id) {
        return mapper.byId(id).orElseThrow(() -> new Refusal("lotId", "This seed lot is not in the store."));
    }

    /**
     * The lot, held until the transaction ends so that two sowings cannot take the same seed.
     *
     * @param id of the lot
     */
    public SeedLot lotToTakeFrom(long id) {
        mapper.lock(id);
        return lot(id);
    }

    /** Adds a lot, or changes the one of its code; its number in {@code lot} is not used. */
    public void put(SeedLot lot) {
        mapper.put(lot);
    }

    /** Adds a lot; its number in {@code lot} is not used. */
    public void add(SeedLot lot) {
        if (mapper.insert(lot) == 0) {
            throw new Refusal("code", "There is a lot with the code \"" + lot.code() + "\" already.");
        }
    }
}
