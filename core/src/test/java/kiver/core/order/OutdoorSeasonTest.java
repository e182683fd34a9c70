package kiver.core.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.DateSpread;
import kiver.core.weather.DailyRange;
import kiver.core.weather.Daylight;
import kiver.core.weather.StationClimate;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSimulator;
import org.junit.jupiter.api.Test;

class OutdoorSeasonTest {

    private static final LocalDate SPRING = LocalDate.of(2027, 4, 1);
    private static final SiteClimate OPEN = new SiteClimate(0, Protection.OPEN_GROUND);

    /** Ten years of 10 °C, but for one frost each spring, one day later each year, and one each 1 October. */
    private static StationRecord tenYears() {
        LocalDate first = LocalDate.of(2010, 1, 1);
        List<DailyRange> days = new ArrayList<>();
        for (LocalDate day = first; day.isBefore(LocalDate.of(2021, 1, 10)); day = day.plusDays(1)) {
            LocalDate frost = LocalDate.of(day.getYear(), 4, 20).plusDays(day.getYear() - 2010);
            boolean cold = day.equals(frost) || day.equals(LocalDate.of(day.getYear(), 10, 1));
            days.add(new DailyRange(cold ? -1 : 10, 20));
        }
        return new StationRecord(first, days);
    }

    @Test
    void frostDatesAreReadOffTheYears() {
        FrostDates dates = FrostDates.of(tenYears(), 0, 0, true);
        assertThat(dates.seasons()).isEqualTo(10);
        DateSpread spring = dates.spring(SPRING).orElseThrow();
        // 22 July less 92 days is 21 April: years shift it by the leap day only.
        assertThat(spring.early()).isBetween(LocalDate.of(2027, 4, 19), LocalDate.of(2027, 4, 21));
        assertThat(spring.middle()).isBetween(LocalDate.of(2027, 4, 23), LocalDate.of(2027, 4, 25));
        assertThat(spring.late()).isBetween(LocalDate.of(2027, 4, 27), LocalDate.of(2027, 4, 29));
        assertThat(dates.autumn(SPRING).orElseThrow().middle()).isEqualTo(LocalDate.of(2027, 10, 1));
        assertThat(dates.chanceOfFrost(LocalDate.of(2027, 4, 1))).isEqualTo(1);
        assertThat(dates.chanceOfFrost(LocalDate.of(2027, 5, 10))).isZero();
        assertThat(dates.chanceOfFrost(LocalDate.of(2027, 9, 30))).isZero();
        assertThat(dates.chanceOfFrost(LocalDate.of(2027, 10, 2))).isEqualTo(1);
        assertThat(dates.safeFrom(SPRING, 0.1)).isBetween(LocalDate.of(2027, 4, 28), LocalDate.of(2027, 4, 30));
        assertThat(dates.safeUntil(SPRING, 0.1)).isEqualTo(LocalDate.of(2027, 9, 30));
    }

    @Test
    void aWarmerSiteOrALowerThresholdHasNoSuchFrost() {
        assertThat(FrostDates.of(tenYears(), 2, 0, true).spring(SPRING)).isEmpty();
        assertThat(FrostDates.of(tenYears(), 0, -2, true).spring(SPRING)).isEmpty();
        assertThat(FrostDates.of(tenYears(), 2, -2, true).chanceOfFrost(LocalDate.of(2027, 4, 1)))
                .isZero();
        assertThatThrownBy(() -> FrostDates.of(new StationRecord(SPRING, List.of(new DailyRange(1, 2))), 0, 0, true))
                .hasMessageContaining("whole season");
    }

