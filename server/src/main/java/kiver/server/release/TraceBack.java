package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.RecordedChange;
import kiver.core.growth.Season;
import kiver.core.outlook.BatchFile;
import kiver.core.place.PlaceId;
import kiver.core.release.PlantOrigin;
import kiver.core.release.TrayStays;
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

/** Follows what went with a delivery note back to its seed, mix, places, counts and hands. */
@Component
class TraceBack {

    private final ReleaseMapper releases;
    private final OrderBook orders;
    private final BatchBook batches;
    private final InPlaceBook inPlace;
    private final SeedStore seeds;
    private final TrayBook trays;
    private final CropBook crops;
    private final SeasonService seasons;

    TraceBack(
            ReleaseMapper releases,
            OrderBook orders,
            BatchBook batches,
            InPlaceBook inPlace,
            SeedStore seeds,
            TrayBook trays,
            CropBook crops,
            SeasonService seasons) {
        this.releases = releases;
        this.orders = orders;
        this.batches = batches;
        this.inPlace = inPlace;
        this.seeds = seeds;
        this.trays = trays;
        this.crops = crops;
        this.seasons = seasons;
    }

    TraceView.OfNote note(int number) {
        ReleaseMapper.ReleaseRow release = releases.byNumber(number)
                .orElseThrow(() -> new NotFound(
                        Said.of("There is no delivery note {number}.").with("number", number)));
        Order order = orders.order(release.orderNumber());
        List<BatchFile> files = batches.filesOnNote(number);
        List<TraceView.LineBack> lines = order.lines().stream()
                .map(line -> line(order, line, number, files))
                .filter(line -> line.plants() > 0 || !line.seed().isEmpty())
                .toList();
        return new TraceView.OfNote(
                number, order.number(), order.grower(), order.site(), release.day(), lines.isEmpty(), lines);
    }

    private TraceView.LineBack line(Order order, OrderedLine line, int note, List<BatchFile> files) {
        List<TraceView.Back> origins = new ArrayList<>();
        for (BatchFile file : files) {
            Map<Integer, BatchBook.Author> authors = batches.authors(file.batch());
            file.releases().stream()
                    .filter(part -> part.release() == note && part.line().equals(line.id()))
                    .flatMap(part -> PlantOrigin.of(file, part).stream())
                    .forEach(origin -> origins.add(back(file, origin, authors)));
        }
        return new TraceView.LineBack(
                line.position(),
                line.variety(),
                crops.crop(line.crop()).name(),
                origins.stream().mapToInt(TraceView.Back::plants).sum(),
                origins,
                seed(order, line, note));
    }

    private List<TraceView.SeedGone> seed(Order order, OrderedLine line, int note) {
        return inPlace.onNote(note).stream()
                .filter(sown -> sown.lineId().equals(line.id()))
                .map(sown -> new TraceView.SeedGone(
                        order.grower(),
                        order.site(),
                        order.number(),
                        line.position(),
                        note,
                        line.variety(),
                        sown.seeds(),
                        named(seeds.lot(sown.lotId()))))
                .toList();
    }

    private TraceView.Back back(BatchFile file, PlantOrigin origin, Map<Integer, BatchBook.Author> authors) {
        BatchState state = file.state();
        return new TraceView.Back(
                origin.plants(),
                origin.mixed(),
                file.batch().number(),
                trays.tray(origin.tray()).number(),
                trays.tray(origin.startedIn()).number(),
                origin.day(),
                named(seeds.lot(origin.lot())),
                origin.medium().orElse(""),
                stays(state, origin),
                noted(state, origin, authors),
                authors.values().stream()
                        .map(BatchBook.Author::name)
                        .distinct()
                        .sorted()
                        .toList());
    }

    static TraceView.LotNamed named(SeedLot lot) {
        return new TraceView.LotNamed(lot.id().number(), lot.code(), lot.supplier());
    }

    private List<TraceView.Stay> stays(BatchState state, PlantOrigin origin) {
        Season season = seasons.season();
        List<BatchState.Placement> placements = TrayStays.of(state, origin);
        List<TraceView.Stay> stays = new ArrayList<>();
        for (int index = 0; index < placements.size(); index++) {
            BatchState.Placement stay = placements.get(index);
            LocalDate until =
                    index + 1 < placements.size() ? placements.get(index + 1).from() : null;
            stays.add(new TraceView.Stay(
                    season.place(stay.place()).name(),
                    stay.from(),
                    until,
                    mean(season, stay.place(), stay.from(), until == null ? seasons.today() : until)));
        }
        return stays;
    }

    private @Nullable Double mean(Season season, PlaceId place, LocalDate from, LocalDate until) {
        int days = (int) ChronoUnit.DAYS.between(from, until);
        boolean known = !from.isBefore(season.firstDay()) && days > 0 && !until.isAfter(seasons.today());
        return known ? season.meanTemperature(place, from, days) : null;
    }

    /** What was counted and lost in the trays through which these plants went. */
    private static List<TraceView.Noted> noted(
            BatchState state, PlantOrigin origin, Map<Integer, BatchBook.Author> authors) {
        List<TraceView.Noted> noted = new ArrayList<>();
        for (RecordedChange change : state.changes()) {
            if (state.isCorrected(change.sequence())) {
                continue;
            }
            String by = authors.get(change.sequence()).name();
            if (change.change() instanceof BatchChange.Counted counted
                    && (counted.tray().equals(origin.startedIn())
                            || counted.tray().equals(origin.tray()))) {
                long up = counted.seedlings().values().stream()
                                .filter(seedlings -> seedlings > 0)
                                .count()
                        + counted.somethingUp().size();
                noted.add(new TraceView.Noted(change.day(), TraceView.Noted.Kind.COUNTED, (int) up, by));
            } else if (change.change() instanceof BatchChange.Lost lost
                    && (lost.tray().equals(origin.startedIn()) || lost.tray().equals(origin.tray()))) {
                noted.add(new TraceView.Noted(
                        change.day(), TraceView.Noted.Kind.LOST, lost.cells().size(), by));
            }
        }
        return noted;
    }
}
