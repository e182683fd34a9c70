package kiver.server.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import kiver.core.crop.Container;
import kiver.core.crop.Crop;
import kiver.core.growth.PaceSpread;
import kiver.core.growth.Path;
import kiver.core.growth.Season;
import kiver.core.growth.Way;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LeafStage;
import kiver.core.order.OrderLine;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.plan.ContainerPath;
import kiver.core.plan.CountBack;
import kiver.core.plan.WayFinder;
import kiver.server.batch.Batch;
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
    private static final int AT_ONCE = 250;
    private static final int BATCHES_TO_A_SET_OF_PLACES = 250;
    private static final int CELLS = 120;

    private final int wanted;
    private final NurseryClock clock;
    private final DemoFounding founding;
    private final PlaceBook places;
    private final CropBook crops;
    private final Stock stock;
    private final SeasonService seasons;
    private final TransactionTemplate transaction;

    /** What batches are written down with. */
    @Component
    record Stock(OrderBook orders, SeedStore seeds, BatchBook batches, TrayLayout layout) {}

    LargeSeason(
            @Value("${kiver.season-of}") int wanted,
            NurseryClock clock,
            DemoFounding founding,
            PlaceBook places,
            CropBook crops,
            Stock stock,
            SeasonService seasons,
            TransactionTemplate transaction) {
        this.wanted = wanted;
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
            clock.showDay(DAY);
            morePlaces();
        });
        Season season = seasons.season();
        SplittableRandom random = new SplittableRandom(wanted);
        List<SeedLot> lots = stock.seeds().lots();
        List<Site> sites = stock.orders().sites();
        for (int done = 0; done < wanted; done += AT_ONCE) {
            int upTo = Math.min(wanted, done + AT_ONCE);
            int from = done;
            transaction.executeWithoutResult(status -> {
                for (int index = from; index < upTo; index++) {
                    plan(season, lots.get(random.nextInt(lots.size())), sites.get(random.nextInt(sites.size())), random);
                }
            });
            LOG.info("Living through a made-up season: {} of {} batches", upTo, wanted);
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
                    places.add(new Place(new PlaceId(0), place.name() + " " + set, order, place.slots() * (wanted > 1000 ? 5 : 1),
                            place.climate(), place.daylightShare(), place.lampLight(), place.suits()), "");
                }
            }
        }
    }

    private void plan(Season season, SeedLot lot, Site site, SplittableRandom random) {
        Variety variety = crops.variety(lot.varietyId());
        Crop crop = crops.cropOf(variety);
        Container container = crops.container(usualContainer(variety));
        LocalDate target = DAY.plusDays(60 + random.nextInt(130));
        Way way = WayFinder.wayFor(season, crop, DAY.plusDays(20));
        LeafStage stage = new LeafStage(3, 4);
        Path path = new Path(
                List.of(), stage.from(), Math.max(stage.from() + 1, crop.leafLimitIn(container)),
                crop.dayLimitIn(container), 5);
        LocalDate sowDay = new CountBack(
                        path,
                        season.scenarios(way, crop.emergence(), crop.leaves(), PaceSpread.BEFORE_ANY_COUNT).subList(0, 9),
                        season.firstDay())
                .lastEvenOdds(target, DAY);
        int cells = CELLS / 2 + random.nextInt(CELLS);
        OrderLine wish = new OrderLine(cells * 3 / 4, stage, target);
        int order = stock.orders().add(site.growerId(), site.id(), target, DAY, null);
        long line = stock.orders().addLine(order, variety.id(), container.code(), wish, Batch.CountedIn.PLANTS);
        int batch = stock.batches().add(
                new NewBatch(
                        variety.id(), lot.id(), 2, cells, cells * 4 / 5, sowDay, sowDay.plusDays(4), way,
                        HardeningProgramme.usualFor(crop.hardiness(), 14), ContainerPath.Kind.STRAIGHT, container.code(), wish,
                        Batch.CountedIn.PLANTS),
                stock.layout().runs(container.code(), cells));
        stock.batches().promise(line, batch, wish.plants());
    }

    private static String usualContainer(Variety variety) {
        return DemoStock.varieties().stream()
                .filter(each -> each.name().equals(variety.name()))
                .map(DemoStock.VarietyEntry::container)
                .findFirst()
                .orElse("module-60");
    }
}
