package kiver.core.today;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class WeekAgainstHandsTest {

    private static final LocalDate WEDNESDAY = LocalDate.of(2027, 4, 21);
    private static final WorkPace PACE = new WorkPace(5, 12, 1, 60, 120);

    @ParameterizedTest
    @CsvSource({
        "SOW, 13", // 120 cells at 5 s, 3 trays at 60 s
        "COUNT, 2",
        "POT_ON, 21", // 90 plants at 12 s, 3 trays
        "HARDEN, 6", // out and in
        "RELEASE, 5",
        "WATCH_DATE, 2"
    })
    void minutesFollowFromCellsPlantsAndTrays(TaskKind kind, double minutes) {
        assertThat(PACE.minutes(kind, new WorkSize(120, 90, 3))).isCloseTo(minutes, within(1e-9));
    }

    @ParameterizedTest
    @EnumSource
    void everyWorkTakesTimeAndNoneWaitsForDaysPast(TaskKind kind) {
        assertThat(PACE.minutes(kind, new WorkSize(120, 90, 3))).isPositive();
        assertThat(Patience.lastDay(kind, WEDNESDAY, Optional.of(WEDNESDAY.plusDays(4)))
                        .orElse(LocalDate.MAX))
                .isAfter(WEDNESDAY);
    }

    @Test
    void aSowingWaitsUntilItsLastUsefulDayAndAReleaseNever() {
        assertThat(Patience.lastDay(TaskKind.SOW, WEDNESDAY, Optional.of(WEDNESDAY.plusDays(4))))
                .contains(WEDNESDAY.plusDays(4));
        assertThat(Patience.lastDay(TaskKind.SOW, WEDNESDAY, Optional.of(WEDNESDAY)))
                .isEmpty();
        assertThat(Patience.lastDay(TaskKind.SOW, WEDNESDAY, Optional.empty())).isEmpty();
        assertThat(Patience.lastDay(TaskKind.RELEASE, WEDNESDAY, Optional.of(WEDNESDAY.plusDays(4))))
                .isEmpty();
    }

    @Test
    void aDayIsClearedIntoTheRoomOfLaterDays() {
        DayCleared.Piece long1 = piece(201, TaskKind.SOW, 60, 3);
        DayCleared.Piece short2 = piece(202, TaskKind.COUNT, 20, 2);
        DayCleared.Piece stays = new DayCleared.Piece(203, TaskKind.RELEASE, 30, Optional.empty());
        DayCleared.Piece tomorrow = piece(204, TaskKind.MOVE_TO_GROW_ON, 5, 1);
        // Thursday has 30 minutes, Friday no hands, Saturday 100.
        Map<LocalDate, Double> free = Map.of(WEDNESDAY.plusDays(1), 30.0, WEDNESDAY.plusDays(3), 100.0);
        assertThat(DayCleared.of(WEDNESDAY, List.of(short2, stays, tomorrow, long1), free))
                .extracting(move -> move.piece().batch(), DayCleared.Move::to)
                .containsExactly(
                        tuple(201, WEDNESDAY.plusDays(3)),
                        tuple(202, WEDNESDAY.plusDays(1)),
                        tuple(204, WEDNESDAY.plusDays(1)));
    }

    @Test
    void whereNoDayHasRoomTheEmptiestTakesIt() {
        Map<LocalDate, Double> full = Map.of(WEDNESDAY.plusDays(1), -10.0, WEDNESDAY.plusDays(2), 5.0);
        assertThat(DayCleared.of(WEDNESDAY, List.of(piece(201, TaskKind.SOW, 60, 2)), full))
                .extracting(DayCleared.Move::to)
                .containsExactly(WEDNESDAY.plusDays(2));
        assertThat(DayCleared.of(WEDNESDAY, List.of(piece(201, TaskKind.SOW, 60, 2)), Map.of()))
                .isEmpty();
    }

    @Test
    void refusesLessThanNothing() {
        assertThatThrownBy(() -> new WorkSize(-1, 0, 0)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new WorkPace(5, Double.NaN, 1, 1, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    private static DayCleared.Piece piece(int batch, TaskKind kind, double minutes, int days) {
        return new DayCleared.Piece(batch, kind, minutes, Optional.of(WEDNESDAY.plusDays(days)));
    }
}
