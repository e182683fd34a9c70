package kiver.core.promise;

import static kiver.core.Samples.LOT;
import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.RECORD;
import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.WAY;
import static kiver.core.Samples.kale;
import static kiver.core.Samples.request;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Paces;
import kiver.core.growth.Path;
import kiver.core.growth.Scenario;
import kiver.core.growth.Standing;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.plan.PlanRequest;
import kiver.core.seed.GerminationNodes;
import kiver.core.sow.SowQuantity;
import org.junit.jupiter.api.Test;

class StillToSowTest {

    private static final LocalDate SOWN = TODAY.plusDays(10);

    @Test
    void whatIsSownGoesOutWhenNineYearsInTenHaveItReady() {
        PlanRequest request = request(kale(60), MODULES, 1, TODAY.plusDays(60), 1000, LOT);
        StillToSow still = StillToSow.of(request, SEASON, WAY, SOWN).orElseThrow();
        assertThat(still.goesOut()).isEqualTo(still.ready().late());
        assertThat(still.lastDay()).isEmpty();
        assertThat(still.chance()).isCloseTo(followed(request, SOWN, still.goesOut()), within(1e-12));
    }

    /** The same followed through every fresh draw, one by one. */
    private static double followed(PlanRequest request, LocalDate sown, LocalDate out) {
        Crop crop = request.crop();
        List<Scenario> draws = SEASON.manyFreshDraws(WAY, crop.development(), Paces.BEFORE_ANY_COUNT);
        Path path = request.path();
        Standing standing = Standing.sownAt(ChronoUnit.DAYS.between(SEASON.firstDay(), sown));
        double due = ChronoUnit.DAYS.between(SEASON.firstDay(), out);
        return draws.stream()
                        .map(draw -> path.from(standing, draw))
                        .filter(each -> each.fitOn(due))
                        .count()
                / (double) draws.size();
    }

    @Test
    void tooEarlyItWouldWaitPastItsBestForTheFrostToEnd() {
        OutdoorSeason outdoors = outdoors(Hardiness.TENDER, 0);
        StillToSow early = StillToSow.of(at(outdoors), SEASON, WAY, TODAY).orElseThrow();
        assertThat(early.goesOut()).isEqualTo(outdoors.from());
        assertThat(early.chance()).isLessThan(0.2);
        LocalDate counted = outdoors.from()
                .minusDays(ChronoUnit.DAYS.between(TODAY, early.ready().middle()) - 8);
        assertThat(StillToSow.of(at(outdoors), SEASON, WAY, counted)
                        .orElseThrow()
                        .chance())
                .isGreaterThan(0.5);
    }

    @Test
    void afterTheLastDayThatTheSiteTakesThemNothingComesOfIt() {
        OutdoorSeason outdoors = outdoors(Hardiness.TENDER, 60);
        StillToSow still = StillToSow.of(at(outdoors), SEASON, WAY, TODAY).orElseThrow();
        LocalDate last = still.lastDay().orElseThrow();
        assertThat(StillToSow.of(at(outdoors), SEASON, WAY, last).orElseThrow().chance())
                .isGreaterThan(0.5);
        assertThat(StillToSow.of(at(outdoors), SEASON, WAY, outdoors.until().orElseThrow()))
                .isEmpty();
    }

    @Test
    void asManyPlantsAsTheSeedGivesNineteenTimesInTwenty() {
        PlanRequest request = request(kale(60), MODULES, 1, TODAY.plusDays(60), 200, LOT);
        int plants = StillToSow.of(request, SEASON, WAY, SOWN).orElseThrow().plants();
        SowQuantity quantity = new SowQuantity(
                GerminationNodes.of(LOT).withMishaps(),
                1,
                request.crop().learnt().living());
        assertThat(quantity.chanceOfAtLeast(plants, 200)).isGreaterThanOrEqualTo(0.95);
        assertThat(quantity.chanceOfAtLeast(plants + 1, 200)).isLessThan(0.95);
    }

    private static PlanRequest at(OutdoorSeason outdoors) {
        return request(kale(60), MODULES, 1, TODAY.plusDays(60), 1000, LOT).at(outdoors);
    }

    private static OutdoorSeason outdoors(Hardiness hardiness, int maturityDays) {
        Crop crop = Samples.crop(
                "Plant",
                hardiness,
                60,
                6,
                CardinalTemperatures.of(4.5, 28, 38),
                new OutdoorNeeds(0, -7, -3, maturityDays));
        return OutdoorSeason.of(crop, new SiteClimate(0, Protection.OPEN_GROUND), RECORD, 46, TODAY);
    }
}
