package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import kiver.core.batch.DatedRelease;
import kiver.core.order.LineId;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;
import kiver.core.release.PlantOrigin;
import kiver.core.seed.LotId;
import kiver.server.batch.BatchBook;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.order.Order;
import kiver.server.order.OrderBook;
import kiver.server.order.OrderedLine;
import kiver.server.problem.NotFound;
import kiver.server.promise.InPlaceBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Follows a lot or a mix forward to every plant and every grower that has any of it. */
@Component
class TraceForward {

    private final BatchBook batches;
    private final OrderBook orders;
    private final InPlaceBook inPlace;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final CropBook crops;
    private final SeasonService seasons;

    TraceForward(
            BatchBook batches,
            OrderBook orders,
            InPlaceBook inPlace,
            SeedStore seeds,
            TrayBook trays,
            CropBook crops,
            SeasonService seasons) {
        this.batches = batches;
        this.orders = orders;
        this.inPlace = inPlace;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.seasons = seasons;
    }

    TraceView.Forward lot(long id) {
        SeedLot lot = seeds.lots().stream()
                .filter(each -> each.id().number() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("This seed lot is not in the store.")));
        return forward(
                TraceBack.named(lot),
                crops.variety(lot.varietyId()).name(),
                "",
                batches.filesFrom(lot.id()),
                origin -> origin.lot().equals(lot.id()),
                seedGone(lot));
    }

    TraceView.Forward mix(String medium) {
        List<BatchFile> files = batches.filesSownIn(medium);
        if (files.isEmpty()) {
            throw new NotFound(Said.of("Nothing was sown in \"{medium}\".").with("medium", medium));
        }
        return forward(null, null, medium, files, origin -> origin.medium().equals(Optional.of(medium)), List.of());
    }

    List<TraceView.MixNamed> mixes() {
        return batches.mixes().entrySet().stream()
                .map(mix -> new TraceView.MixNamed(mix.getKey(), mix.getValue()))
                .toList();
    }

    private TraceView.Forward forward(
            @Nullable TraceView.LotNamed lot,
            @Nullable String variety,
            String medium,
            List<BatchFile> files,
            Predicate<PlantOrigin> meant,
            List<TraceView.SeedGone> seedGone) {
        List<TraceView.SownFrom> sown =
                files.stream().flatMap(file -> sown(file, lot, medium).stream()).toList();
        return new TraceView.Forward(
                lot,
                variety,
                medium,
                sown.stream().mapToInt(TraceView.SownFrom::seeds).sum(),
                sown,
                files.stream().flatMap(file -> standing(file, meant).stream()).toList(),
                gone(files, meant),
                seedGone,
                files.stream().flatMap(file -> awaited(file).stream()).toList());
    }

    private List<TraceView.SownFrom> sown(BatchFile file, @Nullable TraceView.LotNamed lot, String medium) {
        List<TraceView.SownFrom> parts = new ArrayList<>();
        file.state().sowings().values().stream()
                .filter(sowing -> lot == null
                        ? sowing.sown().medium().equals(medium)
                        : sowing.sown().lot().number() == lot.id())
                .forEach(sowing -> parts.add(sown(
                        file, sowing.day(), sowing.sown().seeds(), sowing.sown().lot())));
        if (lot != null) {
            file.state().arrivals().values().stream()
                    .filter(arrival -> arrival.plants().lot().number() == lot.id())
                    .forEach(arrival -> parts.add(
                            sown(file, arrival.day(), 0, arrival.plants().lot())));
        }
        return parts;
    }

    private TraceView.SownFrom sown(BatchFile file, LocalDate day, int seedsTaken, LotId lot) {
        return new TraceView.SownFrom(
                file.batch().number(), file.batch().variety(), day, seedsTaken, TraceBack.named(seeds.lot(lot)));
    }

    private List<TraceView.Standing> standing(BatchFile file, Predicate<PlantOrigin> meant) {
        Map<PlaceId, String> names = seasons.placeNames();
        return PlantOrigin.standing(file).stream()
                .filter(meant)
                .map(origin -> new TraceView.Standing(
                        file.batch().number(),
                        file.batch().variety(),
                        trays.tray(origin.tray()).number(),
                        file.state().placeOf(origin.tray()).map(names::get).orElse(null),
                        origin.plants(),
                        origin.mixed()))
                .toList();
    }

    private List<TraceView.Gone> gone(List<BatchFile> files, Predicate<PlantOrigin> meant) {
        Map<Integer, Order> known = new HashMap<>();
        Map<LineId, OrderedLine> lines = new HashMap<>();
        List<TraceView.Gone> gone = new ArrayList<>();
        for (BatchFile file : files) {
            for (DatedRelease release : file.state().releases()) {
                OrderedLine line = lines.computeIfAbsent(release.plants().line(), orders::line);
                Order order = known.computeIfAbsent(line.orderNumber(), orders::order);
                PlantOrigin.of(file, release.plants()).stream()
                        .filter(meant)
                        .forEach(origin -> gone.add(new TraceView.Gone(
                                order.grower(),
                                order.site(),
                                order.number(),
                                line.position(),
                                (int) release.plants().release(),
                                release.day(),
                                file.batch().number(),
                                file.batch().variety(),
                                origin.plants(),
                                origin.mixed())));
            }
        }
        gone.sort(Comparator.comparing(TraceView.Gone::grower).thenComparing(TraceView.Gone::note));
        return together(gone);
    }

    /** Plants from several trays on one line of one note are one entry. */
    private static List<TraceView.Gone> together(List<TraceView.Gone> gone) {
        Map<TraceView.Gone, Integer> plants = new LinkedHashMap<>();
        gone.forEach(each -> plants.merge(with(each, 0), each.plants(), Integer::sum));
        return plants.entrySet().stream()
                .map(entry -> with(entry.getKey(), entry.getValue()))
                .toList();
    }

    private static TraceView.Gone with(TraceView.Gone gone, int plants) {
        return new TraceView.Gone(
                gone.grower(),
                gone.site(),
                gone.order(),
                gone.line(),
                gone.note(),
                gone.day(),
                gone.batch(),
                gone.variety(),
                plants,
                gone.mixed());
    }

    /** What is still promised of a batch; whose plants will go nobody knows yet, so every line of it is told. */
    private static List<TraceView.Awaited> awaited(BatchFile file) {
        Map<LineId, Integer> released = file.releasedByLine();
        return file.promises().stream()
                .filter(promise -> promise.plants() > released.getOrDefault(promise.line(), 0))
                .map(promise -> new TraceView.Awaited(
                        promise.grower(),
                        promise.orderNumber(),
                        promise.position(),
                        file.batch().number(),
                        file.batch().variety(),
                        promise.plants() - released.getOrDefault(promise.line(), 0),
                        promise.target()))
                .toList();
    }

    private List<TraceView.SeedGone> seedGone(SeedLot lot) {
        return inPlace.goneFrom(lot.id()).stream()
                .map(sown -> {
                    OrderedLine line = orders.line(sown.lineId());
                    Order order = orders.order(line.orderNumber());
                    return new TraceView.SeedGone(
                            order.grower(),
                            order.site(),
                            order.number(),
                            line.position(),
                            sown.release(),
                            line.variety(),
                            sown.seeds(),
                            TraceBack.named(lot));
                })
                .toList();
    }
}
