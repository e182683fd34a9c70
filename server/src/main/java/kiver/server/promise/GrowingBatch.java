package kiver.server.promise;

import java.util.Map;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.growth.DateSpread;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;

/**
 * A batch as far as it matters to whoever wants plants of it.
 *
 * @param file as recorded
 * @param stage on its path
 * @param place where it stands, or is to be put when not yet sown
 * @param ready when it will be ready
 * @param chanceByLine that each line it is promised to gets its plants whole and in time, 0 to 1
 */
public record GrowingBatch(
        BatchFile file, BatchStage stage, PlaceId place, Optional<DateSpread> ready, Map<Long, Double> chanceByLine) {}
