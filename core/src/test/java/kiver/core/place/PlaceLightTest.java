package kiver.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import kiver.core.weather.Aspect;
import kiver.core.weather.DailyRange;
import kiver.core.weather.Daylight;
import kiver.core.weather.SkyView;
import org.junit.jupiter.api.Test;

class PlaceLightTest {

    private static final LocalDate MAY = LocalDate.of(2027, 5, 20);
    private static final DailyRange CLEAR = new DailyRange(4, 24);
    private static final Lamps LAMPS = new Lamps(150, 16, 300);

    @Test
    void lampsOfOneHundredAndFiftyForSixteenHoursGiveEightPointSixFour() {
        assertThat(LAMPS.light()).isCloseTo(8.64, within(1e-9));
        assertThat(Lamps.giving(8.64).flux()).isCloseTo(150, within(1e-9));
        assertThat(Lamps.giving(0)).isEqualTo(Lamps.NONE);
    }

    @Test
    void lampsHungLowerOrLitLongerGiveWhatIsWanted() {
        assertThat(LAMPS.at(150).light()).isCloseTo(17.28, within(1e-9));
        assertThat(LAMPS.at(LAMPS.distanceFor(12)).light()).isCloseTo(12, within(1e-9));
        assertThat(new Lamps(150, LAMPS.hoursFor(12), 300).light()).isCloseTo(12, within(1e-9));
        assertThat(Lamps.NONE.hoursFor(12)).isInfinite();
        assertThat(Lamps.NONE.distanceFor(12)).isZero();
        assertThat(LAMPS.at(1).flux()).as("nothing is brighter than the sun").isEqualTo(Lamps.MOST_FLUX);
    }

    @Test
    void aClothIsDrawnOnFierceDaysOnly() {
        ShadeCloth cloth = new ShadeCloth(0.4, 22);
        assertThat(cloth.under(21)).isEqualTo(21);
        assertThat(cloth.under(30)).isCloseTo(18, within(1e-9));
        assertThat(ShadeCloth.NONE.under(60)).isEqualTo(60);
    }

    @Test
    void dayAndLampsAddUpUnderTheCloth() {
        double outdoors = Daylight.lightOutdoors(46, MAY, CLEAR);
        DailyLight bare = new PlaceLight(0.75, Lamps.NONE).at(46);
        assertThat(bare.onLeaves(MAY, CLEAR)).isCloseTo(0.75 * outdoors, within(1e-9));
        DailyLight shaded = new PlaceLight(0.75, SkyView.OPEN, new ShadeCloth(0.5, 10), LAMPS).at(46);
        assertThat(shaded.unshaded(MAY, CLEAR)).isCloseTo(0.75 * outdoors, within(1e-9));
        assertThat(shaded.onLeaves(MAY, CLEAR)).isCloseTo(0.375 * outdoors + 8.64, within(1e-9));
    }

    @Test
    void aWindowIsAskedDayByDay() {
        SkyView south = new SkyView(Aspect.SOUTH, 0, 24);
        DailyLight sill = new PlaceLight(0.7, south, ShadeCloth.NONE, Lamps.NONE).at(46);
        assertThat(sill.onLeaves(MAY, CLEAR))
                .isCloseTo(
                        0.7 * south.share(46, MAY, Daylight.clearness(CLEAR)) * Daylight.lightOutdoors(46, MAY, CLEAR),
                        within(1e-9))
                .isEqualTo(sill.onLeaves(MAY, CLEAR));
    }

    @Test
    void refusesWhatCannotBe() {
        assertThatThrownBy(() -> new Lamps(-1, 16, 300)).hasMessageContaining("µmol");
        assertThatThrownBy(() -> new Lamps(150, 25, 300)).hasMessageContaining("hours");
        assertThatThrownBy(() -> new Lamps(150, 16, 0)).hasMessageContaining("distance");
        assertThatThrownBy(() -> new ShadeCloth(1, 20)).hasMessageContaining("cloth");
        assertThatThrownBy(() -> new PlaceLight(Double.NaN, Lamps.NONE)).hasMessageContaining("daylight share");
    }
}
