package kiver.core.outlook;

import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static kiver.core.outlook.BatchSamples.KALE;
import static kiver.core.outlook.BatchSamples.TARGET;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.batch.BatchState;
import kiver.core.batch.LookedOver;
import kiver.core.batch.RootsSeen;
import kiver.core.plan.ContainerPath;
import org.junit.jupiter.api.Test;

/** What the hand saw of roots moves the days on which plants are potted and on which they are past their best. */
class RootsSeenTest {

    private static final ContainerPath POTTED =
            new ContainerPath(ContainerPath.Kind.POTTED_ONCE, List.of(Samples.MODULES, Samples.POTS));

    private static BatchState seen(RootsSeen... looks) {
        BatchState state = BatchSamples.counted(9, 45, WAY);
        for (int look = 0; look < looks.length; look++) {
            state = state.after(
                    TODAY.minusDays(looks.length - 1L - look), new LookedOver(List.of(), Optional.of(looks[look])));
        }
        return state;
    }

    private static BatchOutlook outlook(ContainerPath path, RootsSeen... looks) {
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(9), TARGET, WAY);
        return new LookingAhead(SEASON, TODAY, Map.of(BatchSamples.TRAY, Samples.MODULES.code()))
                .of(BatchSamples.file(batch, seen(looks)), Samples.LOT, KALE, path);
    }

    private static LocalDate potting(RootsSeen... looks) {
        return outlook(POTTED, looks).forecast().pottings().get(0).middle();
    }

    private static LocalDate past(RootsSeen... looks) {
        return outlook(ContainerPath.straight(Samples.MODULES), looks)
                .forecast()
                .pastLimit()
                .orElseThrow()
                .middle();
    }

    @Test
    void thePottingComesSoonerWhereRootsAreAheadAndLaterWhereTheyAreBehind() {
        assertThat(potting(RootsSeen.OUT)).isBefore(potting());
        assertThat(potting(RootsSeen.NONE)).isAfterOrEqualTo(potting());
        Rooting ahead = outlook(POTTED, RootsSeen.OUT).rooting();
        Rooting unseen = outlook(POTTED).rooting();
        assertThat(ahead.fill().index()).isGreaterThan(unseen.fill().index());
        assertThat(ahead.potBy().orElseThrow())
                .isBeforeOrEqualTo(unseen.potBy().orElseThrow())
                .isAfterOrEqualTo(potting(RootsSeen.OUT));
        assertThat(ahead.seen()).contains(RootsSeen.OUT);
        assertThat(unseen.seen()).isEmpty();
    }

    @Test
    void inTheirLastContainerTheEndMovesInstead() {
        assertThat(past(RootsSeen.CIRCLING)).isBefore(past());
        assertThat(outlook(ContainerPath.straight(Samples.MODULES)).rooting().potBy())
                .as("nothing larger is to come")
                .isEmpty();
    }

    @Test
    void aSecondLookMakesItSurer() {
        Rooting once = outlook(POTTED, RootsSeen.AT_EDGE).rooting();
        Rooting twice = outlook(POTTED, RootsSeen.AT_EDGE, RootsSeen.AT_EDGE).rooting();
        assertThat(twice.fill().most() / twice.fill().least())
                .isLessThan(once.fill().most() / once.fill().least());
    }

    @Test
    void ofWhatIsNotUpNothingIsTold() {
        Batch batch = BatchSamples.planned(201, 40, TODAY, TARGET, WAY);
        assertThat(BatchSamples.outlook(BatchSamples.file(batch, BatchSamples.nothing()))
                        .rooting())
                .isEqualTo(Rooting.NONE);
    }

    /** A batch that makes leaves faster than its crop has the roots of the leaves that it has. */
    @Test
    void theFillIsThatOfTheLeavesThatAreThere() {
        BatchState counted = seen().after(TODAY, new LookedOver(List.of(3, 3, 3, 3, 3), Optional.empty()));
        Batch batch = BatchSamples.planned(201, 40, TODAY.minusDays(9), TARGET, WAY);
        BatchOutlook outlook = BatchSamples.outlook(BatchSamples.file(batch, counted));
        assertThat(outlook.leavesNow()).isBetween(2.0, 3.2);
        assertThat(Math.cbrt(outlook.rooting().fill().index()) * KALE.leafLimitIn(Samples.MODULES))
                .isCloseTo(outlook.leavesNow(), within(1e-9));
    }
}
