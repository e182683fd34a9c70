package kiver.server.crop;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import kiver.core.crop.CropCode;
import kiver.core.crop.Descent;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.PaceLessons;
import kiver.core.crop.PaceTelling;
import kiver.core.place.PlaceId;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import org.springframework.stereotype.Component;

/** Keeps what counts told of paces, and what all of them teach. */
@Component
public class PaceTellings {

    private final PaceTellingMapper mapper;
    private final Kept<Map<Matter, PaceLessons>> lessons;

    PaceTellings(PaceTellingMapper mapper, Revisions revisions) {
        this.mapper = mapper;
        lessons = new Kept<>(() -> read(mapper.all()));
        revisions.whenChanged("pace_telling", lessons::discard);
    }

    private static Map<Matter, PaceLessons> read(List<PaceTellingMapper.TellingRow> rows) {
        Map<Matter, PaceLessons> lessons = new EnumMap<>(Matter.class);
        for (Matter matter : List.of(Matter.EMERGENCE, Matter.LEAVES)) {
            lessons.put(
                    matter,
                    new PaceLessons(rows.stream()
                            .filter(row -> row.matter() == matter)
                            .map(row -> new PaceTelling(
                                    row.batch(),
                                    new Descent(new CropCode(row.crop()), row.varietyId(), row.lotId()),
                                    new PlaceId(row.placeId()),
                                    row.logPace(),
                                    row.deviation()))
                            .toList()));
        }
        return lessons;
    }

    /** What all of them teach of emergence. */
    public PaceLessons ofEmergence() {
        return lessons.get().get(Matter.EMERGENCE);
    }

    /** What all of them teach of leaves. */
    public PaceLessons ofLeaves() {
        return lessons.get().get(Matter.LEAVES);
    }

    /** Keeps what a batch's count told, in the place of what an earlier one did. */
    public void put(Matter matter, PaceTelling telling) {
        mapper.put(matter, telling);
        lessons.forget();
    }

    /** Forgets what a batch told, if it did. */
    public void remove(Matter matter, int batch) {
        if (mapper.remove(matter, batch) > 0) {
            lessons.forget();
        }
    }

    /** Forgets what all batches of a crop told: it was beside figures that hold no more. */
    public void removeOf(Matter matter, CropCode crop) {
        if (mapper.removeOf(matter, crop) > 0) {
            lessons.forget();
        }
    }
}
