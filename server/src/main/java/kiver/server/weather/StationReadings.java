package kiver.server.weather;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import kiver.core.weather.DailyRange;
import kiver.core.weather.OutdoorReading;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Revisions;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What a station outdoors sends by itself; its days take the place of those that were estimated. */
@Component
public class StationReadings {

    /** A day is told from its readings when so many of its hours are known. */
    private static final int HOURS_OF_A_DAY_KNOWN = 18;

    private final WeatherMapper mapper;
    private final WeatherBook weather;
    private final NurseryClock clock;
    private final Revisions revisions;
    private final JsonMapper json = JsonMapper.builder().build();

    StationReadings(WeatherMapper mapper, WeatherBook weather, NurseryClock clock, Revisions revisions) {
        this.mapper = mapper;
        this.weather = weather;
        this.clock = clock;
        this.revisions = revisions;
    }

    private record Row(String at, double celsius) {}

    /**
     * Takes readings of a device; what it said of a moment before stays as it was.
     *
     * @return how many were new
     */
    @Transactional
    public int take(long device, List<OutdoorReading> readings) {
        Optional<LocalDate> earliest =
                readings.stream().map(each -> each.at().toLocalDate()).min(LocalDate::compareTo);
        if (earliest.isEmpty()) {
            return 0;
        }
        LocalDate today = recordedUntil();
        int taken = mapper.take(
                device,
                json.writeValueAsString(readings.stream()
                        .map(each -> new Row(each.at().toString(), each.celsius()))
                        .toList()));
        if (taken > 0 && mapper.tellDays(earliest.get(), today, HOURS_OF_A_DAY_KNOWN) > 0) {
            revisions.weatherChanged();
        }
        return taken;
    }

    /**
     * Takes days that are over as a station summed them up.
     *
     * @return how many were new or other than before
     */
    @Transactional
    public int takeDays(SortedMap<LocalDate, DailyRange> days) {
        recordedUntil();
        int told = 0;
        for (Map.Entry<LocalDate, DailyRange> day : days.entrySet()) {
            told += mapper.tellDay(
                    day.getKey(), day.getValue().minimum(), day.getValue().maximum());
        }
        if (told > 0) {
            revisions.weatherChanged();
        }
        return told;
    }

    /** The latest that a station read; nothing where none sends. */
    public Optional<OutdoorReading> last() {
        return mapper.lastReading();
    }

    /** The record has no gaps: it goes up to yesterday, estimated, before a day in it is told otherwise. */
    private LocalDate recordedUntil() {
        LocalDateTime now = clock.now();
        weather.catchUp(now.toLocalDate());
        return now.toLocalDate();
    }
}
