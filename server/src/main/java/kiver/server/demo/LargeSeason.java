package kiver.server.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.crop.Container;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.Crop;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.order.LineId;
import kiver.core.order.OrderLine;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchPlan;
import kiver.core.outlook.Sowing;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.CountBack;
import kiver.core.plan.WayFinder;
import kiver.server.batch.BatchBook;
import kiver.server.batch.NewBatch;
import kiver.server.batch.TrayLayout;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.place.PlaceBook;
import kiver.server.release.ReleaseService;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Fills an empty database with a season of many planned batches, for trying how Kiver bears it. Batches are planned
 * one by one without looking at room, so there is something to place.
 */
@Component
@Order(1)
class LargeSeason implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(LargeSeason.class);
    private static final LocalDate DAY = LocalDate.of(2027, 2, 1);

    /** With histories it is late in spring, and most batches are under way. */
    private static final LocalDate DAY_WITH_HISTORY = LocalDate.of(2027, 5, 20);

    private static final int DAYS_TO_GROW = 55;
    private static final int SEED_ENOUGH = 10_000_000;
    private static final int AT_ONCE = 250;
    private static final int BATCHES_TO_A_SET_OF_PLACES = 250;
    private static final int CELLS = 120;

    private final int wanted;

    /** Seasons that are over before this one; −1 for a season of plans without histories. */
    private final int seasonsBefore;

    private final NurseryClock clock;
    private final DemoFounding founding;
    private final PlaceBook places;
    private final CropBook crops;
    private final Stock stock;
    private final SeasonService seasons;
    private final TransactionTemplate transaction;

    /** What batches are written down with. */
    @Component
    record Stock(OrderBook orders, SeedStore seeds, BatchBook batches, TrayLayout layout, ReleaseService releases) {}

    LargeSeason(
            @Value("${kiver.season-of}") int wanted,
            @Value("${kiver.seasons-before}") int seasonsBefore,
            NurseryClock clock,
            DemoFounding founding,
            PlaceBook places,
            CropBook crops,
            Stock stock,
            SeasonService seasons,
            TransactionTemplate transaction) {
        this.wanted = wanted;
        this.seasonsBefore = seasonsBefore;
        this.clock = clock;
        this.founding = founding;
        this.places = places;
        this.crops = crops;
        this.stock = stock;
        this.seasons = seasons;
        this.transaction = transaction;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (wanted == 0 || clock.nursery().isPresent()) {
            return;
        }
        transaction.executeWithoutResult(status -> {
            founding.found();
            clock.showDay(day());
            morePlaces();
        });
        Season season = seasons.season();
        SplittableRandom random = new SplittableRandom(wanted);
        if (seasonsBefore >= 0) {
            transaction.executeWithoutResult(status -> stock.seeds()
                    .lots()
                    .forEach(lot -> stock.seeds()
                            .put(new SeedLot(
                                    lot.id(),
                                    lot.code(),
                                    lot.varietyId(),
                                    lot.supplier(),
                                    lot.germinationLabel(),
                                    lot.testedSeeds(),
                                    lot.testedOn(),
                                    SEED_ENOUGH,
                                    SEED_ENOUGH))));
        }
        List<SeedLot> lots = stock.seeds().lots();
        List<Site> sites = stock.orders().sites();
        int all = wanted * (1 + Math.max(0, seasonsBefore));
        for (int done = 0; done < all; done += AT_ONCE) {
            int upTo = Math.min(all, done + AT_ONCE);
            int from = done;
            transaction.executeWithoutResult(status -> {
                for (int index = from; index < upTo; index++) {
                    SeedLot lot = lots.get(random.nextInt(lots.size()));
                    Site site = sites.get(random.nextInt(sites.size()));
                    if (seasonsBefore >= 0) {
                        live(season, lot, site, seasonsBefore - index / wanted, random);
                    } else {
                        plan(season, lot, site, random);
                    }
                }
            });
            LOG.info("Living through a made-up season: {} of {} batches", upTo, all);
        }
    }

    /** As many houses again for every 250 batches. */
    private void morePlaces() {
        List<Place> first = places.places();
        int order = first.size();
        for (int set = 2; set <= Math.max(1, wanted / BATCHES_TO_A_SET_OF_PLACES) && order < 60; set++) {
            for (Place place : first) {
                order++;
                if (order <= 60) {
                    places.add(
                            new Place(
                                    new PlaceId(0),
                                    place.name() + " " + set,
                                    order,
                                    place.slots() * (wanted > 1000 ? 5 : 1),
                                    place.climate(),
                                    place.light(),
                                    place.keepsMiceOut(),
                                    place.suits()),
                            "");
                }
            }
        }
    }

    private void plan(Season season, SeedLot lot, Site site, SplittableRandom random) {
        Variety variety = crops.variety(lot.varietyId());
        Crop crop = crops.cropOf(variety);
        Container container = crops.container(new ContainerCode(usualContainer(variety)));
        LocalDate target = DAY.plusDays(60 + random.nextInt(130));
        Way way = WayFinder.wayFor(season, crop, DAY.plusDays(20));
        LeafStage stage = new LeafStage(3, 4);
        Path path = new Path(
                List.of(),
                stage.from(),
                Math.max(stage.from() + 1, crop.leafLimitIn(container)),
                crop.dayLimitIn(container),
                5);
        LocalDate sowDay = new CountBack(
                        path,
                        season.scenarios(way, crop.development(), crop.learnt().paces())
                                .subList(0, 9),
                        season.firstDay())
                .lastEvenOdds(target, DAY);
        write(lot, site, way, stage, sowDay, target, DAY, random);
    }

    /** A batch of this season, or of so many years before, with its history until today. */
    private void live(Season season, SeedLot lot, Site site, int yearsAgo, SplittableRandom random) {
        Crop crop = crops.cropOf(crops.variety(lot.varietyId()));
        LocalDate target = DAY_WITH_HISTORY.plusDays(random.nextInt(60)).minusYears(yearsAgo);
        LocalDate sowDay = target.minusDays(DAYS_TO_GROW + random.nextInt(10));
        Way way = WayFinder.wayFor(season, crop, DAY_WITH_HISTORY);
        Written written = write(lot, site, way, new LeafStage(3, 4), sowDay, target, sowDay.minusDays(20), random);
        BatchFile file = stock.batches().file(written.batch());
        boolean gone = !target.isAfter(DAY_WITH_HISTORY);
        int release = gone
                ? stock.releases().open(stock.orders().order(written.order()).id(), target)
                : 0;
        stock.batches()
                .recordAll(
                        written.batch(),
                        MadeUpHistory.of(file.batch(), file.runs(), DAY_WITH_HISTORY, release, written.line(), random));
    }

    /** Numbers of what was written down; that of the line is the database's. */
    private record Written(int order, LineId line, int batch) {}

    private Written write(
            SeedLot lot,
            Site site,
            Way way,
            LeafStage stage,
            LocalDate sowDay,
            LocalDate target,
            LocalDate placedOn,
            SplittableRandom random) {
        Variety variety = crops.variety(lot.varietyId());
        Container container = crops.container(new ContainerCode(usualContainer(variety)));
        int cells = CELLS / 2 + random.nextInt(CELLS);
        OrderLine wish = new OrderLine(cells * 3 / 4, stage, target);
        int order = stock.orders().add(site.growerId(), site.id(), target, placedOn, null);
        LineId line = stock.orders().addLine(order, variety.id(), container.code(), wish, null);
        int batch = stock.batches()
                .add(
                        new NewBatch(
                                variety.id(),
                                new Sowing(lot.id(), 2, cells, cells * 4 / 5),
                                BatchPlan.of(
                                        sowDay,
                                        sowDay.plusDays(4),
                                        way,
                                        ContainerPath.Kind.STRAIGHT,
                                        List.of(container.code())),
                                HardeningProgramme.usualFor(
                                        crops.cropOf(variety).hardiness(), 2, 1),
                                wish,
                                null),
                        stock.layout().runs(container.code(), cells));
        stock.batches().promise(line, batch, wish.plants());
        return new Written(order, line, batch);
    }

    private LocalDate day() {
        return seasonsBefore < 0 ? DAY : DAY_WITH_HISTORY;
    }

    private static String usualContainer(Variety variety) {
        return DemoStock.varieties().stream()
                .filter(each -> each.name().equals(variety.name()))
                .map(DemoStock.VarietyEntry::container)
                .findFirst()
                .orElse("module-60");
    }
}
