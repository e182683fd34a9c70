package kiver.server.release;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import kiver.core.batch.BatchStage;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.order.LineId;
import kiver.core.order.Protection;
import kiver.core.outlook.BatchOutlook;
import kiver.core.outlook.Promised;
import kiver.core.release.ReadyTray;
import kiver.core.tray.TrayId;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderedLine;
import kiver.server.outlook.BatchSummary;
import kiver.server.release.OrderView.Standing;

/** Works out how lines of orders stand; what all of them need is looked up once. */
final class LineViews {

    private final Function<BatchOutlook, BatchSummary> summarising;
    private final CropBook crops;
    private final Function<TrayId, ContainerCode> containerOf;
    private final PreparingBook preparing;
    private final Map<LineId, List<Supply>> supplies;
    private final Map<LineId, Integer> released;
    private final Map<LineId, OrderView.InPlaceView> inPlace;

    /** What a line was promised of a batch. */
    private record Supply(Promised promise, BatchOutlook batch) {

        /** Plants that the line can count on from it. */
        int plants() {
            return batch.file().plantsByLine().getOrDefault(promise.line(), 0);
        }

        double chance() {
            return batch.chanceFor(promise.line());
        }
    }

    LineViews(
            List<BatchOutlook> all,
            Map<LineId, OrderView.InPlaceView> inPlace,
            Function<BatchOutlook, BatchSummary> summarising,
            CropBook crops,
            Function<TrayId, ContainerCode> containerOf,
            PreparingBook preparing) {
        this.preparing = preparing;
        this.inPlace = inPlace;
        this.containerOf = containerOf;
        this.summarising = summarising;
        this.crops = crops;
        supplies = all.stream()
                .flatMap(batch -> batch.file().promises().stream().map(promise -> new Supply(promise, batch)))
                .collect(Collectors.groupingBy(supply -> supply.promise().line()));
        released = ReleaseService.releasedByLine(all);
    }

    OrderView.LineView of(OrderedLine line) {
        List<Supply> own = supplies.getOrDefault(line.id(), List.of());
        Crop crop = crops.crop(line.crop());
        Optional<OrderView.InPlaceView> sown = Optional.ofNullable(inPlace.get(line.id()));
        int gone = released.getOrDefault(line.id(), 0)
                + sown.filter(each -> each.note() != null)
                        .map(OrderView.InPlaceView::plants)
                        .orElse(0);
        int ready = ready(line, own, gone, false);
        List<Supply> counted = counted(line, own, sown);
        return new OrderView.LineView(
                line.position(),
                new OrderView.Asked(
                        line.varietyId(),
                        line.variety(),
                        crop.name(),
                        line.container(),
                        crops.container(line.container()).name(),
                        line.plants(),
                        line.leavesFrom(),
                        line.leavesTo(),
                        line.target(),
                        line.under(),
                        line.accepted(),
                        line.countedIn(),
                        line.protection()),
                line.cancelledOn(),
                gone,
                ready,
                ready(line, own, gone, true),
                own.stream().mapToInt(Supply::plants).sum()
                        + sown.map(OrderView.InPlaceView::plants).orElse(0),
                standing(line, own, sown, gone, ready),
                gone >= line.accepted() ? 1 : chance(line, counted, sown),
                own.stream()
                        .map(supply -> new OrderView.SupplyView(
                                supply.promise().plants(),
                                supply.chance(),
                                counted.contains(supply),
                                summarising.apply(supply.batch())))
                        .toList(),
                sown.orElse(null),
                PlantingLines.of(crop, line.target()),
                preparing.before(crop, line.protection() == null ? Protection.OPEN_GROUND : line.protection()),
                preparing.after(crop));
    }

    /** Plants that could go now, no more than are still to go. */
    private int ready(OrderedLine line, List<Supply> own, int gone, boolean mixed) {
        if (mixed
                && own.stream()
                        .noneMatch(supply -> supply.batch().file().state().isAnyMixed())) {
            return 0;
        }
        int ready =
                ReadyPlants.forLine(line.id(), own.stream().map(Supply::batch).toList(), mixed, Set.of(), containerOf)
                        .stream()
                        .mapToInt(ReadyTray::plants)
                        .sum();
        return Math.max(0, Math.min(line.plants() - gone, ready));
    }

    /** The surest batches that together are promised what counts as whole; all of them where even they are not enough. */
    private static List<Supply> counted(OrderedLine line, List<Supply> own, Optional<OrderView.InPlaceView> sown) {
        List<Supply> counted = new ArrayList<>();
        int covered = sown.map(OrderView.InPlaceView::plants).orElse(0);
        for (Supply supply : own.stream()
                .sorted(Comparator.comparingDouble(Supply::chance).reversed())
                .toList()) {
            if (covered < line.accepted()) {
                covered += supply.promise().plants();
                counted.add(supply);
            }
        }
        return counted;
    }

    /** All that is counted on must come; 0 where too little is promised. */
    private static double chance(OrderedLine line, List<Supply> counted, Optional<OrderView.InPlaceView> sown) {
        int covered = sown.map(OrderView.InPlaceView::plants).orElse(0)
                + counted.stream().mapToInt(supply -> supply.promise().plants()).sum();
        double chance = sown.map(OrderView.InPlaceView::chance).orElse(1.0);
        for (Supply supply : counted) {
            chance *= supply.chance();
        }
        return covered < line.accepted() ? 0 : chance;
    }

    private static Standing standing(
            OrderedLine line, List<Supply> own, Optional<OrderView.InPlaceView> sown, int gone, int ready) {
        if (line.cancelledOn() != null) {
            return Standing.CANCELLED;
        }
        if (gone >= line.plants()) {
            return Standing.RELEASED;
        }
        if (gone > 0) {
            return Standing.PART_RELEASED;
        }
        if (ready > 0 || sown.filter(OrderView.InPlaceView::due).isPresent()) {
            return Standing.READY;
        }
        if (own.isEmpty()) {
            return sown.isPresent() ? Standing.PLANNED : Standing.OPEN;
        }
        Stream<BatchStage> stages = own.stream().map(supply -> supply.batch().stage());
        List<BatchStage> distinct = stages.distinct().toList();
        if (distinct.equals(List.of(BatchStage.FAILED))) {
            return Standing.FAILED;
        }
        return distinct.equals(List.of(BatchStage.PLANNED)) ? Standing.PLANNED : Standing.GROWING;
    }
}
