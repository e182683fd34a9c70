package kiver.core.outlook;

import static kiver.core.Samples.TODAY;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.Samples;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.Test;

class LightMoveTest {

    private static final PlaceClimate MILD = new PlaceClimate.SetPoints(18, 14);

    private static final Season SEASON = new Season(
            List.of(
                    place(1, MILD, 0),
                    place(2, MILD, 14),
                    place(3, new PlaceClimate.SetPoints(12, -8), 14),
                    place(4, MILD, 12),
                    place(6, MILD, 60),
                    place(7, new PlaceClimate.SetPoints(39, 14), 14),
                    place(5, MILD, 2)),
            Samples.weather(),
            Map.of(),
            46);

    /** Without windows: what light there is, lamps give. */
    private static Place place(long id, PlaceClimate climate, double lamps) {
        return new Place(new PlaceId(id), "Place " + id, (int) id, 20, climate, 0, lamps, Set.of(PlaceUse.values()));
    }

    private static BatchOutlook inTheDark() {
        Way way = new Way(new PlaceId(1), new PlaceId(1), new PlaceId(1));
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(20), BatchSamples.TARGET, way);
        return BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.counted(20, 50, way)), SEASON);
    }

    @Test
    void lightThatIsEnoughAndNotTooMuchIsOfferedWhereNothingHarmsThoseWithRoomFirst() {
        List<LightMove> moves = LightMove.of(SEASON, TODAY, inTheDark(), place -> place.number() == 2 ? 0.5 : 10);
        assertThat(moves).extracting(move -> move.place().number()).containsExactly(4L, 2L);
        assertThat(moves.get(0).fits()).isTrue();
        assertThat(moves.get(1).fits()).as("its tray needs a place of its own").isFalse();
        assertThat(moves.get(0).light()).isGreaterThan(moves.get(0).wanted());
    }

    @Test
    void lightBringsThemOn() {
        BatchOutlook dark = inTheDark();
        assertThat(LightMove.of(SEASON, TODAY, dark, place -> 10))
                .isNotEmpty()
                .allSatisfy(move -> assertThat(move.ready().orElseThrow())
                        .isBefore(dark.forecast().ready().orElseThrow().middle()));
    }
}
