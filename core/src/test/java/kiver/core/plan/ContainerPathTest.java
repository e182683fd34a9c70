package kiver.core.plan;

import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.PLUGS;
import static kiver.core.Samples.POTS;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.kale;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import kiver.core.Samples;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.growth.Milestones;
import kiver.core.growth.Path;
import kiver.core.growth.Potting;
import kiver.core.growth.Standing;
import kiver.core.plan.ContainerPath.Kind;
import org.junit.jupiter.api.Test;

class ContainerPathTest {

    private static final Container LARGE =
            new Container(new ContainerCode("pot-9"), "Carrier of 18 pots", Container.Kind.POTS, 3, 6, 600, 80, 1);
    private static final Container OPEN =
            new Container(new ContainerCode("open"), "Open tray", Container.Kind.OPEN, 12, 20, 15, 40, 1);
    private static final List<Container> KNOWN = List.of(PLUGS, MODULES, POTS, LARGE, OPEN);

    @Test
    void findsThePathsThatTheNurseryHasContainersFor() {
        assertThat(ContainerPath.all(LARGE, kale(7), KNOWN))
                .extracting(ContainerPath::kind)
                .containsExactly(Kind.STRAIGHT, Kind.POTTED_ONCE, Kind.POTTED_TWICE, Kind.CLUMPS, Kind.PRICKED_OUT);
        assertThat(ContainerPath.of(Kind.POTTED_TWICE, LARGE, kale(7), KNOWN)
                        .orElseThrow()
                        .containers())
                .containsExactly(MODULES, POTS, LARGE);
        assertThat(ContainerPath.of(Kind.POTTED_ONCE, PLUGS, kale(7), KNOWN)).isEmpty();
        assertThat(ContainerPath.of(Kind.BLOCKS, LARGE, kale(7), KNOWN)).isEmpty();
    }

    @Test
    void aPotIsLargerThanItsPlugButNotMuch() {
        assertThatThrownBy(() -> new ContainerPath(Kind.POTTED_ONCE, List.of(POTS, PLUGS)))
                .hasMessageContaining("the pot must be larger than the plug");
        assertThat(new ContainerPath(Kind.POTTED_ONCE, List.of(PLUGS, LARGE))
                        .tooLargeAStep()
                        .orElseThrow())
                .isEqualTo(
                        new ContainerStep(PLUGS.code().written(), LARGE.code().written(), 38));
        assertThat(new ContainerPath(Kind.POTTED_ONCE, List.of(MODULES, POTS)).tooLargeAStep())
                .isEmpty();
    }

    @Test
    void aTrayOfPlugsBecomesSeveralOfPots() {
        assertThat(new ContainerPath(Kind.POTTED_ONCE, List.of(PLUGS, POTS)).slots(150, 120))
                .containsExactly(1.0, 5.0);
    }

    @Test
    void pottedLateIsLaterThanUsualButNotPastWhatRootsAllow() {
        ContainerPath once = new ContainerPath(Kind.POTTED_ONCE, List.of(PLUGS, POTS));
        double limit = kale(7).leafLimitIn(PLUGS);
        assertThat(once.pottings(kale(7), 12, true).get(0).atLeaves()).isEqualTo(0.95 * limit);
        assertThat(once.pottings(kale(7), 4, true).get(0).atLeaves())
                .as("one leaf is left for the pot")
                .isEqualTo(3);
        assertThat(once.pottings(kale(7), 4).get(0).atLeaves()).isEqualTo(2);
        assertThat(new ContainerPath(Kind.PRICKED_OUT, List.of(OPEN, POTS)).pottings(kale(7), 6, true))
                .as("pricking out does not wait")
                .extracting(Potting::atLeaves)
                .containsExactly(1.0);
    }

