package kiver.server.crop;

import kiver.core.crop.CropCode;
import kiver.core.crop.LeafLessons;
import kiver.core.crop.LeafTelling;
import kiver.core.place.PlaceId;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import org.springframework.stereotype.Component;

/** Keeps what counts of leaves told, and what all of them teach. */
@Component
public class LeafTellings {

    private final LeafTellingMapper mapper;
    private final Kept<LeafLessons> lessons;

    LeafTellings(LeafTellingMapper mapper, Revisions revisions) {
        this.mapper = mapper;
        lessons = new Kept<>(() -> new LeafLessons(mapper.all().stream()
                .map(row -> new LeafTelling(
                        row.batch(),
                        new CropCode(row.crop()),
                        new PlaceId(row.placeId()),
                        row.logPace(),
                        row.deviation()))
                .toList()));
        revisions.whenChanged("leaf_telling", lessons::discard);
    }

    /** What all of them teach. */
    public LeafLessons lessons() {
        return lessons.get();
    }

    /** Keeps what a batch's count told, in the place of what an earlier one did. */
    public void put(LeafTelling telling) {
        mapper.put(telling);
        lessons.forget();
    }

    /** Forgets what a batch told, if it did. */
    public void remove(int batch) {
        if (mapper.remove(batch) > 0) {
            lessons.forget();
        }
    }

    /** Forgets what all batches of a crop told: it was beside figures that hold no more. */
    public void removeOf(CropCode crop) {
        if (mapper.removeOf(crop) > 0) {
            lessons.forget();
        }
    }
}
