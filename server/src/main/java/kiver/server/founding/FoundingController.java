package kiver.server.founding;

import jakarta.annotation.Nullable;
import java.util.List;
import kiver.core.place.Place;
import kiver.core.place.PlaceUse;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.batch.BatchBook;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.order.OrderBook;
import kiver.server.place.PlaceBook;
import kiver.server.seed.SeedStore;
import kiver.server.weather.ClimateBook;
import kiver.server.weather.WeatherBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What a nursery has, and what it still lacks before there can be a first round. */
@RestController
class FoundingController {

    private final NurseryClock clock;
    private final WeatherBook weather;
    private final ClimateBook climates;
    private final PlaceBook places;
    private final CropBook crops;
    private final SeedStore seeds;
    private final OrderBook orders;
    private final BatchBook batches;

    FoundingController(
            NurseryClock clock,
            WeatherBook weather,
            ClimateBook climates,
            PlaceBook places,
            CropBook crops,
            SeedStore seeds,
            OrderBook orders,
            BatchBook batches) {
        this.clock = clock;
        this.weather = weather;
        this.climates = climates;
        this.places = places;
        this.crops = crops;
        this.seeds = seeds;
        this.orders = orders;
        this.batches = batches;
    }

    /** What its weather rests on. */
    enum WeatherFrom {
        /** Latitude and height alone. */
        GUESSED,
        /** What somebody knows of the climate. */
        TOLD,
        /** A station. */
        MEASURED
    }

    /** What is to be done next; the order is that in which one needs the other. */
    enum NextStep {
        CLIMATE,
        PLACE_TO_COME_UP,
        PLACE_TO_GROW_ON,
        PLACE_TO_HARDEN,
        VARIETY,
        SEED,
        SITE,
        FIRST_PLAN
    }

    /**
     * The nursery at a glance.
     *
     * @param slots trays that all places hold together
     * @param crops of the library that are offered
     * @param batches planned or sown so far
     * @param next what is missing for a first round; nothing once plants are planned
     */
    record FoundingView(
            double latitude,
            int altitude,
            String timeZone,
            WeatherFrom weather,
            int daysFromFile,
            int places,
            int slots,
            int crops,
            int varieties,
            int lots,
            int growers,
            int sites,
            int batches,
            @Nullable NextStep next) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/founding")
    FoundingView founding() {
        Nursery nursery = clock.nursery().orElseThrow();
        List<Place> stands = places.places();
        WeatherFrom from = !weather.isEstimated()
                ? WeatherFrom.MEASURED
                : climates.told().isPresent() ? WeatherFrom.TOLD : WeatherFrom.GUESSED;
        int planned = batches.files().size();
        return new FoundingView(
                nursery.latitude(),
                nursery.stationAltitude(),
                nursery.timeZone(),
                from,
                weather.daysFromFile(),
                stands.size(),
                stands.stream().mapToInt(Place::slots).sum(),
                crops.cropsOffered().size(),
                crops.varieties().size(),
                seeds.lots().size(),
                orders.growers().size(),
                orders.sites().size(),
                planned,
                planned > 0 ? null : next(from, stands));
    }

    private NextStep next(WeatherFrom from, List<Place> stands) {
        if (from == WeatherFrom.GUESSED) {
            return NextStep.CLIMATE;
        }
        if (stands.stream().noneMatch(place -> place.suits(PlaceUse.EMERGENCE))) {
            return NextStep.PLACE_TO_COME_UP;
        }
        if (stands.stream().noneMatch(place -> place.suits(PlaceUse.GROWING_ON))) {
            return NextStep.PLACE_TO_GROW_ON;
        }
        if (stands.stream().noneMatch(place -> place.suits(PlaceUse.HARDENING_OFF))) {
            return NextStep.PLACE_TO_HARDEN;
        }
        if (crops.varieties().isEmpty()) {
            return NextStep.VARIETY;
        }
        if (seeds.lots().isEmpty()) {
            return NextStep.SEED;
        }
        return orders.sites().isEmpty() ? NextStep.SITE : NextStep.FIRST_PLAN;
    }
}
