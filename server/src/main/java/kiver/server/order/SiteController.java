package kiver.server.order;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.core.growth.DateSpread;
import kiver.core.order.FrostDates;
import kiver.core.order.OutdoorSeason;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.weather.WeatherBook;
import kiver.server.wording.Said;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Growers' sites: their frost dates, and when crops may stand there. */
@RestController
class SiteController {

    private static final double LIGHT_FROST = 0;
    private static final double HARD_FROST = -2;
    private static final int DAYS_BETWEEN_POINTS = 3;

    private final OrderBook orders;
    private final OutdoorsBook outdoors;
    private final CropBook crops;
    private final WeatherBook weather;
    private final NurseryClock clock;

    SiteController(OrderBook orders, OutdoorsBook outdoors, CropBook crops, WeatherBook weather, NurseryClock clock) {
        this.weather = weather;
        this.orders = orders;
        this.outdoors = outdoors;
        this.crops = crops;
        this.clock = clock;
    }

    /** The chance of frost still to come in spring, or that has come in autumn. */
    record FrostPoint(LocalDate day, double chance) {}

    /** Frost at or below a threshold. */
    record FrostView(
            double threshold,
            int seasons,
            @Nullable DateSpread spring,
            @Nullable DateSpread autumn,
            List<FrostPoint> curve) {}

    /** When a crop may stand at the site. */
    record CropOutdoors(
            String crop,
            Said hardiness,
            LocalDate from,
            OutdoorSeason.Reason because,
            @Nullable LocalDate until,
            @Nullable LocalDate ruleForSowing,
            @Nullable LocalDate ruleForPlanting) {}

    /**
     * A site with its frost.
     *
     * @param estimated whether most of the seasons on record were not measured
     */
    record SiteView(
            long id,
            String grower,
            String site,
            int altitude,
            Said protection,
            double offset,
            FrostView lightFrost,
            FrostView hardFrost,
            boolean estimated,
            List<CropOutdoors> crops) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/sites/{id}")
    SiteView site(@PathVariable long id, @RequestParam(required = false) @Nullable String crop) {
        Site site = orders.site(id);
        LocalDate today = clock.today();
        String grower = orders.growers().stream()
                .filter(each -> each.id() == site.growerId())
                .map(Grower::name)
                .findFirst()
                .orElse("");
        List<Crop> shown = crop == null ? crops.crops() : List.of(crops.crop(new CropCode(crop)));
        return new SiteView(
                site.id(),
                grower,
                site.name(),
                site.altitude(),
                Said.of("protection." + site.protection()),
                outdoors.climate(site).offset(),
                frost(site, LIGHT_FROST, today),
                frost(site, HARD_FROST, today),
                weather.isMostlyEstimated(),
                shown.stream().map(each -> outdoors(each, site, today)).toList());
    }

    private FrostView frost(Site site, double threshold, LocalDate today) {
        FrostDates dates = outdoors.frost(site, threshold);
        LocalDate midsummer = FrostDates.midsummerOf(today, dates.northern());
        List<FrostPoint> curve = new ArrayList<>();
        for (int day = -160; day <= 160; day += DAYS_BETWEEN_POINTS) {
            LocalDate point = midsummer.plusDays(day);
            curve.add(new FrostPoint(point, dates.chanceOfFrost(point)));
        }
        return new FrostView(
                threshold,
                dates.seasons(),
                dates.spring(today).orElse(null),
                dates.autumn(today).orElse(null),
                curve);
    }

    private CropOutdoors outdoors(Crop crop, Site site, LocalDate today) {
        OutdoorSeason season = outdoors.season(crop, site.id(), today);
        return new CropOutdoors(
                crop.name(),
                Said.of("hardiness." + crop.hardiness()),
                season.from(),
                season.fromBecause(),
                season.until().orElse(null),
                season.ruleForSowing(crop).orElse(null),
                season.ruleForPlanting(crop).orElse(null));
    }
}
