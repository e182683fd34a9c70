package kiver.core.release;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchId;
import kiver.core.batch.BatchState;
import kiver.core.batch.NameDoubt;
import kiver.core.crop.CropCode;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.Grown;
import kiver.core.outlook.Sowing;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import org.junit.jupiter.api.Test;

/** Two lots in two mixes, potted into one carrier, a part gone, a part in doubt. */
class PlantOriginTest {

    private static final LocalDate SOWN = LocalDate.of(2027, 3, 1);
    private static final TrayId FIRST = new TrayId(1);
    private static final TrayId SECOND = new TrayId(2);
    private static final TrayId CARRIER = new TrayId(3);
    private static final PlaceId WARM = new PlaceId(1);
    private static final PlaceId COOL = new PlaceId(2);
    private static final PlaceId FRAME = new PlaceId(3);
    private static final LotId OLD = new LotId(7);
    private static final LotId NEW = new LotId(8);
    private static final BatchChange.Released GONE =
            new BatchChange.Released(501, new LineId(4), CARRIER, List.of(1, 2, 5), false);

    private static final BatchState STATE = BatchState.after(List.of())
            .after(SOWN, new BatchChange.Sown(new CellRun(FIRST, 1, 4), 1, OLD, "Fine mix", WARM))
            .after(SOWN.plusDays(1), new BatchChange.Sown(new CellRun(SECOND, 1, 4), 1, NEW, "Coarse mix", WARM))
            .after(SOWN.plusDays(10), counted(FIRST))
            .after(SOWN.plusDays(10), counted(SECOND))
            .after(SOWN.plusDays(12), new BatchChange.Moved(COOL, List.of(SECOND)))
            .after(SOWN.plusDays(20), new BatchChange.PottedOn(FIRST, List.of(1, 2, 3, 4), new CellRun(CARRIER, 1, 4)))
            .after(SOWN.plusDays(21), new BatchChange.PottedOn(SECOND, List.of(2, 3), new CellRun(CARRIER, 5, 6)))
            .after(SOWN.plusDays(25), new BatchChange.Moved(FRAME, List.of(CARRIER)))
            .after(SOWN.plusDays(30), new BatchChange.Mixed(CARRIER, List.of(4), NameDoubt.LABEL_LOST))
            .after(SOWN.plusDays(40), GONE);

    private static BatchChange.Counted counted(TrayId tray) {
        Map<Integer, Integer> up =
                IntStream.rangeClosed(1, 4).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1));
        return new BatchChange.Counted(tray, up, true);
    }

    private static BatchFile file() {
        Batch batch = new Batch(
                new BatchId(1),
                201,
                new Grown(1, "Grey Anvil", new CropCode("kale")),
                new Sowing(OLD, 1, 8, 8),
                BatchPlan.of(
                        SOWN,
                        null,
                        new Way(WARM, COOL, FRAME),
                        ContainerPath.Kind.POTTED_ONCE,
                        List.of(Samples.MODULES.code())),
                HardeningProgramme.BY_DAY,
                new OrderLine(8, new LeafStage(4, 6), SOWN.plusDays(60)),
                0,
                null);
        return new BatchFile(batch, List.of(), List.of(), STATE);
    }

    @Test
    void eachPlantThatLeftKnowsItsSowing() {
        assertThat(PlantOrigin.of(file(), GONE))
                .extracting(
                        PlantOrigin::lot,
                        PlantOrigin::plants,
                        PlantOrigin::startedIn,
                        PlantOrigin::tray,
                        PlantOrigin::day,
                        PlantOrigin::medium)
                .containsExactly(
                        tuple(OLD, 2, FIRST, CARRIER, SOWN, Optional.of("Fine mix")),
                        tuple(NEW, 1, SECOND, CARRIER, SOWN.plusDays(1), Optional.of("Coarse mix")));
    }

    @Test
    void whatStandsIsToldTrayByTrayAndMixedPlantsApart() {
        assertThat(PlantOrigin.standing(file()))
                .extracting(PlantOrigin::tray, PlantOrigin::lot, PlantOrigin::plants, PlantOrigin::mixed)
                .containsExactlyInAnyOrder(
                        tuple(SECOND, NEW, 2, false),
                        tuple(CARRIER, OLD, 1, false),
                        tuple(CARRIER, NEW, 1, false),
                        tuple(CARRIER, OLD, 1, true));
    }

    @Test
    void staysAreThoseOfTheTraysAPlantStoodIn() {
        List<PlantOrigin> gone = PlantOrigin.of(file(), GONE);
        assertThat(TrayStays.of(STATE, gone.get(0)))
                .containsExactly(
                        new BatchState.Placement(WARM, SOWN), new BatchState.Placement(FRAME, SOWN.plusDays(25)));
        assertThat(TrayStays.of(STATE, gone.get(1)))
                .containsExactly(
                        new BatchState.Placement(WARM, SOWN.plusDays(1)),
                        new BatchState.Placement(COOL, SOWN.plusDays(12)),
                        new BatchState.Placement(FRAME, SOWN.plusDays(25)));
    }

    @Test
    void aTrayThatWasPottedIntoAndBackLeadsToItsSowingAllTheSame() {
        BatchState back =
                STATE.after(SOWN.plusDays(45), new BatchChange.PottedOn(CARRIER, List.of(3), new CellRun(FIRST, 9, 9)));
        PlantOrigin home = PlantOrigin.standing(new BatchFile(file().batch(), List.of(), List.of(), back)).stream()
                .filter(origin -> origin.tray().equals(FIRST))
                .findFirst()
                .orElseThrow();
        assertThat(TrayStays.of(back, home)).first().isEqualTo(new BatchState.Placement(WARM, SOWN));
    }
}
