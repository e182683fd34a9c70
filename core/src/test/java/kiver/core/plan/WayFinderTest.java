package kiver.core.plan;

import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.kale;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.place.Lamps;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceLight;
import kiver.core.place.PlaceUse;
import org.junit.jupiter.api.Test;

class WayFinderTest {

    private static final Crop KALE = kale(60);

    private static final Place SMALL_WARM = place(1, 4, 26, 24, PlaceUse.EMERGENCE);
    private static final Place LARGE_WARM = place(2, 30, 25, 23, PlaceUse.EMERGENCE);
    private static final Place COLD = place(3, 90, 9, 7, PlaceUse.EMERGENCE);
    private static final Place SUITED = place(4, 40, 17, 11, PlaceUse.GROWING_ON);
    private static final Place HOT = place(5, 80, 27, 25, PlaceUse.GROWING_ON);
    private static final Place WARMER = place(6, 80, 20, 14, PlaceUse.GROWING_ON);
    private static final Place YARD = place(7, 60, 12, 8, PlaceUse.HARDENING_OFF);
    private static final Place CORNER = place(8, 10, 12, 8, PlaceUse.HARDENING_OFF);

    @Test
    void theRoomiestOfTheFastPlacesTheSturdiestAndTheLargestGroundComeFirst() {
        Way way =
                WayFinder.wayFor(season(SMALL_WARM, LARGE_WARM, COLD, SUITED, HOT, WARMER, YARD, CORNER), KALE, TODAY);
        assertThat(way).isEqualTo(new Way(LARGE_WARM.id(), SUITED.id(), YARD.id()));
    }

    @Test
    void seedThatMiceEatLiesWhereNoneComeIn() {
        Place safe = new Place(
                new PlaceId(9),
                "Walled room",
                9,
                4,
                new PlaceClimate.SetPoints(25, 23),
                new PlaceLight(0.1, Lamps.giving(3)),
                true,
                Set.of(PlaceUse.EMERGENCE));
        Season season = season(LARGE_WARM, safe, SUITED, YARD);
        assertThat(WayFinder.wayFor(season, KALE, TODAY).emergence()).isEqualTo(LARGE_WARM.id());
        assertThat(WayFinder.wayFor(season, Samples.eatenByMice(), TODAY).emergence())
                .isEqualTo(safe.id());
        Place cold = new Place(
                new PlaceId(9),
                "Walled cellar",
                9,
                4,
                new PlaceClimate.SetPoints(8, 6),
                new PlaceLight(0.1, Lamps.giving(3)),
                true,
                Set.of(PlaceUse.EMERGENCE));
        assertThat(WayFinder.wayFor(season(LARGE_WARM, cold, SUITED, YARD), Samples.eatenByMice(), TODAY)
                        .emergence())
                .as("seed that lies cold for weeks is weak")
                .isEqualTo(LARGE_WARM.id());
    }

    @Test
    void waysBesideItAreWorthThinkingOf() {
        List<Way> ways =
                WayFinder.waysFor(season(SMALL_WARM, LARGE_WARM, COLD, SUITED, HOT, WARMER, YARD, CORNER), KALE, TODAY);
        assertThat(ways).doesNotHaveDuplicates().hasSizeLessThanOrEqualTo(36);
        assertThat(ways).extracting(Way::emergence).contains(SMALL_WARM.id(), LARGE_WARM.id());
        assertThat(ways).extracting(Way::growingOn).contains(SUITED.id(), WARMER.id());
        assertThat(ways).extracting(Way::hardening).contains(YARD.id(), CORNER.id());
    }

    @Test
    void aPlaceMuchTooHotIsNotThoughtOfWhileThereIsAnother() {
        assertThat(WayFinder.waysFor(season(LARGE_WARM, SUITED, HOT, YARD), KALE, TODAY))
                .extracting(Way::growingOn)
                .doesNotContain(HOT.id());
        assertThat(WayFinder.waysFor(season(LARGE_WARM, HOT, YARD), KALE, TODAY))
                .extracting(Way::growingOn)
                .containsOnly(HOT.id());
    }

    @Test
    void saysWhichKindOfPlaceTheNurseryLacks() {
        assertThatThrownBy(() -> WayFinder.wayFor(season(LARGE_WARM, SUITED), KALE, TODAY))
                .hasMessage("The nursery has no place for hardening off.");
        assertThatThrownBy(() -> WayFinder.wayFor(season(SUITED, YARD), KALE, TODAY))
                .hasMessage("The nursery has no place for emergence.");
    }

    @Test
    void theSeasonTellsTheMeanOfAPlaceAndItsLight() {
        Season season = season(LARGE_WARM, SUITED, YARD);
        assertThat(season.meanTemperature(SUITED.id(), TODAY, 20)).isBetween(14.0, 14.1);
        assertThat(season.meanLight(SUITED.id(), TODAY.plusDays(90), 20))
                .isGreaterThan(season.meanLight(SUITED.id(), TODAY, 20));
        assertThat(season.meanLight(SUITED.id(), season.lastDay().plusDays(1), 20))
                .isNaN();
        assertThat(season.place(YARD.id())).isEqualTo(YARD);
        assertThatThrownBy(() -> season.place(new PlaceId(99))).hasMessage("There is no place 99.");
    }

    private static Place place(long id, int slots, double day, double night, PlaceUse use) {
        return Samples.place(id, slots, new PlaceClimate.SetPoints(day, night), use);
    }

    private static Season season(Place... places) {
        return new Season(new ArrayList<>(List.of(places)), Samples.weather(), Map.of(), 46);
    }
}
