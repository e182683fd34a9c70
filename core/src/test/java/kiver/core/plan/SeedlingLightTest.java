package kiver.core.plan;

import static kiver.core.Samples.LOT;
import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static kiver.core.Samples.kale;
import static kiver.core.Samples.request;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import org.junit.jupiter.api.Test;

class SeedlingLightTest {

    private static final Crop KALE = kale(60);
    private static final Path PATH = new Path(4, 7, 3);
    private static final LocalDate TARGET = TODAY.plusDays(100);

    @Test
    void isTheDaylightOfTheFirstWeeksAfterEmergence() {
        SeedlingLight light = SeedlingLight.at(Samples.seasonInLight(0.17, 0), WAY.growingOn(), KALE.leaves());
        assertThat(light.needed()).isEqualTo(6);
        assertThat(light.isEnough(TODAY)).isFalse();
        assertThat(light.isEnough(TODAY.plusDays(80))).isTrue();
        assertThat(light.meanAfter(TODAY.plusDays(60))).isGreaterThan(light.meanAfter(TODAY));
        assertThat(SeedlingLight.AMPLE.isEnough(TODAY)).isTrue();
    }

    @Test
    void aWindowBeginsWhenLightIsEnough() {
        Season dim = Samples.seasonInLight(0.17, 0);
        SowWindow byLeaves = countBack(dim, SeedlingLight.AMPLE, new Path(4, 30, 3))
                .windowFor(TARGET, TODAY)
                .orElseThrow();
        SeedlingLight light = SeedlingLight.at(dim, WAY.growingOn(), KALE.leaves());
        SowWindow byLight = countBack(dim, light, new Path(4, 30, 3))
                .windowFor(TARGET, TODAY)
                .orElseThrow();
        assertThat(byLight.earliestBecause()).isEqualTo(SowWindow.Limit.LIGHT);
        assertThat(byLight.earliest()).isAfter(byLeaves.earliest());
        assertThat(light.isEnough(byLight.earliest())).isTrue();
        assertThat(light.isEnough(byLight.earliest().minusDays(1))).isFalse();
        assertThat(byLight.latest()).isEqualTo(byLeaves.latest());
        assertThat(byLight.best()).isBetween(byLight.earliest(), byLight.latest());
    }

    @Test
    void whereNoDayOfTheWindowHasLightEnoughThePlanSaysSo() {
        Season dark = Samples.seasonInLight(0.05, 0);
        Season lamps = Samples.seasonInLight(0.05, 9);
        assertThat(obstacles(dark)).contains(Obstacle.TooDark.class);
        assertThat(obstacles(lamps)).doesNotContain(Obstacle.TooDark.class);
        SowWindow unlit = countBack(dark, SeedlingLight.at(dark, WAY.growingOn(), KALE.leaves()), PATH)
                .windowFor(TARGET, TODAY)
                .orElseThrow();
        assertThat(unlit.earliestBecause()).isEqualTo(SowWindow.Limit.LEAVES);
    }

    private static List<Class<?>> obstacles(Season season) {
        CountBack countBack = countBack(season, SeedlingLight.at(season, WAY.growingOn(), KALE.leaves()), PATH);
        return Planner.plan(
                        request(KALE, MODULES, 60, TARGET, 1000, LOT), countBack, season.firstDay(), season.lastDay())
                .obstacles()
                .stream()
                .<Class<?>>map(Object::getClass)
                .toList();
    }

    private static CountBack countBack(Season season, SeedlingLight light, Path path) {
        return new CountBack(
                path,
                season.scenarios(WAY, KALE.development(), Paces.BEFORE_ANY_COUNT),
                season.freshDraws(WAY, KALE.development(), Paces.BEFORE_ANY_COUNT),
                season.firstDay(),
                light);
    }
}
