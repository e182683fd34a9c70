package kiver.core.promise;

import static kiver.core.Samples.LOT;
import static kiver.core.Samples.MODULES;
import static kiver.core.Samples.PLUGS;
import static kiver.core.Samples.RECORD;
import static kiver.core.Samples.SEASON;
import static kiver.core.Samples.TODAY;
import static kiver.core.Samples.kale;
import static kiver.core.Samples.request;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.Samples;
import kiver.core.crop.Crop;
import kiver.core.crop.Hardiness;
import kiver.core.crop.OutdoorNeeds;
import kiver.core.growth.CardinalTemperatures;
import kiver.core.growth.Season;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceSpan;
import kiver.core.plan.Obstacle;
import kiver.core.plan.PlanRequest;
import kiver.core.space.Occupancy;
import kiver.core.space.Stay;
import org.junit.jupiter.api.Test;

class PromiseCheckTest {

    private static final LocalDate TARGET = TODAY.plusDays(75);

    @Test
    void aPlainYesHasNoConditionsAndNoOffers() {
        Promise promise = check(request(kale(60), MODULES, 100, TARGET, 1000, LOT), empty());
        assertThat(promise.answer()).isEqualTo(Answer.YES);
        assertThat(promise.conditions()).isEmpty();
        assertThat(promise.offers()).isEmpty();
        assertThat(promise.stays()).isNotEmpty();
    }

    @Test
    void tooLateIsANoWithTheNearestDayThatIsAYes() {
        PlanRequest request = request(kale(60), MODULES, 100, TODAY.plusDays(20), 1000, LOT);
        Promise promise = check(request, empty());
        assertThat(promise.answer()).isEqualTo(Answer.NO);
        assertThat(promise.reasons())
                .anySatisfy(reason -> assertThat(obstacle(reason)).isInstanceOf(Obstacle.TooLateToSow.class));
        Offer later = promise.offers().stream()
                .filter(offer -> offer.change() == Offer.Change.DAY)
                .findFirst()
                .orElseThrow();
        assertThat(check(request(kale(60), MODULES, 100, later.target(), 1000, LOT), empty())
                        .answer())
                .isEqualTo(Answer.YES);
        assertThat(check(request(kale(60), MODULES, 100, later.target().minusDays(1), 1000, LOT), empty())
                        .answer())
                .isNotEqualTo(Answer.YES);
    }

    @Test
    void aFullBenchIsAConditionWithFewerPlantsOffered() {
        Occupancy crowded = Occupancy.of(
                SEASON.places(),
                Map.of(1, List.of(new Stay(Samples.WAY.growingOn(), TODAY, TODAY.plusDays(200), 8))),
                TODAY,
                230);
        PlanRequest request = request(kale(60), MODULES, 400, TARGET, 4000, LOT);
        Promise promise = check(request, crowded);
        assertThat(promise.answer()).isEqualTo(Answer.YES_IF);
        assertThat(promise.conditions())
                .anySatisfy(condition -> assertThat(condition)
                        .isInstanceOfSatisfying(
                                Proviso.NoRoom.class,
                                room -> assertThat(room.place()).isEqualTo(new PlaceId(2))));
        Offer fewer = promise.offers().stream()
                .filter(offer -> offer.change() == Offer.Change.QUANTITY)
                .findFirst()
                .orElseThrow();
        assertThat(fewer.plants()).isBetween(50, 120);
        assertThat(check(request(kale(60), MODULES, fewer.plants(), TARGET, 4000, LOT), crowded)
                        .answer())
                .isEqualTo(Answer.YES);
    }

    @Test
    void aPlaceThatIsNotThereYetIsSaidToBeSo() {
        Place growing = SEASON.place(Samples.WAY.growingOn());
        Place later = new Place(
                growing.id(),
                growing.name(),
                growing.walkingOrder(),
                growing.slots(),
                growing.climate(),
                growing.light(),
                growing.keepsMiceOut(),
                growing.suits(),
                new PlaceSpan(Optional.of(TARGET.plusDays(10)), Optional.empty()));
        Promise promise = check(
                request(kale(60), MODULES, 100, TARGET, 1000, LOT),
                Occupancy.of(
                        SEASON.places().stream()
                                .map(place -> place.equals(growing) ? later : place)
                                .toList(),
                        Map.of(),
                        TODAY,
                        230));
        assertThat(promise.conditions())
                .anySatisfy(condition -> assertThat(condition)
                        .isInstanceOfSatisfying(
                                Proviso.NotThere.class,
                                gone -> assertThat(gone.place()).isEqualTo(growing.id())))
                .noneSatisfy(condition -> assertThat(condition).isInstanceOf(Proviso.NoRoom.class));
    }

