package kiver.core.plan;

import static kiver.core.Samples.LOT;
import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.PLUGS;
import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.crop;
import static kiver.core.Samples.kale;
import static kiver.core.Samples.request;
import static kiver.core.Samples.scenarios;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.Way;
import kiver.core.place.PlaceId;
import org.junit.jupiter.api.Test;

class PlannerTest {

    @Test
    void plansAnOrderThatCanBeMet() {
        Plan plan = plan(kale(60), MODULES, 100, TODAY.plusDays(70), 1000);
        assertThat(plan.isPossible()).isTrue();
        assertThat(plan.plantsToAimFor()).isEqualTo(103);
        assertThat(plan.options()).hasSize(3);
        assertThat(plan.chosen().orElseThrow().seedsPerCell()).isEqualTo(2);
        assertThat(plan.chance()).isGreaterThan(0.7);
        SowWindow window = plan.window().orElseThrow();
        assertThat(window.best()).isBetween(window.earliest(), window.latest());
        assertThat(plan.ready().orElseThrow().middle()).isBeforeOrEqualTo(TODAY.plusDays(70));
        assertThat(plan.pastLimit().orElseThrow().middle()).isAfterOrEqualTo(TODAY.plusDays(70));
    }

    @Test
    void windowKeepsItsPromises() {
        CountBack countBack = countBack(kale(60), 3);
        LocalDate target = TODAY.plusDays(75);
        SowWindow window = countBack.windowFor(target, TODAY).orElseThrow();
        assertThat(share(countBack, window.latest(), target, true)).isGreaterThanOrEqualTo(0.9);
        assertThat(share(countBack, window.latest().plusDays(1), target, true)).isLessThan(0.9);
        assertThat(share(countBack, window.earliest(), target, false)).isGreaterThanOrEqualTo(0.9);
        assertThat(share(countBack, window.earliest().minusDays(1), target, false))
                .isLessThan(0.9);
        assertThat(window.best()).isBetween(window.earliest(), window.latest());
        for (LocalDate day = window.earliest(); !day.isAfter(window.latest()); day = day.plusDays(1)) {
            assertThat(countBack.chance(day, target)).isLessThanOrEqualTo(window.chance());
        }
    }

    @Test
    void halvingFindsTheSameDaysAsTryingEachOne() {
        for (double leafLimit : new double[] {4.3, 5, 7, 60}) {
            for (int away = 5; away < 130; away += 3) {
                LocalDate target = TODAY.plusDays(away);
                CountBack countBack = countBack(kale(leafLimit), 3);
                var window = countBack.windowFor(target, TODAY);
                List<LocalDate> days = TODAY.datesUntil(target.plusDays(1)).toList();
                double best = days.stream()
                        .mapToDouble(day -> countBack.chance(day, target))
                        .max()
                        .orElse(0);
                assertThat(window.isPresent())
                        .as("leaf limit %s, %s", leafLimit, target)
                        .isEqualTo(best > 0);
                if (window.isPresent()) {
                    List<LocalDate> young = days.stream()
                            .filter(day -> share(countBack, day, target, false) >= 0.9)
                            .toList();
                    List<LocalDate> ready = days.stream()
                            .filter(day -> share(countBack, day, target, true) >= 0.9)
                            .toList();
                    assertThat(window.get().earliest()).isEqualTo(young.isEmpty() ? target : young.get(0));
                    assertThat(window.get().latest())
                            .isEqualTo(ready.isEmpty() ? TODAY.minusDays(1) : ready.get(ready.size() - 1));
                    if (!window.get().isOpen()) {
                        assertThat(countBack.chance(window.get().best(), target))
                                .isEqualTo(best);
                    }
                }
            }
        }
    }

    @Test
    void sowingLaterIsReadyLater() {
        CountBack countBack = countBack(kale(60), 3);
        double before = 0;
        for (int day = 0; day < 60; day += 5) {
            Milestones[] milestones = countBack.milestones(TODAY.plusDays(day));
            assertThat(milestones[0].ready()).isGreaterThan(before);
            before = milestones[0].ready();
        }
    }

    @Test
    void saysThatItIsTooLateAndWhenItWouldBeReady() {
        Plan plan = plan(kale(60), MODULES, 100, TODAY.plusDays(12), 1000);
        assertThat(plan.isPossible()).isFalse();
        assertThat(plan.obstacles().get(0))
                .isInstanceOfSatisfying(
                        Obstacle.TooLateToSow.class,
                        late -> assertThat(late.ready().middle()).isAfter(TODAY.plusDays(12)));
    }

    @Test
    void saysThatSeedIsMissing() {
        assertThat(kinds(plan(kale(60), MODULES, 100, TODAY.plusDays(70), 50)))
                .containsExactly(Obstacle.SeedToBuy.class);
        Plan without = Planner.plan(
                request(kale(60), MODULES, 100, TODAY.plusDays(70), 0, null), scenarios(kale(60)), SEASON.firstDay());
        assertThat(kinds(without)).containsExactly(Obstacle.NoSeed.class);
        assertThat(without.isPossible()).isFalse();
    }

    @Test
    void saysThatACellIsTooSmallOrTooShallow() {
        assertThat(kinds(plan(kale(5), PLUGS, 100, TODAY.plusDays(70), 1000))).contains(Obstacle.CellTooSmall.class);
        Crop deep = crop(60, 25, CardinalTemperatures.of(4, 27, 38));
        assertThat(kinds(plan(deep, PLUGS, 100, TODAY.plusDays(70), 1000)))
                .containsExactly(Obstacle.CellTooShallow.class);
    }

    @Test
    void saysThatItNeverEmerges() {
        Crop tropical = crop(60, 6, CardinalTemperatures.of(30, 36, 44));
        assertThat(kinds(plan(tropical, MODULES, 100, TODAY.plusDays(70), 1000)))
                .containsExactly(Obstacle.NeverEmerges.class);
    }

    @Test
    void findsTheWay() {
        Way way = WayFinder.wayFor(SEASON, kale(60), TODAY);
        assertThat(way).isEqualTo(new Way(new PlaceId(1), new PlaceId(2), new PlaceId(3)));
    }

    private static List<Class<?>> kinds(Plan plan) {
        return plan.obstacles().stream().<Class<?>>map(Object::getClass).toList();
    }

    private static double share(CountBack countBack, LocalDate sown, LocalDate target, boolean inTime) {
        double due = target.toEpochDay() - SEASON.firstDay().toEpochDay();
        Milestones[] all = countBack.milestones(sown);
        int good = 0;
        for (Milestones each : all) {
            good += (inTime ? each.ready() <= due + 1 : each.pastLimit() >= due) ? 1 : 0;
        }
        return good / (double) all.length;
    }

    private static CountBack countBack(Crop crop, int hardeningDays) {
        return new CountBack(new Path(4, 7, hardeningDays), scenarios(crop), SEASON.firstDay());
    }

    private static Plan plan(Crop crop, Container container, int plants, LocalDate target, int seeds) {
        return Planner.plan(request(crop, container, plants, target, seeds, LOT), scenarios(crop), SEASON.firstDay());
    }
}
