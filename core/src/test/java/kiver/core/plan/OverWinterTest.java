package kiver.core.plan;

import static kiver.core.Samples.LOT;
import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.RECORD;
import static kiver.core.Samples.WAY;
import static kiver.core.Samples.kale;
import static kiver.core.Samples.place;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.crop.ColdNeeds;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.Learnt;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.crop.Tending;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Milestones;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Season;
import kiver.core.growth.Standing;
import kiver.core.growth.WinterRest;
import kiver.core.order.GroundRest;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.order.SoilWarmth;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceUse;
import kiver.core.sow.Allowances;
import org.junit.jupiter.api.Test;

class OverWinterTest {

    private static final LocalDate JULY = LocalDate.of(2026, 7, 10);
    private static final LocalDate SPRING = LocalDate.of(2027, 4, 16);
    private static final Season SEASON = season(new PlaceClimate.FollowsWeather(0, 0, -60));

    private static Season season(PlaceClimate stand) {
        return new Season(
                List.of(
                        place(1, 10, new PlaceClimate.SetPoints(20, 16), PlaceUse.EMERGENCE),
                        place(2, 10, new PlaceClimate.FollowsWeather(2, 4, 4), PlaceUse.GROWING_ON),
                        place(3, 10, stand, PlaceUse.HARDENING_OFF)),
                RECORD.scenarios(JULY.minusDays(1), List.of(), JULY.minusDays(20), JULY.plusDays(320)),
                Map.of(),
                46);
    }

    private static List<Scenario> scenarios(Season season, Crop crop) {
        return season.scenarios(WAY, crop.development(), Paces.BEFORE_ANY_COUNT);
    }

    private static Plan plan(Season season, Crop crop, LocalDate today, LocalDate target) {
        Optional<OutdoorSeason> site =
                Optional.of(OutdoorSeason.of(crop, new SiteClimate(0, Protection.OPEN_GROUND), RECORD, 46, target));
        PlanRequest request = new PlanRequest(
                new OrderLine(90, new LeafStage(4, 11), target),
                crop,
                ContainerPath.straight(MODULES),
                site,
                LOT,
                1000,
                Allowances.USUAL,
                0,
                3,
                true,
                today);
        return Planner.plan(request, scenarios(season, crop), season.firstDay());
    }

    private static double days(LocalDate day) {
        return ChronoUnit.DAYS.between(SEASON.firstDay(), day);
    }

    private static List<Class<?>> obstacles(Plan plan) {
        return plan.obstacles().stream().<Class<?>>map(Obstacle::getClass).toList();
    }

    @Test
    void isSownInLateSummerAndHasItsLeavesWhenWinterBegins() {
        Crop kale = kale(16);
        Plan plan = plan(SEASON, kale, JULY, SPRING);
        WinterStand winter = plan.winter().orElseThrow();
        assertThat(plan.isPossible()).as("%s", plan.obstacles()).isTrue();
        assertThat(plan.sowDay().orElseThrow()).isBetween(LocalDate.of(2026, 8, 1), LocalDate.of(2026, 10, 20));
        assertThat(winter.restsFrom()).isBetween(LocalDate.of(2026, 10, 10), LocalDate.of(2026, 12, 10));
        assertThat(winter.growsFrom()).isBetween(LocalDate.of(2027, 1, 25), LocalDate.of(2027, 4, 1));
        Path path = new Path(4, 10, 3);
        long late = scenarios(SEASON, kale).stream()
                .map(each -> path.from(
                        Standing.sownAt(days(plan.window().orElseThrow().latest())), each))
                .filter(each ->
                        SEASON.firstDay().plusDays((long) each.stageReached()).isAfter(winter.restsFrom()))
                .count();
        assertThat(late)
                .as("sown on the last day, leaves are there in nine of ten")
                .isBetween(1L, 3L);
    }

    @Test
    void goesOutInTwoSpansWithTheWinterOfTheGroundBetweenThem() {
        WinterStand winter = plan(SEASON, kale(16), JULY, SPRING).winter().orElseThrow();
        WinterStand.Span spring = winter.spring().orElseThrow();
        assertThat(spring.from()).isBefore(SPRING.plusDays(1));
        assertThat(spring.until()).isAfter(SPRING.minusDays(1));
        winter.autumn()
                .ifPresent(autumn ->
                        assertThat(autumn.until()).isBefore(winter.restsFrom().plusDays(1)));
        assertThat(obstacles(plan(SEASON, kale(16), JULY, LocalDate.of(2027, 1, 20))))
                .contains(Obstacle.GroundTooCold.class);
    }

