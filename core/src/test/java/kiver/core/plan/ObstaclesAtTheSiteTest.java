package kiver.core.plan;

import static kiver.core.Samples.LOT;
import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.PLUGS;
import static kiver.core.Samples.POTS;
import static kiver.core.Samples.RECORD;
import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.at;
import static kiver.core.Samples.kale;
import static kiver.core.Samples.request;
import static kiver.core.Samples.scenarios;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.crop.CellHabits;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.crop.Thirst;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import org.junit.jupiter.api.Test;

class ObstaclesAtTheSiteTest {

    private static final CardinalTemperatures WARM = CardinalTemperatures.of(8, 28, 40);

    @Test
    void frostThatIsMoreLikelyThanNotPreventsAndARarerOneCautions() {
        Crop squash = tender(0, 60);
        Obstacle.FrostAtSite early = found(squash, LocalDate.of(2027, 4, 20), Obstacle.FrostAtSite.class)
                .orElseThrow();
        assertThat(early.prevents()).isTrue();
        LocalDate safe = season(squash, LocalDate.of(2027, 4, 20)).from();
        assertThat(early.harmedAtCelsius()).isEqualTo(1);
        assertThat(early.from()).isEqualTo(safe);
        assertThat(found(squash, safe, Obstacle.FrostAtSite.class)).isEmpty();
        Obstacle.FrostAtSite nearly =
                found(squash, safe.minusDays(3), Obstacle.FrostAtSite.class).orElseThrow();
        assertThat(nearly.prevents()).isFalse();
    }

    @Test
    void coldSoilIsSaidWithTheDayItIsMostLikelyOver() {
        Crop squash = tender(18, 60);
        Obstacle.ColdSoil cold = found(squash, LocalDate.of(2027, 5, 10), Obstacle.ColdSoil.class)
                .orElseThrow();
        assertThat(cold.prevents()).isFalse();
        assertThat(cold.waitCelsius()).isEqualTo(18);
        assertThat(cold.warm().middle()).isAfter(LocalDate.of(2027, 5, 10));
        assertThat(found(tender(29, 60), LocalDate.of(2027, 6, 10), Obstacle.SoilNeverWarm.class))
                .isPresent();
    }

    @Test
    void whatNoLongerFitsBeforeFrostAndDarkIsRefusedWithTheLastDay() {
        Obstacle.TooLateForAutumn late = found(
                        tender(0, 120), LocalDate.of(2027, 8, 20), Obstacle.TooLateForAutumn.class)
                .orElseThrow();
        assertThat(late.prevents()).isTrue();
        assertThat(late.maturityDays()).isEqualTo(120);
        assertThat(late.latest()).isBefore(LocalDate.of(2027, 8, 20));
        assertThat(found(tender(0, 0), LocalDate.of(2027, 8, 20), Obstacle.TooLateForAutumn.class))
                .isEmpty();
    }

    @Test
    void withoutASiteNothingIsSaidOfIt() {
        Plan plan = Planner.plan(
                request(tender(18, 60), MODULES, 60, TODAY.plusDays(60), 1000, LOT),
                scenarios(tender(18, 60)),
                SEASON.firstDay());
        assertThat(plan.obstacles().stream().<Class<?>>map(Object::getClass).toList())
                .doesNotContain(Obstacle.FrostAtSite.class, Obstacle.ColdSoil.class, Obstacle.TooLateForAutumn.class);
    }

    @Test
    void aCropThatHatesCellsIsBetterSownInPlace() {
        Crop kale = kale(60);
        Crop carrot = Samples.with(kale, new CellHabits(400, CellHabits.Habit.POORLY, 0, 1, Thirst.EVEN), kale.seed());
        Plan plan = Planner.plan(
                request(carrot, MODULES, 60, TODAY.plusDays(70), 1000, LOT), scenarios(carrot), SEASON.firstDay());
        assertThat(plan.obstacles().stream().<Class<?>>map(Object::getClass).toList())
                .contains(Obstacle.BetterSownInPlace.class);
        assertThat(plan.isPossible()).isTrue();
    }

    @Test
    void aStepIntoFarTooLargeAPotIsCautioned() {
        PlanRequest request = request(kale(60), POTS, 60, TODAY.plusDays(75), 1000, LOT)
                .in(new ContainerPath(ContainerPath.Kind.POTTED_ONCE, List.of(PLUGS, POTS)));
        Plan plan = Planner.plan(request, scenarios(kale(60)), SEASON.firstDay());
        assertThat(plan.obstacles().stream().<Class<?>>map(Object::getClass).toList())
                .contains(Obstacle.PotTooLarge.class);
    }

    @Test
    void clumpsTakeFewerCellsAndPrickingOutOneSeedEach() {
        PlanRequest straight = request(kale(60), MODULES, 200, TODAY.plusDays(75), 5000, LOT);
        PlanRequest clumps = straight.in(new ContainerPath(ContainerPath.Kind.CLUMPS, List.of(MODULES)));
        Plan inClumps = Planner.plan(clumps, scenarios(kale(60)), SEASON.firstDay());
        Plan singly = Planner.plan(straight, scenarios(kale(60)), SEASON.firstDay());
        assertThat(inClumps.chosen().orElseThrow().seedsPerCell()).isEqualTo(4);
        assertThat(inClumps.chosen().orElseThrow().cells())
                .isLessThan(singly.chosen().orElseThrow().cells() / 2);
        assertThat(inClumps.options()).hasSize(1);
    }

    private static <T extends Obstacle> Optional<T> found(Crop crop, LocalDate target, Class<T> kind) {
        PlanRequest request = at(season(crop, target), request(crop, MODULES, 60, target, 1000, LOT));
        return Planner.plan(request, scenarios(crop), SEASON.firstDay()).obstacles().stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .findFirst();
    }

    private static OutdoorSeason season(Crop crop, LocalDate day) {
        return OutdoorSeason.of(crop, new SiteClimate(0, Protection.OPEN_GROUND), RECORD, 46, day);
    }

    private static Crop tender(double soilWait, int maturityDays) {
        return Samples.crop(
                "Squash", Hardiness.TENDER, 60, 20, WARM, new OutdoorNeeds(soilWait, -1.5, 1.5, maturityDays));
    }
}
