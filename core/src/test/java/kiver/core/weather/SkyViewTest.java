package kiver.core.weather;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SkyViewTest {

    private static final LocalDate MIDWINTER = LocalDate.of(2027, 12, 21);
    private static final LocalDate MIDSUMMER = LocalDate.of(2027, 6, 21);
    private static final double CLEAR = 0.7;

    private static double share(Aspect aspect, double latitude, LocalDate day, double clearness) {
        return new SkyView(aspect, 0, 24).share(latitude, day, clearness);
    }

    @Test
    void lightFromAboveAllDayIsAllThereIs() {
        assertThat(SkyView.OPEN.share(46, MIDSUMMER, CLEAR)).isEqualTo(1);
        assertThat(new SkyView(Aspect.OVERHEAD, 0, 23.99).share(46, MIDSUMMER, CLEAR))
                .isCloseTo(1, within(1e-3));
    }

    /** The low sun of winter shines into a window, the high sun of summer past it. */
    @Test
    void aWindowToTheSunGetsMoreInWinterThanALevelSpotAndHalfOfItInSummer() {
        assertThat(share(Aspect.SOUTH, 46, MIDWINTER, CLEAR)).isBetween(2.3, 3.6);
        assertThat(share(Aspect.SOUTH, 46, MIDSUMMER, CLEAR)).isBetween(0.35, 0.6);
        assertThat(share(Aspect.NORTH, 46, MIDWINTER, CLEAR)).isBetween(0.15, 0.35);
    }

    /** Recomputed by the closed form of Duffie and Beckman, equation 2.19.3a. */
    @ParameterizedTest
    @CsvSource({"40, 2027-12-21", "46, 2027-01-15", "55, 2027-11-20"})
    void theBeamOnAPaneToTheEquatorIsThatOfTheClosedForm(double latitude, LocalDate day) {
        double phi = Math.toRadians(latitude);
        double declination = Daylight.declination(day);
        double sunset = Math.acos(-Math.tan(phi) * Math.tan(declination));
        // With a slope of 90°: in winter the pane sees the sun from its rise to its setting.
        double tilted = Math.cos(phi - Math.PI / 2) * Math.cos(declination) * Math.sin(sunset)
                + sunset * Math.sin(phi - Math.PI / 2) * Math.sin(declination);
        double level = Math.cos(phi) * Math.cos(declination) * Math.sin(sunset)
                + sunset * Math.sin(phi) * Math.sin(declination);
        assertThat(new SkyView(Aspect.SOUTH, 0, 24).beam(latitude, day))
                .isCloseTo(tilted / level, within(0.005 * tilted / level));
    }

    @Test
    void southOfTheEquatorTheSunStandsInTheNorth() {
        assertThat(share(Aspect.NORTH, -46, MIDSUMMER, CLEAR))
                .isCloseTo(share(Aspect.SOUTH, 46, MIDWINTER, CLEAR), within(0.1));
        assertThat(share(Aspect.SOUTH, -46, MIDSUMMER, CLEAR)).isLessThan(0.4);
    }

    @Test
    void morningAndEveningAreAlikeAndTogetherMakeADay() {
        assertThat(share(Aspect.EAST, 46, MIDSUMMER, CLEAR))
                .isCloseTo(share(Aspect.WEST, 46, MIDSUMMER, CLEAR), within(1e-6));
        double morning = new SkyView(Aspect.OVERHEAD, 0, 12).beam(46, MIDSUMMER);
        assertThat(morning).isCloseTo(0.5, within(1e-3));
        assertThat(new SkyView(Aspect.EAST, 12, 24).beam(46, MIDSUMMER))
                .as("behind a hill until noon")
                .isCloseTo(0, within(0.01));
    }

    @Test
    void underACloudySkyAllPanesAreNearlyAlike() {
        assertThat(share(Aspect.NORTH, 46, MIDWINTER, 0.15))
                .isCloseTo(share(Aspect.SOUTH, 46, MIDWINTER, 0.15), within(0.2));
        assertThat(share(Aspect.SOUTH, 46, MIDWINTER, 0)).isCloseTo(0.6, within(1e-9));
    }

    @Test
    void whereTheSunDoesNotRiseNothingIsDividedByNothing() {
        assertThat(share(Aspect.SOUTH, 75, MIDWINTER, CLEAR)).isBetween(0.0, 1.0);
        assertThatThrownBy(() -> new SkyView(Aspect.SOUTH, 14, 9)).hasMessageContaining("hour");
    }
}