    @Test
    void southOfTheEquatorTheSeasonRunsOverNewYear() {
        StationRecord southern = StationSimulator.draw(
                new StationClimate(9, -10, 10, 3, 0.7), new SplittableRandom(9), LocalDate.of(1996, 1, 1), 11_000);
        FrostDates dates = FrostDates.of(southern, 0, 0, false);
        DateSpread spring = dates.spring(LocalDate.of(2026, 10, 1)).orElseThrow();
        DateSpread autumn = dates.autumn(LocalDate.of(2026, 10, 1)).orElseThrow();
        assertThat(spring.middle()).isBetween(LocalDate.of(2026, 9, 1), LocalDate.of(2026, 12, 15));
        assertThat(autumn.middle()).isBetween(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 6, 1));
        assertThat(dates.spring(LocalDate.of(2027, 2, 1))).contains(spring);
    }

    @Test
    void anUnheatedTunnelIsWorthAboutFourWeeks() {
        LocalDate open = lastFrost(Protection.OPEN_GROUND);
        assertThat(ChronoUnit.DAYS.between(lastFrost(Protection.UNHEATED_TUNNEL), open))
                .isBetween(20L, 40L);
        assertThat(ChronoUnit.DAYS.between(lastFrost(Protection.LOW_COVER), open))
                .isBetween(8L, 24L);
    }

    private static LocalDate lastFrost(Protection protection) {
        return FrostDates.of(Samples.RECORD, new SiteClimate(0, protection).nightOffset(), 0, true)
                .spring(SPRING)
                .orElseThrow()
                .middle();
    }

    @Test
    void heightMakesASiteColder() {
        assertThat(SiteClimate.at(1120, 600, Protection.OPEN_GROUND).offset()).isCloseTo(-3.38, within(0.01));
        LocalDate low =
                of(tender(0), SiteClimate.at(480, 600, Protection.OPEN_GROUND)).from();
        LocalDate high =
                of(tender(0), SiteClimate.at(1120, 600, Protection.OPEN_GROUND)).from();
        assertThat(ChronoUnit.DAYS.between(low, high)).isBetween(14L, 45L);
    }

    @Test
    void warmSoilCropsWaitForTheSoil() {
        OutdoorSeason squash = of(tender(18), OPEN);
        assertThat(squash.fromBecause()).isEqualTo(OutdoorSeason.Reason.SOIL);
        assertThat(squash.soil().orElseThrow().middle()).isEqualTo(squash.from());
        assertThat(of(tender(0), OPEN).fromBecause()).isEqualTo(OutdoorSeason.Reason.FROST);
        assertThat(of(tender(27), new SiteClimate(-4, Protection.OPEN_GROUND)).soilNeverWarm())
                .isTrue();
    }

    @Test
    void hardyCropsMayGoOutLongBeforeTenderOnes() {
        assertThat(of(Samples.kale(7), OPEN).from())
                .isBefore(of(tender(0), OPEN).from().minusDays(30));
    }

    @Test
    void autumnIsCountedBackWithShorteningDays() {
        OutdoorSeason season = of(tender(0), OPEN);
        LocalDate frost = season.frost().safeUntil(SPRING, OutdoorSeason.FROST_ACCEPTED);
        long allowed = ChronoUnit.DAYS.between(season.until().orElseThrow(), frost);
        assertThat(allowed).isBetween(64L, 80L);
        assertThat(season.ruleForLastPlanting(tender(0)).orElseThrow())
                .isEqualTo(season.averageFirstFrost().orElseThrow().minusDays(74));
        assertThat(of(
                                Samples.crop(
                                        "Thyme",
                                        Hardiness.HARDY,
                                        9,
                                        1,
                                        CardinalTemperatures.of(4, 21, 33),
                                        new OutdoorNeeds(0, -11, 0, 0)),
                                OPEN)
                        .until())
                .isEmpty();
    }

    @Test
    void rulesOfThumbCountWeeksFromTheAverageLastFrost() {
        OutdoorSeason season = of(Samples.kale(7), OPEN);
        LocalDate lastFrost = season.averageLastFrost().orElseThrow();
        assertThat(season.ruleForSowing(Samples.kale(7))).contains(lastFrost.minusWeeks(7));
        assertThat(season.ruleForPlanting(Samples.kale(7))).contains(lastFrost.minusWeeks(3));
    }

    /** FAO-56 example 9. */
    @Test
    void dayLengthAsPublished() {
        assertThat(Daylight.dayLength(-20, LocalDate.of(2027, 9, 3))).isCloseTo(11.7, within(0.05));
    }

    private static Crop tender(double soilWait) {
        return Samples.crop(
                "Squash",
                Hardiness.TENDER,
                7,
                20,
                CardinalTemperatures.of(11, 31, 41),
                new OutdoorNeeds(soilWait, -1.5, 1.5, 60));
    }

    private static OutdoorSeason of(Crop crop, SiteClimate site) {
        return OutdoorSeason.of(crop, site, Samples.RECORD, 46, SPRING);
    }
}
