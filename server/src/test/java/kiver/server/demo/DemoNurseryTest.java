package kiver.server.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import kiver.core.batch.BatchStage;
import kiver.core.crop.CropCode;
import kiver.core.crop.PaceTelling;
import kiver.core.growth.Emergence;
import kiver.core.outlook.BatchFile;
import kiver.server.batch.BatchBook;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.PaceTellings;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.place.PlaceBook;
import kiver.server.seed.SeedStore;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.context.ContextConfiguration;

/** The demonstration as it opens, after its winter. */
@SpringBootTest(properties = "kiver.demo=true")
@ContextConfiguration(initializers = Winter.class)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class DemoNurseryTest {

    @Autowired
    private DemoTruth truth;

    @Autowired
    NurseryClock clock;

    @Autowired
    BatchBook batches;

    @Autowired
    OrderBook orders;

    @Autowired
    CropBook crops;

    @Autowired
    SeedStore seeds;

    @Autowired
    PlaceBook places;

    @Autowired
    DemoNursery demo;

    @Autowired
    PaceTellings tellings;

    @Autowired
    JdbcTemplate database;

    @Test
    @Order(1)
    void isTheNurseryThatWasPromised() {
        assertThat(clock.today()).isEqualTo(DemoNursery.OPENING_DAY);
        assertThat(places.places()).hasSize(14);
        assertThat(orders.growers()).hasSize(12);
        assertThat(orders.sites())
                .extracting(Site::altitude)
                .anyMatch(metres -> metres < 600)
                .anyMatch(metres -> metres > 600 && metres < 900)
                .anyMatch(metres -> metres > 900);
        assertThat(crops.varieties()).hasSizeGreaterThanOrEqualTo(60);
        assertThat(seeds.lots()).hasSize(81).allMatch(lot -> lot.seedsLeft() >= 0);
        assertThat(batches.files().size()).isGreaterThanOrEqualTo(150);
    }

    @Test
    @Order(2)
    void hasBatchesInEveryStateOfThePath() {
        Map<BatchStage, Long> stages = batches.files().stream()
                .collect(Collectors.groupingBy(file -> file.state().stage(), Collectors.counting()));
        assertThat(stages.keySet())
                .contains(
                        BatchStage.PLANNED,
                        BatchStage.SOWN,
                        BatchStage.EMERGING,
                        BatchStage.GROWING_ON,
                        BatchStage.HARDENING_OFF,
                        BatchStage.READY,
                        BatchStage.RELEASED);
    }

    @Test
    @Order(3)
    void nothingHappenedInTheFutureOrBeforeItsSowing() {
        for (BatchFile file : batches.files()) {
            assertThat(file.state().changes()).allSatisfy(change -> {
                assertThat(change.day()).isBefore(DemoNursery.OPENING_DAY);
                assertThat(change.day()).isAfterOrEqualTo(file.state().sownOn().orElseThrow());
            });
        }
    }

    @Test
    @Order(4)
    void noReleaseGaveMoreThanWasOrdered() {
        assertThat(batches.files())
                .allSatisfy(file -> assertThat(file.state().balance().released())
                        .isLessThanOrEqualTo(file.batch().plants()));
    }

    /** Everything that chance decides comes from numbers and a fixed seed, so it is the same on every machine. */
    @Test
    @Order(5)
    void chanceIsDrawnFromASeed() {
        Emergence lettuce = crops.crop(new CropCode("lettuce")).emergence();
        int up = 0;
        for (int cell = 1; cell <= 100; cell++) {
            int seen = truth.seedlingsUp(207, cell, 1, 0.9, 1.1, lettuce, 5);
            assertThat(truth.seedlingsUp(207, cell, 1, 0.9, 1.1, lettuce, 5)).isEqualTo(seen);
            up += seen;
        }
        assertThat(up).isBetween(80, 98);
        assertThat(DemoOrders.between(DemoNursery.FIRST_DAY, DemoNursery.OPENING_DAY))
                .isEqualTo(DemoOrders.between(DemoNursery.FIRST_DAY, DemoNursery.OPENING_DAY))
                .hasSize(185);
    }

    @Test
    @Order(6)
    void seedlingsNeverGoBackIntoTheGround() {
        int before = 0;
        for (double progress = 0; progress < 3; progress += 0.05) {
            int up = truth.seedlingsUp(
                    210, 5, 3, 0.9, 1, crops.crop(new CropCode("beetroot")).emergence(), progress);
            assertThat(up).isBetween(before, 3);
            before = up;
        }
    }

    /** As it would be where people look at their round again after the work. */
    @Test
    @Order(5)
    void whatTheMorningHardenedGoesTheSameDayAndColdNightsAreSeenTo() {
        List<Long> daysLater = database.queryForList("""
                select (min(release.occurred_on) - ended.day)::bigint
                from (select batch_id, max(occurred_on) as day from batch_change where kind = 'HardeningEnded' group by batch_id) ended
                join batch on batch.id = ended.batch_id and ended.day >= batch.target
                join batch_change release on release.batch_id = batch.id and release.kind = 'Released'
                group by batch.id, ended.day
                """, Long.class);
        assertThat(daysLater).isNotEmpty().containsOnly(0L);
        List<LocalDate> evenings = database.queryForList("select distinct day from evening_done", LocalDate.class);
        // On the last evening nobody did, so that there is something to look for on the opening day.
        assertThat(evenings).isNotEmpty().doesNotContain(DemoNursery.OPENING_DAY.minusDays(1));
    }

    /** What counts tell of a batch's pace is what was true of it and nobody could see. */
    @Test
    @Order(6)
    void countsTellTheTruthOfPaces() {
        List<Double> off = new ArrayList<>();
        for (CropCode crop : tellings.ofEmergence().crops()) {
            for (PaceTelling told : tellings.ofEmergence().told(crop)) {
                off.add(told.log() - Math.log(truth.pace(told.batch(), crops.crop(crop))));
            }
        }
        assertThat(off).hasSizeGreaterThan(30);
        assertThat(off.stream().mapToDouble(Double::doubleValue).average().orElseThrow())
                .isCloseTo(0, within(0.06));
        assertThat(off.stream().mapToDouble(Math::abs).average().orElseThrow()).isLessThan(0.1);
    }

    @Test
    @Order(7)
    void goesOnLiving() {
        LocalDate today = clock.today();
        int changes = database.queryForObject("select count(*) from batch_change", Integer.class);
        String given = "select count(*) from feeding where fed_on >= '" + today + "'";
        assertThat(database.queryForObject(given, Integer.class)).isZero();
        demo.liveThroughToday(true);
        assertThat(clock.today()).isEqualTo(today.plusDays(1));
        // Feed goes with every second watering.
        for (int days = 0; days < 4; days++) {
            demo.liveThroughToday(true);
        }
        assertThat(database.queryForObject(given, Integer.class))
                .as("whose mix has no more to give is fed")
                .isPositive();
        int withHands = database.queryForObject("select count(*) from batch_change", Integer.class);
        assertThat(withHands).isGreaterThan(changes);
        demo.liveThroughToday(false);
        assertThat(database.queryForObject("select count(*) from batch_change", Integer.class))
                .isEqualTo(withHands);
    }
}
