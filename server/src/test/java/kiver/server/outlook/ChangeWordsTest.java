package kiver.server.outlook;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.LossReason;
import kiver.core.batch.NameDoubt;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.wording.Wording;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

class ChangeWordsTest {

    private static final TrayId TRAY = new TrayId(4);
    private static final PlaceId PLACE = new PlaceId(2);

    private final ChangeWords words = new ChangeWords(place -> "Warm room", tray -> "T1042", lot -> "M26-107");

    static Stream<Arguments> changes() {
        return Stream.of(
                Arguments.of(
                        new BatchChange.Sown(new CellRun(TRAY, 1, 60), 2, new LotId(7), "Fine mix", PLACE),
                        "Sown T1042, cells 1 to 60, 2 a cell, lot M26-107, in Fine mix; put in Warm room"),
                Arguments.of(
                        new BatchChange.Counted(TRAY, Map.of(1, 2, 2, 0, 3, 1), false),
                        "Counted 3 cells of T1042, 2 with something up"),
                Arguments.of(
                        new BatchChange.Counted(TRAY, Map.of(), true),
                        "Counted 0 cells of T1042, 0 with something up; last look, the rest is given up"),
                Arguments.of(
                        new BatchChange.Lost(TRAY, List.of(4, 5), LossReason.DAMPING_OFF),
                        "Lost 2 in T1042: damping off"),
                Arguments.of(
                        new BatchChange.Mixed(TRAY, List.of(4, 5), NameDoubt.LABEL_LOST),
                        "Names in doubt: 2 in T1042; the label is lost"),
                Arguments.of(new BatchChange.Recognised(TRAY, List.of(4)), "Known again: 1 in T1042"),
                Arguments.of(
                        new BatchChange.Released(501, new LineId(1), TRAY, List.of(5), true),
                        "Released 1 from T1042 with note 501, as mixed"),
                Arguments.of(new BatchChange.Moved(PLACE), "Moved to Warm room"),
                Arguments.of(new BatchChange.HardeningStarted(PLACE, 5), "Hardening begun in Warm room, 5 days"),
                Arguments.of(new BatchChange.HardenedForDay(1), "Outside for 1 hour"),
                Arguments.of(new BatchChange.HardenedForDay(8), "Outside for 8 hours"),
                Arguments.of(new BatchChange.HardeningEnded(), "Hardened"),
                Arguments.of(
                        new BatchChange.Released(501, new LineId(1), TRAY, List.of(1, 2, 3)),
                        "Released 3 from T1042 with note 501"),
                Arguments.of(new BatchChange.Corrected(3), "Undid entry 3"));
    }

    @ParameterizedTest(name = "{1}")
    @MethodSource("changes")
    void tellsEveryChange(BatchChange change, String told) {
        assertThat(new Wording().say(words.of(change))).isEqualTo(told);
    }
}
