package kiver.core.today;

import static org.assertj.core.api.Assertions.assertThat;

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
import kiver.core.care.FeedClock;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.emerge.EmergenceVerdict;
import kiver.core.growth.DateSpread;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Standing;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.harden.Outing;
import kiver.core.order.CountedIn;
import kiver.core.order.LeafStage;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchForecast;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.Chances;
import kiver.core.outlook.Emerging;
import kiver.core.outlook.Grown;
import kiver.core.outlook.HardeningAhead;
import kiver.core.outlook.Journey;
import kiver.core.outlook.Promised;
import kiver.core.outlook.Rooting;
import kiver.core.outlook.Sowing;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;

/** Batches in the situations that a round finds. */
abstract class RoundSituations {

    static final LocalDate TODAY = LocalDate.of(2027, 4, 15);
    static final TrayId TRAY = new TrayId(3);
    static final PlaceId EMERGENCE = new PlaceId(1);

    static RoundTask only(Situation situation) {
        List<RoundTask> tasks = tasks(situation);
        assertThat(tasks).hasSize(1);
        return tasks.get(0);
    }

    static List<RoundTask> tasks(Situation situation) {
        return Round.tasksFor(situation.build(), TODAY);
    }

    static BatchState sown(LocalDate day) {
        return BatchState.after(List.of())
                .after(day, new BatchChange.Sown(new CellRun(TRAY, 1, 10), 1, new LotId(5), "Mix", new PlaceId(1)));
    }