    @Test
    void daysInTheColdCountByTheLeavesMadeInThem() {
        Path straight = new Path(List.of(), 4, 20, 40, 3);
        Crop kale = kale(16);
        double usual = kale.leaves().leavesPerDayInUsualWarmth();
        Path over = kale.overWinter(straight);
        assertThat(over.leavesLimit()).isCloseTo(Math.min(20, 40 * usual), within(1e-9));
        assertThat(over.daysLimit()).isInfinite();
        Milestones there =
                over.from(Standing.sownAt(105), scenarios(SEASON, kale).get(0));
        Milestones plain =
                straight.from(Standing.sownAt(105), scenarios(SEASON, kale).get(0));
        assertThat(there.stageReached()).isEqualTo(plain.stageReached());
        assertThat(there.pastLimit()).isGreaterThan(plain.pastLimit() + 60);
    }

    @Test
    void whatRunsToSeedAfterAColdWinterGoesIntoItSmall() {
        Crop wary = wary(5);
        SowWindow window = plan(SEASON, wary, JULY, SPRING).window().orElseThrow();
        SowWindow careless = plan(SEASON, kale(16), JULY, SPRING).window().orElseThrow();
        assertThat(window.earliest()).isAfter(careless.earliest());
        assertThat(window.earliestBecause()).isEqualTo(SowWindow.Limit.SEED_AFTER_WINTER);
        WinterRest rest = WinterRest.in(scenarios(SEASON, wary)).get(0);
        long large = scenarios(SEASON, wary).stream()
                .filter(each -> new Path(4, 5, 3)
                                .from(Standing.sownAt(days(window.earliest())), each)
                                .pastLimit()
                        < rest.from())
                .count();
        assertThat(large)
                .as("sown on the first day, nine of ten winters find five leaves at most")
                .isLessThan(4);
    }

    @Test
    void saysWhenItIsTooLateTooMildOrNoCropForIt() {
        assertThat(obstacles(plan(SEASON, kale(16), LocalDate.of(2026, 11, 20), SPRING)))
                .contains(Obstacle.TooLateBeforeWinter.class);
        assertThat(obstacles(plan(season(new PlaceClimate.SetPoints(20, 18)), kale(16), JULY, SPRING)))
                .contains(Obstacle.NoWinterRest.class);
        assertThat(obstacles(plan(SEASON, wary(4), JULY, SPRING))).contains(Obstacle.SeedAfterWinter.class);
        Crop tender = Samples.crop(
                "Squash",
                Hardiness.TENDER,
                14,
                6,
                CardinalTemperatures.of(4.5, 28, 38),
                new OutdoorNeeds(0, -7, -3, 60));
        assertThat(obstacles(plan(SEASON, tender, JULY, SPRING))).contains(Obstacle.NotOverWinter.class);
    }

    @Test
    void theGroundRestsBetweenItsLastWarmAutumnAndItsFirstWarmSpringDay() {
        SiteClimate site = new SiteClimate(0, Protection.OPEN_GROUND);
        GroundRest rest = GroundRest.about(site, RECORD, SPRING, true).orElseThrow();
        assertThat(rest.plantUntil()).isBetween(LocalDate.of(2026, 9, 1), LocalDate.of(2026, 12, 1));
        assertThat(rest.plantFrom()).isBetween(LocalDate.of(2027, 1, 20), LocalDate.of(2027, 4, 15));
        assertThat(rest.holds(LocalDate.of(2027, 1, 10))).isTrue();
        assertThat(rest.holds(rest.plantFrom())).isFalse();
        // By another way: the days of one autumn, counted in a loop over the soil of every day.
        List<Double> soil = SoilWarmth.daily(RECORD, 0);
        int cold = 0;
        for (int year = 1997; year < 2026; year++) {
            int day = (int) (LocalDate.of(year, 1, 1)
                            .plusDays(rest.plantUntil().plusDays(28).getDayOfYear() - 1L)
                            .toEpochDay()
                    - RECORD.firstDay().toEpochDay());
            cold += soil.subList(day - 5, day).stream().allMatch(each -> each < GroundRest.ROOTS_GROW) ? 1 : 0;
        }
        assertThat(cold).as("autumns in which the soil is cold already").isLessThan(9);
    }

    /** Kale that runs to seed where it goes into winter with that many leaves. */
    private static Crop wary(double leaves) {
        Crop kale = kale(16);
        return new Crop(
                kale.code(),
                kale.name(),
                kale.hardiness(),
                kale.emergence(),
                kale.leaves(),
                kale.growAt(),
                kale.leafLimit(),
                kale.cells(),
                kale.seed(),
                new ColdNeeds(2, 40, leaves),
                Tending.NONE,
                kale.outdoors(),
                kale.planting(),
                kale.sources(),
                Learnt.NOTHING);
    }
}
