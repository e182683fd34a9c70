package kiver.server.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.params.provider.Arguments.arguments;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.Grade;
import kiver.core.batch.LookedOver;
import kiver.core.batch.LossReason;
import kiver.core.batch.NameDoubt;
import kiver.core.batch.RootsSeen;
import kiver.core.batch.Tended;
import kiver.core.order.LineId;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;

/** Every kind of change in every version in which it was ever written, as it lies in somebody's database. */
class RecordGoldenTest {

    private static final TrayId TRAY = new TrayId(12);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ChangeJson changes = new ChangeJson();

    static Stream<Arguments> written() {
        return Stream.of(
                arguments(
                        "Sown",
                        1,
                        new BatchChange.Sown(new CellRun(TRAY, 1, 30), 2, new LotId(4), "Fine mix", new PlaceId(2))),
                arguments(
                        "BroughtIn",
                        1,
                        new BatchChange.BroughtIn(new CellRun(TRAY, 1, 30), new LotId(9), 2.5, new PlaceId(2))),
                arguments("LeftUnsown", 1, new BatchChange.LeftUnsown(TRAY)),
                arguments("Counted", 1, new BatchChange.Counted(TRAY, Map.of(1, 2, 3, 0), false)),
                arguments("Counted", 2, new BatchChange.Counted(TRAY, Map.of(1, 2, 3, 0), List.of(4, 5), true)),
                arguments("Lost", 1, new BatchChange.Lost(TRAY, List.of(2, 3), LossReason.SLUGS)),
                arguments("Mixed", 1, new BatchChange.Mixed(TRAY, List.of(4, 5), NameDoubt.LABEL_LOST)),
                arguments("Recognised", 1, new BatchChange.Recognised(TRAY, List.of(4))),
                arguments(
                        "PottedOn",
                        1,
                        new BatchChange.PottedOn(TRAY, List.of(1, 2), new CellRun(new TrayId(14), 1, 2))),
                arguments(
                        "PottedOn",
                        2,
                        new BatchChange.PottedOn(TRAY, List.of(1, 2), new CellRun(new TrayId(14), 1, 2), Grade.SMALL)),
                arguments(
                        "CellsMoved",
                        1,
                        new BatchChange.CellsMoved(TRAY, List.of(4, 5), new TrayId(14), List.of(1, 2))),
                arguments("Thinned", 1, new BatchChange.Thinned(TRAY, List.of(2, 3), 1)),
                arguments("PrickedOut", 1, new BatchChange.PrickedOut(TRAY, List.of(4), TRAY, List.of(6))),
                arguments("Moved", 1, new BatchChange.Moved(new PlaceId(3))),
                arguments("Moved", 2, new BatchChange.Moved(new PlaceId(3), List.of(TRAY))),
                arguments("HardeningStarted", 1, new BatchChange.HardeningStarted(new PlaceId(5), 5)),
                arguments("HardenedForDay", 1, new BatchChange.HardenedForDay(4)),
                arguments("HardeningEnded", 1, new BatchChange.HardeningEnded()),
                arguments(
                        "Released",
                        1,
                        new BatchChange.Released(
                                501, BatchChange.Released.BEFORE_LINES, new TrayId(14), List.of(1, 2))),
                arguments("Released", 2, new BatchChange.Released(501, new LineId(77), new TrayId(14), List.of(1, 2))),
                arguments(
                        "Released",
                        3,
                        new BatchChange.Released(501, new LineId(77), new TrayId(14), List.of(1, 2), true)),
                arguments("LookedOver", 1, new LookedOver(List.of(3, 4), Optional.of(RootsSeen.AT_EDGE))),
                arguments("Tended", 1, new Tended(Tended.Step.PINCHED)),
                arguments("Noted", 1, new BatchChange.Noted("Pale since Monday")),
                arguments("Corrected", 1, new BatchChange.Corrected(3)),
                arguments("Corrected", 2, new BatchChange.Corrected(3, "the other tray")));
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("written")
    void isReadAsWhatItMeant(String kind, int version, BatchChange meant) throws IOException {
        assertThat(changes.read(kind, version, golden(kind, version))).isEqualTo(meant);
        ChangeKind known = ChangeKind.of(meant);
        assertThat(known.wireName()).isEqualTo(kind);
        if (version == known.version()) {
            assertThat(JSON.readTree(changes.write(meant))).isEqualTo(JSON.readTree(golden(kind, version)));
        }
    }

    @Test
    void noKindAndNoVersionIsLeftOut() {
        List<String> named =
                written().map(each -> each.get()[0] + " " + each.get()[1]).toList();
        assertThat(named)
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(ChangeKind.values())
                        .flatMap(kind -> IntStream.rangeClosed(1, kind.version())
                                .mapToObj(version -> kind.wireName() + " " + version))
                        .toList());
        assertThat(Arrays.stream(ChangeKind.values()).map(ChangeKind::type))
                .containsExactlyInAnyOrderElementsOf(kindsOf(BatchChange.class).toList());
    }

    /** The records of a family and of the families within it. */
    private static Stream<Class<? extends BatchChange>> kindsOf(Class<?> family) {
        return family.isSealed()
                ? Arrays.stream(family.getPermittedSubclasses()).flatMap(RecordGoldenTest::kindsOf)
                : Stream.of(family.asSubclass(BatchChange.class));
    }

    @Test
    void whatIsNotKnownFailsLoudly() {
        assertThatThrownBy(() -> changes.read("Sung", 1, "{}")).hasMessageContaining("unknown kind Sung");
        assertThatThrownBy(() -> changes.read("Moved", 3, "{}"))
                .hasMessageContaining("is of version 3; this Kiver knows 2");
    }

    private static String golden(String kind, int version) throws IOException {
        try (var file = RecordGoldenTest.class.getResourceAsStream("/record/" + kind + "." + version + ".json")) {
            return new String(file.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
