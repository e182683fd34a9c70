package kiver.core.outlook;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.Samples;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchId;
import kiver.core.batch.BatchState;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/** Batches of kale in modules of 60 that tests look ahead from. */
public final class BatchSamples {

    public static final TrayId TRAY = new TrayId(7);
    public static final Crop KALE = Samples.kale(60);
    public static final LocalDate TARGET = Samples.TODAY.plusDays(60);

    private BatchSamples() {}

    /** A batch of 60 cells, two seeds a cell, for so many plants. */
    public static Batch planned(int number, int plants, LocalDate sowDay, LocalDate target, Way way) {
        return new Batch(
                new BatchId(number),
                number,
                new Grown(1, "Grey Anvil", new CropCode("kale")),
                new Sowing(new LotId(1), 2, 60, plants),
                BatchPlan.of(sowDay, null, way, ContainerPath.Kind.STRAIGHT, List.of(Samples.MODULES.code())),
                HardeningProgramme.BY_DAY,
                new OrderLine(plants, new LeafStage(4, 6), target),
                0,
                null);
    }

    public static Promised promised(long line, String grower, int plants, LocalDate target) {
        return new Promised(new LineId(line), new BatchId(1), (int) (100 + line), 1, 1, grower, plants, 0, target);
    }

    public static BatchFile file(Batch batch, BatchState state, Promised... promises) {
        return new BatchFile(batch, List.of(new CellRun(TRAY, 1, 60)), List.of(promises), state);
    }

    public static BatchState nothing() {
        return BatchState.after(List.of());
    }

    /** Sown so many days ago where the way begins. */
    public static BatchState sown(int daysAgo, Way way) {
        return nothing()
                .after(
                        Samples.TODAY.minusDays(daysAgo),
                        new BatchChange.Sown(
                                new CellRun(TRAY, 1, 60), 2, new LotId(1), "Fine seed mix", way.emergence()));
    }

    /** The same with so many cells up, counted to the end on the day before. */
    public static BatchState counted(int daysAgo, int up, Way way) {
        Map<Integer, Integer> cells = new TreeMap<>();
        for (int cell = 1; cell <= up; cell++) {
            cells.put(cell, 1);
        }
        return sown(daysAgo, way).after(Samples.TODAY.minusDays(1), new BatchChange.Counted(TRAY, cells, true));
    }

    public static BatchOutlook outlook(BatchFile file) {
        return outlook(file, Samples.SEASON);
    }

    public static BatchOutlook outlook(BatchFile file, Season season) {
        return new LookingAhead(season, Samples.TODAY, Map.of(TRAY, Samples.MODULES.code()))
                .of(file, Samples.LOT, KALE, ContainerPath.straight(Samples.MODULES));
    }

    static List<BatchOutlook> outlooks(Season season, BatchFile... files) {
        List<BatchOutlook> outlooks = new ArrayList<>();
        for (BatchFile file : files) {
            outlooks.add(outlook(file, season));
        }
        return outlooks;
    }
}