    static BatchState counted(LocalDate day, int up, boolean complete) {
        Map<Integer, Integer> seedlings =
                IntStream.rangeClosed(1, up).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1));
        return sown(day.minusDays(6)).after(day, new BatchChange.Counted(TRAY, seedlings, complete));
    }

    static BatchState ready() {
        return counted(TODAY.minusDays(30), 9, true)
                .after(TODAY.minusDays(6), new BatchChange.HardeningStarted(new PlaceId(9), 0))
                .after(TODAY.minusDays(1), new BatchChange.HardeningEnded());
    }

    /** A situation like most, of which a test changes what it is about. */
    record Situation(
            BatchState state,
            LocalDate planned,
            LocalDate target,
            int wanted,
            int toSow,
            int programme,
            boolean stays,
            Emerging emerging,
            BatchForecast forecast,
            BatchSituation about,
            Optional<LocalDate> potBy) {

        Situation(BatchState state) {
            this(
                    state,
                    TODAY,
                    TODAY.plusDays(20),
                    8,
                    0,
                    5,
                    true,
                    new Emerging(Optional.empty(), Optional.empty(), 5, EmergenceVerdict.ON_COURSE),
                    new BatchForecast(
                            Optional.of(day(TODAY)),
                            List.of(),
                            Optional.of(day(TODAY.plusDays(9))),
                            Optional.empty(),
                            Optional.of(day(TODAY.plusDays(14))),
                            Optional.of(day(TODAY.plusDays(40))),
                            0.9),
                    new BatchSituation(
                            null,
                            Optional.of(TODAY.plusDays(3)),
                            HardeningAhead.AS_PLANNED,
                            Optional.empty(),
                            Optional.empty(),
                            Optional.empty()),
                    Optional.empty());
        }

        BatchSituation build() {
            return build(Samples.kale(60));
        }

        BatchSituation build(Crop crop) {
            PlaceId grown = stays ? EMERGENCE : new PlaceId(2);
            Container plugs = Samples.PLUGS;
            List<Container> containers = forecast.pottings().isEmpty() ? List.of(plugs) : List.of(plugs, Samples.POTS);
            ContainerPath.Kind kind =
                    containers.size() == 1 ? ContainerPath.Kind.STRAIGHT : ContainerPath.Kind.POTTED_ONCE;
            Batch batch = new Batch(
                    new BatchId(1),
                    201,
                    new Grown(1, "Grey Anvil", new CropCode("kale")),
                    new Sowing(new LotId(1), 1, 10, 9),
                    BatchPlan.of(
                            planned,
                            null,
                            new Way(EMERGENCE, grown, new PlaceId(9)),
                            kind,
                            containers.stream().map(Container::code).toList()),
                    programme == 0 ? HardeningProgramme.NONE : HardeningProgramme.BY_DAY,
                    new OrderLine(8, new LeafStage(4, 6), target, 0, CountedIn.PLANTS),
                    0,
                    null);
            List<CellRun> runs = IntStream.range(0, toSow)
                    .mapToObj(more -> new CellRun(new TrayId(10 + more), 1, 10))
                    .toList();
            List<Promised> promises = wanted == 0
                    ? List.of()
                    : List.of(new Promised(new LineId(1), new BatchId(1), 101, 1, 1, "Alder Field", wanted, 0, target));
            BatchOutlook outlook = new BatchOutlook(
                    new BatchFile(batch, runs, promises, state),
                    crop,
                    new ContainerPath(kind, containers),
                    new Journey(new Path(4, 6, programme), Standing.sownAt(0), batch.way(), Paces.BEFORE_ANY_COUNT),
                    emerging,
                    new Chances(0.9, Map.of()),
                    new BatchForecast(
                            forecast.emerged(),
                            forecast.pottings(),
                            forecast.stageReached(),
                            Optional.of(target.minusDays(programme)),
                            forecast.ready(),
                            forecast.pastLimit(),
                            forecast.chanceOnTarget()),
                    new Rooting(Rooting.NONE.fill(), state.roots(), potBy, Optional.empty()),
                    false,
                    List.of(),
                    0,
                    Optional.empty());
            return new BatchSituation(
                    outlook,
                    about.lastUsefulSowDay(),
                    about.outing(),
                    about.soakedOn(),
                    about.feed(),
                    about.frostToLookFor());
        }

        private static DateSpread day(LocalDate day) {
            return new DateSpread(day, day, day);
        }

        private Situation with(Emerging changed) {
            return new Situation(
                    state, planned, target, wanted, toSow, programme, stays, changed, forecast, about, potBy);
        }

        private Situation with(BatchForecast changed) {
            return new Situation(
                    state, planned, target, wanted, toSow, programme, stays, emerging, changed, about, potBy);
        }

        private Situation with(BatchSituation changed) {
            return new Situation(
                    state, planned, target, wanted, toSow, programme, stays, emerging, forecast, changed, potBy);
        }

        Situation plannedFor(LocalDate day) {
            return new Situation(state, day, target, wanted, toSow, programme, stays, emerging, forecast, about, potBy);
        }

        Situation latestSowDay(LocalDate day) {
            return with(new BatchSituation(
                    null, Optional.of(day), about.outing(), about.soakedOn(), about.feed(), about.frostToLookFor()));
        }

        Situation target(LocalDate day) {
            return new Situation(
                    state, planned, day, wanted, toSow, programme, stays, emerging, forecast, about, potBy);
        }

        Situation wanted(int plants) {
            return new Situation(
                    state, planned, target, plants, toSow, programme, stays, emerging, forecast, about, potBy);
        }

        Situation expected(double cells) {
            return with(new Emerging(Optional.empty(), Optional.empty(), cells, emerging.verdict()));
        }

        Situation verdict(EmergenceVerdict changed) {
            return with(new Emerging(Optional.empty(), Optional.empty(), emerging.expectedUp(), changed));
        }

        Situation atEmergencePlace(boolean there) {
            return new Situation(
                    state, planned, target, wanted, toSow, programme, !there, emerging, forecast, about, potBy);
        }

        Situation stageOn(LocalDate day) {
            return with(new BatchForecast(
                    forecast.emerged(),
                    forecast.pottings(),
                    Optional.of(day(day)),
                    Optional.empty(),
                    Optional.of(day(day.plusDays(programme))),
                    forecast.pastLimit(),
                    forecast.chanceOnTarget()));
        }

        Situation pastLimit(LocalDate day) {
            return with(new BatchForecast(
                    forecast.emerged(),
                    forecast.pottings(),
                    forecast.stageReached(),
                    forecast.hardeningFrom(),
                    forecast.ready(),
                    Optional.of(day(day)),
                    forecast.chanceOnTarget()));
        }

        Situation chance(double changed) {
            return with(new BatchForecast(
                    forecast.emerged(),
                    forecast.pottings(),
                    forecast.stageReached(),
                    forecast.hardeningFrom(),
                    forecast.ready(),
                    forecast.pastLimit(),
                    changed));
        }

        Situation outing(Outing changed) {
            return with(new BatchSituation(
                    null, about.lastUsefulSowDay(), changed, about.soakedOn(), about.feed(), about.frostToLookFor()));
        }

        Situation pottingOn(LocalDate day) {
            return with(new BatchForecast(
                    forecast.emerged(),
                    List.of(day(day)),
                    forecast.stageReached(),
                    forecast.hardeningFrom(),
                    forecast.ready(),
                    forecast.pastLimit(),
                    forecast.chanceOnTarget()));
        }

        Situation potBy(LocalDate day) {
            return new Situation(
                    state,
                    planned,
                    target,
                    wanted,
                    toSow,
                    programme,
                    stays,
                    emerging,
                    forecast,
                    about,
                    Optional.of(day));
        }

        Situation programme(int days) {
            return new Situation(state, planned, target, wanted, toSow, days, stays, emerging, forecast, about, potBy);
        }

        Situation traysToSow(int trays) {
            return new Situation(
                    state, planned, target, wanted, trays, programme, stays, emerging, forecast, about, potBy);
        }

        Situation soakedOn(LocalDate day) {
            return with(new BatchSituation(
                    null,
                    about.lastUsefulSowDay(),
                    about.outing(),
                    Optional.of(day),
                    about.feed(),
                    about.frostToLookFor()));
        }

        Situation feed(FeedClock clock) {
            return with(new BatchSituation(
                    null,
                    about.lastUsefulSowDay(),
                    about.outing(),
                    about.soakedOn(),
                    Optional.of(clock),
                    about.frostToLookFor()));
        }

        Situation frost(double minimum) {
            return with(new BatchSituation(
                    null,
                    about.lastUsefulSowDay(),
                    about.outing(),
                    about.soakedOn(),
                    about.feed(),
                    Optional.of(minimum)));
        }
    }
}
