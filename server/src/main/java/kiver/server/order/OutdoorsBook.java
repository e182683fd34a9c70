package kiver.server.order;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import kiver.core.crop.Crop;
import kiver.core.order.FrostDates;
import kiver.core.order.OutdoorSeason;
import kiver.core.order.Protection;
import kiver.core.order.SiteClimate;
import kiver.core.weather.StationRecord;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import org.springframework.stereotype.Component;

/** Tells when crops may stand at growers' sites, from the station's record. */
@Component
public class OutdoorsBook {

    private static final int MOST_KEPT = 5_000;

    private final OrderBook orders;
    private final SeasonService seasons;
    private final PestBook pests;
    private final NurseryClock clock;
    private volatile Seasons kept = new Seasons(null, Map.of());

    /** What a season is asked for. */
    private record Asked(Crop crop, SiteClimate climate, double latitude, LocalDate day) {}

    /** Seasons that follow from a record of the station, which is only ever replaced. */
    private record Seasons(StationRecord record, Map<Asked, OutdoorSeason> byAsked) {}

    OutdoorsBook(OrderBook orders, SeasonService seasons, PestBook pests, NurseryClock clock) {
        this.orders = orders;
        this.seasons = seasons;
        this.pests = pests;
        this.clock = clock;
    }

    /**
     * When a crop may stand at a site, in the season of a day.
     *
     * @throws kiver.server.problem.Refusal when there is no such site
     */
    public OutdoorSeason season(Crop crop, long siteId, LocalDate day) {
        Site site = orders.site(siteId);
        return season(crop, site, site.protection(), day);
    }

    /** The same under a cover; null for what the site has. */
    public OutdoorSeason season(Crop crop, long siteId, @Nullable Protection protection, LocalDate day) {
        Site site = orders.site(siteId);
        return season(crop, site, protection == null ? site.protection() : protection, day);
    }

    /** The same at a site under other cover than it has. */
    public OutdoorSeason season(Crop crop, Site site, Protection protection, LocalDate day) {
        return season(crop, new SiteClimate(climate(site).offset(), protection), day)
                .with(pests.at(site, crop, day));
    }

    /** Frost dates of a site at a threshold, °C, under what covers it. */
    public FrostDates frost(Site site, double threshold) {
        return frost(climate(site), threshold);
    }

    /** Frost dates of a climate at a threshold, °C. */
    public FrostDates frost(SiteClimate climate, double threshold) {
        return FrostDates.of(
                record(), climate.nightOffset(), threshold, nursery().latitude() >= 0);
    }

    /** How the place of a line differs from the station, under what its plants will stand under. */
    public SiteClimate climate(OrderedLine line) {
        SiteClimate climate = climate(orders.site(line.siteId()));
        return line.protection() == null ? climate : new SiteClimate(climate.offset(), line.protection());
    }

    /** How a site differs from the station. */
    public SiteClimate climate(Site site) {
        return site.climate(nursery().stationAltitude());
    }

    // A record of the station is replaced and never changed; comparing two by value would read years of days.
    @SuppressWarnings("ReferenceEquality")
    private OutdoorSeason season(Crop crop, SiteClimate climate, LocalDate day) {
        StationRecord record = record();
        Seasons present = kept;
        if (present.record() != record || present.byAsked().size() >= MOST_KEPT) {
            present = new Seasons(record, new ConcurrentHashMap<>());
            kept = present;
        }
        return present.byAsked()
                .computeIfAbsent(
                        new Asked(crop, climate, nursery().latitude(), day),
                        asked ->
                                OutdoorSeason.of(asked.crop(), asked.climate(), record, asked.latitude(), asked.day()));
    }

    private StationRecord record() {
        return seasons.record();
    }

    private Nursery nursery() {
        return clock.nursery().orElseThrow();
    }
}