    @Test
    void pottingsComeInTheirOrderAndBeforeTheLeavesWanted() {
        ContainerPath twice = new ContainerPath(Kind.POTTED_TWICE, List.of(PLUGS, POTS, LARGE));
        assertThat(twice.pottings(kale(7), 6)).extracting(Potting::atLeaves).containsExactly(2.0, 4.0);
        assertThat(new ContainerPath(Kind.PRICKED_OUT, List.of(OPEN, POTS)).pottings(kale(7), 6))
                .extracting(Potting::atLeaves)
                .containsExactly(1.0);
        assertThat(new ContainerPath(Kind.POTTED_ONCE, List.of(PLUGS, POTS))
                        .pottings(kale(3), 12)
                        .get(0)
                        .atLeaves())
                .isLessThan(3);
        assertThat(ContainerPath.straight(POTS).pottings(kale(7), 6)).isEmpty();
    }

    @Test
    void pottingCostsACheckAndBringsRoom() {
        Path straight = new Path(4, 7, 3);
        Path potted = new Path(List.of(new Potting(2, 3)), 4, 12, Double.POSITIVE_INFINITY, 3);
        Standing sown = Standing.sownAt(30);
        for (var scenario : Samples.scenarios(kale(7)).subList(0, 5)) {
            Milestones one = straight.from(sown, scenario);
            Milestones other = potted.from(sown, scenario);
            assertThat(other.ready()).isBetween(one.ready() + 1.5, one.ready() + 5);
            assertThat(other.pastLimit()).isGreaterThan(one.pastLimit());
            double[] when = potted.pottingTimes(sown, scenario);
            assertThat(when).hasSize(1);
            assertThat(when[0]).isBetween(one.emerged(), one.stageReached());
            assertThat(potted.pottingTimes(new Standing(60, 0, 40, 2.5, 1, 50, false, 0), scenario))
                    .isEmpty();
        }
    }

    @Test
    void daysInTheCellEndTheStayToo() {
        Path limited = new Path(List.of(), 4, 40, 12, 3);
        var scenario = Samples.scenarios(kale(7)).get(0);
        Milestones marks = limited.from(Standing.sownAt(30), scenario);
        assertThat(marks.pastLimit()).isEqualTo(marks.emerged() + 12);
        LocalDate target = TODAY.plusDays(70);
        CountBack countBack =
                new CountBack(new Path(List.of(), 4, 40, 45, 3), Samples.scenarios(kale(7)), Samples.SEASON.firstDay());
        assertThat(countBack.windowFor(target, TODAY).orElseThrow().earliestBecause())
                .isEqualTo(SowWindow.Limit.DAYS_IN_CELL);
        CountBack byLeaves = new CountBack(new Path(4, 7, 3), Samples.scenarios(kale(7)), Samples.SEASON.firstDay());
        assertThat(byLeaves.windowFor(target, TODAY).orElseThrow().earliestBecause())
                .isEqualTo(SowWindow.Limit.LEAVES);
    }

    @Test
    void successionsSpreadReadyDatesEvenlyAndLoseNoPlant() {
        Succession parts = Succession.dividing(100, TODAY, TODAY.plusDays(60), 7);
        assertThat(parts.plants()).isEqualTo(100);
        assertThat(parts.parts())
                .extracting(Succession.Part::ready)
                .startsWith(TODAY, TODAY.plusDays(10))
                .endsWith(TODAY.plusDays(60));
        assertThat(parts.parts()).allSatisfy(part -> assertThat(part.plants()).isBetween(14, 15));
        assertThat(Succession.standing(90, TODAY, TODAY.plusDays(42), 14).parts())
                .hasSize(4);
        assertThatThrownBy(() -> Succession.dividing(3, TODAY, TODAY.plusDays(60), 7))
                .hasMessageContaining("cannot be divided");
        assertThatThrownBy(() -> Succession.standing(90, TODAY, TODAY.plusDays(4000), 1))
                .hasMessageContaining("1 to 60");
        assertThatThrownBy(() -> Succession.standing(90, TODAY.plusDays(1), TODAY, 1))
                .hasMessageContaining("1 to 60");
    }

    @Test
    void theLastEvenOddsAreTheLast() {
        CountBack countBack = new CountBack(new Path(4, 7, 3), Samples.scenarios(kale(7)), Samples.SEASON.firstDay());
        LocalDate target = TODAY.plusDays(70);
        assertThat(countBack.lastEvenOdds(target, TODAY))
                .isEqualTo(countBack.windowFor(target, TODAY).orElseThrow().evenOdds());
    }
}