    @Test
    void tooLittleSeedIsAConditionWhileThereIsTimeToBuy() {
        Promise later = check(request(kale(60), MODULES, 300, TARGET, 100, LOT), empty());
        assertThat(later.answer()).isEqualTo(Answer.YES_IF);
        assertThat(later.offers()).extracting(Offer::change).contains(Offer.Change.QUANTITY);
        LocalDate soon = TODAY.plusDays(58);
        assertThat(check(request(kale(60), MODULES, 300, soon, 100, LOT), empty())
                        .reasons())
                .anySatisfy(reason -> assertThat(obstacle(reason)).isInstanceOf(Obstacle.TooLittleSeed.class));
    }

    @Test
    void frostAtTheSiteIsANoAndATunnelIsOffered() {
        var squash = Samples.crop(
                "Squash",
                Hardiness.TENDER,
                60,
                20,
                CardinalTemperatures.of(8, 28, 40),
                new OutdoorNeeds(0, -1.5, 1.5, 60));
        LocalDate early = TODAY.plusDays(58);
        OutdoorSeason open = season(squash, Protection.OPEN_GROUND, early);
        PlanRequest request = Samples.at(open, request(squash, MODULES, 60, early, 1000, LOT));
        SiteChoice tunnel = new SiteChoice(
                "7", Optional.of(Protection.UNHEATED_TUNNEL), season(squash, Protection.UNHEATED_TUNNEL, early));
        Promise promise = new PromiseCheck(SEASON, empty(), List.of(MODULES), () -> List.of(tunnel)).check(request);
        assertThat(promise.answer()).isNotEqualTo(Answer.YES);
        assertThat(promise.offers()).anySatisfy(offer -> {
            assertThat(offer.change()).isEqualTo(Offer.Change.PROTECTION);
            assertThat(offer.protection()).isEqualTo(Protection.UNHEATED_TUNNEL);
            assertThat(offer.site()).isEqualTo("7");
        });
        assertThat(promise.offers())
                .filteredOn(offer -> offer.change() == Offer.Change.DAY)
                .isNotEmpty()
                .allSatisfy(offer -> assertThat(offer.target()).isAfterOrEqualTo(open.from()));
    }

    @Test
    void tooLittleLightIsAConditionAndALighterDayIsOffered() {
        Season dim = Samples.seasonInLight(0.17, 0);
        PromiseCheck check =
                new PromiseCheck(dim, Occupancy.of(dim.places(), Map.of(), TODAY, 230), List.of(), List::of);
        Promise early = check.check(request(kale(60), MODULES, 60, TODAY.plusDays(60), 1000, LOT));
        assertThat(early.answer()).isEqualTo(Answer.YES_IF);
        assertThat(early.conditions())
                .anySatisfy(condition -> assertThat(obstacle(condition))
                        .isInstanceOfSatisfying(
                                Obstacle.TooDark.class,
                                dark -> assertThat(dark.needed()).isEqualTo(6.0)));
        Offer later = early.offers().stream()
                .filter(offer -> offer.change() == Offer.Change.DAY)
                .findFirst()
                .orElseThrow();
        assertThat(check.check(request(kale(60), MODULES, 60, later.target(), 1000, LOT))
                        .answer())
                .isEqualTo(Answer.YES);
        PromiseCheck lamps = new PromiseCheck(
                Samples.seasonInLight(0.17, 6), Occupancy.of(dim.places(), Map.of(), TODAY, 230), List.of(), List::of);
        assertThat(lamps.check(request(kale(60), MODULES, 60, TODAY.plusDays(60), 1000, LOT))
                        .conditions())
                .noneSatisfy(condition -> assertThat(obstacle(condition)).isInstanceOf(Obstacle.TooDark.class));
    }

    @Test
    void anotherContainerIsOfferedWhereTheCellIsTooSmall() {
        Promise promise = check(request(kale(5), PLUGS, 60, TARGET, 1000, LOT), empty());
        assertThat(promise.answer()).isEqualTo(Answer.NO);
        assertThat(obstacle(promise.reasons().get(0))).isInstanceOf(Obstacle.CellTooSmall.class);
    }

    private static Obstacle obstacle(Proviso proviso) {
        return proviso instanceof Proviso.InTheWay inTheWay ? inTheWay.obstacle() : null;
    }

    private static OutdoorSeason season(Crop crop, Protection protection, LocalDate day) {
        return OutdoorSeason.of(crop, new SiteClimate(0, protection), RECORD, 46, day);
    }

    private static Promise check(PlanRequest request, Occupancy occupancy) {
        return new PromiseCheck(SEASON, occupancy, List.of(MODULES, PLUGS), List::of).check(request);
    }

    private static Occupancy empty() {
        return Occupancy.of(SEASON.places(), Map.of(), TODAY, 230);
    }
}
