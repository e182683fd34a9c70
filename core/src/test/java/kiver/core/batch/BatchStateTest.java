package kiver.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.stream.Stream;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class BatchStateTest {

    private static final LocalDate DAY = LocalDate.of(2027, 3, 1);
    private static final TrayId TRAY = new TrayId(7);
    private static final PlaceId MAT = new PlaceId(1);
    private static final PlaceId GROUND = new PlaceId(9);

    @Test
    void goesThroughItsStages() {
        BatchState state = BatchState.after(List.of());
        assertThat(state.stage()).isEqualTo(BatchStage.PLANNED);
        state = state.after(DAY, sown(1, 10));
        assertThat(state.stage()).isEqualTo(BatchStage.SOWN);
        state = state.after(DAY.plusDays(5), counted(Map.of(1, 1, 2, 2), false));
        assertThat(state.stage()).isEqualTo(BatchStage.EMERGING);
        state = state.after(DAY.plusDays(9), counted(Map.of(3, 1), true));
        assertThat(state.stage()).isEqualTo(BatchStage.GROWING_ON);
        assertThat(state.balance()).isEqualTo(new Balance(10, 0, 7, 3, 0, 0));
        state = state.after(DAY.plusDays(20), new BatchChange.HardeningStarted(GROUND, 2));
        assertThat(state.stage()).isEqualTo(BatchStage.HARDENING_OFF);
        state = state.after(DAY.plusDays(20), new BatchChange.HardenedForDay(3));
        state = state.after(DAY.plusDays(21), new BatchChange.HardenedForDay(5));
        state = state.after(DAY.plusDays(22), new BatchChange.HardeningEnded());
        assertThat(state.stage()).isEqualTo(BatchStage.READY);
        assertThat(state.hardeningDays()).isEqualTo(2);
        assertThat(state.place()).contains(GROUND);
        state = state.after(DAY.plusDays(23), new BatchChange.Lost(TRAY, List.of(2), LossReason.SLUGS));
        state = state.after(DAY.plusDays(24), new BatchChange.Released(501, new LineId(1), TRAY, List.of(1, 3)));
        assertThat(state.stage()).isEqualTo(BatchStage.RELEASED);
        assertThat(state.balance()).isEqualTo(new Balance(10, 0, 7, 0, 1, 2));
    }

    static List<BatchChange> impossibleChanges() {
        return List.of(
                sown(5, 12),
                new BatchChange.Counted(new TrayId(8), Map.of(1, 1), false),
                counted(Map.of(11, 1), false),
                new BatchChange.Lost(TRAY, List.of(11), LossReason.MICE),
                new BatchChange.Released(501, new LineId(1), TRAY, List.of(9)),
                new BatchChange.HardenedForDay(3),
                new BatchChange.HardeningEnded(),
                new BatchChange.Corrected(9),
                new BatchChange.Corrected(1));
    }

    @ParameterizedTest
    @MethodSource("impossibleChanges")
    void refusesWhatCannotBeTrueAndStaysAsItWas(BatchChange impossible) {
        BatchState state = BatchState.after(List.of())
                .after(DAY, sown(1, 10))
                .after(DAY.plusDays(5), counted(Map.of(1, 1), false));
        Balance before = state.balance();
        assertThatThrownBy(() -> state.after(DAY.plusDays(6), impossible))
                .isInstanceOf(ChangeRefused.class)
                .hasMessageContaining("[");
        assertThat(state.balance()).isEqualTo(before);
        assertThat(state.changes()).hasSize(2);
    }

    @Test
    void onlyLivingPlantsLeave() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, sown(1, 4))
                .after(DAY.plusDays(9), counted(Map.of(1, 1, 2, 1), true))
                .after(DAY.plusDays(10), new BatchChange.Lost(TRAY, List.of(1), LossReason.MICE));
        for (int gone : List.of(1, 3)) {
            assertThatThrownBy(() -> state.after(
                            DAY.plusDays(11), new BatchChange.Released(501, new LineId(1), TRAY, List.of(gone))))
                    .hasMessageContaining("NoPlantInCell[cell=" + gone);
        }
    }

    @Test
    void refusesFiguresThatCannotBe() {
        assertThatThrownBy(() -> counted(Map.of(4, -1), false))
                .hasMessageContaining("TooManySeedlings[cell=4, seedlings=-1");
        assertThatThrownBy(() -> new BatchChange.Lost(TRAY, List.of(2, 2), LossReason.FROST))
                .hasMessageContaining("CellNamedTwice[cell=2");
        assertThatThrownBy(() -> new BatchChange.Lost(TRAY, List.of(), LossReason.FROST))
                .hasMessageContaining("NoCellPicked");
        assertThatThrownBy(() -> new BatchChange.HardenedForDay(25)).hasMessageContaining("HoursOutside[hours=25");
        assertThatThrownBy(() -> BatchState.after(List.of()).after(DAY, counted(Map.of(1, 1), false)))
                .hasMessageContaining("NotSown");
    }

    @Test
    void nothingHappensBeforeSowing() {
        BatchState state = BatchState.after(List.of()).after(DAY, sown(1, 4));
        assertThatThrownBy(() -> state.after(DAY.minusDays(1), counted(Map.of(1, 1), false)))
                .hasMessageContaining("BeforeSowing");
    }

    @Test
    void aCorrectionTakesBackAndIsKept() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, sown(1, 4))
                .after(DAY.plusDays(4), counted(Map.of(1, 1, 2, 1), false))
                .after(DAY.plusDays(5), new BatchChange.Lost(TRAY, List.of(1), LossReason.ACCIDENT));
        BatchState corrected = state.after(DAY.plusDays(6), new BatchChange.Corrected(3));
        assertThat(corrected.balance()).isEqualTo(new Balance(4, 2, 0, 2, 0, 0));
        assertThat(corrected.changes()).hasSize(4);
        assertThat(corrected.isCorrected(3)).isTrue();
        assertThatThrownBy(() -> corrected.after(DAY.plusDays(6), new BatchChange.Corrected(3)))
                .hasMessageContaining("UndoneBefore");
        assertThat(corrected
                        .after(DAY.plusDays(6), new BatchChange.Corrected(4))
                        .balance()
                        .lost())
                .isEqualTo(1);
        BatchState gone = state.after(DAY.plusDays(6), new BatchChange.Released(501, new LineId(1), TRAY, List.of(2)));
        assertThatThrownBy(() -> gone.after(DAY.plusDays(6), new BatchChange.Corrected(2)))
                .hasMessageContaining("LaterRestOnIt");
    }

    @Test
    void twoPeopleCountingOneTrayBothCount() {
        BatchState state = BatchState.after(List.of())
                .after(DAY, sown(1, 4))
                .after(DAY.plusDays(4), counted(Map.of(1, 1, 2, 2), false))
                .after(DAY.plusDays(4), counted(Map.of(3, 1), false));
        assertThat(state.balance().alive()).isEqualTo(3);
        assertThat(state.cellsUp()).containsExactly(Map.entry(DAY.plusDays(4), 3));
    }

    /** Whatever is done in whatever order, the account comes out even and its parts never turn negative. */
    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24, 25, 26, 27, 28, 29, 30})
    void theAccountAlwaysBalances(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        BatchState state = BatchState.after(List.of()).after(DAY, sown(1, 60));
        int refused = 0;
        for (int step = 0; step < 120; step++) {
            try {
                state = state.after(DAY.plusDays(step / 6), anyChange(random, state));
            } catch (ChangeRefused refusal) {
                refused++;
            }
            Balance balance = state.balance();
            assertThat(balance.sown()).isEqualTo(60);
            assertThat(balance.waiting() + balance.empty() + balance.alive() + balance.lost() + balance.released())
                    .isEqualTo(60);
            assertThat(List.of(balance.waiting(), balance.empty(), balance.alive(), balance.lost(), balance.released()))
                    .allMatch(part -> part >= 0);
            assertThat(BatchState.after(state.changes()).balance()).isEqualTo(balance);
        }
        assertThat(refused).isBetween(1, 119);
    }

    private static BatchChange anyChange(SplittableRandom random, BatchState state) {
        List<Integer> cells = new ArrayList<>();
        int first = 1 + random.nextInt(60);
        for (int cell = first; cell < Math.min(61, first + 1 + random.nextInt(6)); cell++) {
            cells.add(cell);
        }
        return switch (random.nextInt(6)) {
            case 0, 1, 2 -> {
                Map<Integer, Integer> seedlings = new TreeMap<>();
                cells.forEach(cell -> seedlings.put(cell, random.nextInt(3)));
                yield counted(seedlings, random.nextInt(8) == 0);
            }
            case 3 -> new BatchChange.Lost(TRAY, cells, LossReason.DRIED_OUT);
            case 4 -> new BatchChange.Released(501, new LineId(1), TRAY, cells);
            default ->
                new BatchChange.Corrected(2 + random.nextInt(state.changes().size() + 1));
        };
    }

    private static BatchChange.Sown sown(int first, int last) {
        return new BatchChange.Sown(new CellRun(TRAY, first, last), 2, new LotId(3), "Sowing mix", MAT);
    }

    private static BatchChange.Counted counted(Map<Integer, Integer> seedlings, boolean complete) {
        return new BatchChange.Counted(TRAY, seedlings, complete);
    }

    @Test
    void aNoteMadeBeforeTheSowingStandsInNobodysWay() {
        LocalDate day = LocalDate.of(2027, 3, 1);
        BatchState state = BatchState.after(List.of())
                .after(day.minusDays(1), new BatchChange.Noted("The packet feels light"))
                .after(day, new BatchChange.Sown(new CellRun(TRAY, 1, 6), 1, new LotId(1), "Mix", new PlaceId(1)));
        assertThat(state.sownOn()).contains(day);
        assertThat(state.after(day.minusDays(2), new BatchChange.Noted("Ordered late"))
                        .changes())
                .hasSize(3);
    }

    @Test
    void rootsAreThoseOfWhatItStandsInNowAndCannotFillItInADay() {
        LocalDate day = LocalDate.of(2027, 3, 1);
        BatchState sown = BatchState.after(List.of())
                .after(day, new BatchChange.Sown(new CellRun(TRAY, 1, 6), 1, new LotId(1), "Mix", new PlaceId(1)));
        BatchChange circling = new LookedOver(List.of(), Optional.of(RootsSeen.CIRCLING));
        assertThatThrownBy(() -> sown.after(day.plusDays(9), circling)).isInstanceOf(ChangeRefused.class);
        BatchState up = sown.after(day.plusDays(4), new BatchChange.Counted(TRAY, Map.of(1, 1, 2, 1), true));
        assertThatThrownBy(() -> up.after(day.plusDays(4), circling)).isInstanceOf(ChangeRefused.class);
        BatchState seen = up.after(day.plusDays(20), circling);
        assertThat(seen.roots()).contains(RootsSeen.CIRCLING);
        BatchState potted = seen.after(
                day.plusDays(21), new BatchChange.PottedOn(TRAY, List.of(1, 2), new CellRun(new TrayId(77), 1, 2)));
        assertThat(potted.roots()).isEmpty();
        assertThatThrownBy(() -> new LookedOver(List.of(), Optional.empty())).isInstanceOf(ChangeRefused.class);
        assertThatThrownBy(() -> new LookedOver(List.of(41), Optional.empty())).isInstanceOf(ChangeRefused.class);
    }

    /** Java 17 does not see whether a family is handled whole, so this goes through all of them. */
    @Test
    void noKindOfChangeIsPassedOver() {
        TrayId tray = new TrayId(41);
        TrayId pots = new TrayId(42);
        PlaceId place = new PlaceId(1);
        List<BatchChange> all = List.of(
                new BatchChange.Sown(new CellRun(tray, 1, 6), 1, new LotId(1), "Mix", place),
                new BatchChange.BroughtIn(new CellRun(new TrayId(44), 1, 3), new LotId(2), 2, place),
                new BatchChange.LeftUnsown(new TrayId(43)),
                new BatchChange.Counted(tray, Map.of(1, 2, 2, 1, 3, 2), true),
                new BatchChange.Thinned(tray, List.of(1), 1),
                new BatchChange.PrickedOut(tray, List.of(3), tray, List.of(4)),
                new BatchChange.CellsMoved(tray, List.of(4), tray, List.of(5)),
                new BatchChange.Lost(tray, List.of(1), LossReason.SLUGS),
                new BatchChange.Mixed(tray, List.of(2), NameDoubt.LABEL_LOST),
                new BatchChange.Recognised(tray, List.of(2)),
                new BatchChange.PottedOn(tray, List.of(2), new CellRun(pots, 1, 1)),
                new BatchChange.Noted("Pale since Monday"),
                new LookedOver(List.of(2, 3), Optional.empty()),
                new Tended(Tended.Step.BRUSHED),
                new BatchChange.Moved(place),
                new BatchChange.HardeningStarted(place, 3),
                new BatchChange.HardenedForDay(4),
                new BatchChange.HardeningEnded(),
                new BatchChange.Released(501, new LineId(1), pots, List.of(1)),
                new BatchChange.Corrected(4, "slip"));
        BatchState state = BatchState.after(List.of());
        for (BatchChange change : all.subList(0, all.size() - 1)) {
            state = state.after(LocalDate.of(2027, 3, 1), change);
        }
        assertThat(state.balance()).isEqualTo(new Balance(9, 0, 2, 5, 1, 1));
        assertThat(all)
                .extracting(each -> (Object) each.getClass())
                .containsExactlyInAnyOrderElementsOf(kindsOf(BatchChange.class).toList());
    }

    private static Stream<Object> kindsOf(Class<?> family) {
        return family.isSealed()
                ? Arrays.stream(family.getPermittedSubclasses()).flatMap(BatchStateTest::kindsOf)
                : Stream.of(family);
    }
}
