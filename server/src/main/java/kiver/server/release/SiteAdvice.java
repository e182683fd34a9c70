package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import kiver.core.crop.Crop;
import kiver.core.order.SiteClimate;
import kiver.core.order.SoilWarmth;
import kiver.core.release.PlantingAdvice;
import kiver.core.release.SiteAtPlanting;
import kiver.core.weather.StationRecord;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderedLine;
import kiver.server.order.OutdoorsBook;
import kiver.server.weather.WeatherBook;
import org.springframework.stereotype.Component;

/** What the weather at a line's site asks of whoever plants there. */
@Component
class SiteAdvice {

    /** Days that the soil needs to settle to what the air makes of it. */
    private static final int DAYS_OF_SOIL = 60;

    private final CropBook crops;
    private final OutdoorsBook outdoors;
    private final SeasonService seasons;
    private final WeatherBook weather;
    private final NurseryClock clock;

    SiteAdvice(CropBook crops, OutdoorsBook outdoors, SeasonService seasons, WeatherBook weather, NurseryClock clock) {
        this.crops = crops;
        this.outdoors = outdoors;
        this.seasons = seasons;
        this.weather = weather;
        this.clock = clock;
    }

    /** For plants of a line that go out on a day, not before today. */
    List<PlantingAdvice> of(OrderedLine line, LocalDate day) {
        LocalDate today = clock.today();
        Crop crop = crops.crop(line.crop());
        SiteClimate climate = outdoors.climate(line);
        return new SiteAtPlanting(
                        climate,
                        outdoors.season(crop, line.siteId(), climate.protection(), day),
                        soil(climate, today),
                        today,
                        weather.ahead(today))
                .advice(crop, day);
    }

    private OptionalDouble soil(SiteClimate climate, LocalDate today) {
        StationRecord record = seasons.record();
        LocalDate from = today.minusDays(DAYS_OF_SOIL);
        LocalDate until = today.minusDays(1);
        if (!record.covers(from) || !record.covers(until)) {
            return OptionalDouble.empty();
        }
        List<Double> soils =
                SoilWarmth.daily(new StationRecord(from, record.between(from, until)), climate.soilOffset());
        return OptionalDouble.of(soils.get(soils.size() - 1));
    }
}
