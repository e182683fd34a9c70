package kiver.server.place;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.UUID;
import kiver.core.place.PlaceId;
import kiver.core.place.ProbeReading;
import kiver.core.weather.DailyRange;
import kiver.server.clock.NurseryClock;
import kiver.server.kept.Revisions;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The one way by which readings come in, of real devices and of simulated ones; and what a day's readings come to. */
@Component
public class ProbeReadings {

    /** A day is told from its readings when so many of its hours are known. */
    private static final int HOURS_OF_A_DAY_KNOWN = 18;

    private final DeviceMapper mapper;
    private final NurseryClock clock;
    private final Revisions revisions;
    private final JsonMapper json = JsonMapper.builder().build();

    ProbeReadings(DeviceMapper mapper, NurseryClock clock, Revisions revisions) {
        this.mapper = mapper;
        this.clock = clock;
        this.revisions = revisions;
    }

    private record Row(String at, double celsius, Double humidity) {}

    /**
     * Takes readings of a device; what it said of a moment before stays as it was.
     *
     * @return how many were new
     */
    @Transactional
    public int take(Device device, List<ProbeReading> readings) {
        if (readings.isEmpty()) {
            return 0;
        }
        int taken = keep(device, readings);
        LocalDate earliest = readings.stream()
                .map(reading -> reading.at().toLocalDate())
                .min(LocalDate::compareTo)
                .orElseThrow();
        if (taken > 0 && tellDays(earliest) > 0) {
            revisions.weatherChanged();
        }
        return taken;
    }

    /**
     * Takes days that are over as a device summed them up.
     *
     * @return how many were new or other than before
     */
    @Transactional
    public int takeDays(Device device, SortedMap<LocalDate, DailyRange> days) {
        int told = 0;
        for (Map.Entry<LocalDate, DailyRange> day : days.entrySet()) {
            told += mapper.tellDay(
                    device.hangsAt(),
                    day.getKey(),
                    day.getValue().minimum(),
                    day.getValue().maximum());
        }
        if (told > 0) {
            revisions.weatherChanged();
        }
        return told;
    }

    /** Keeps readings without telling their days. */
    int keep(Device device, List<ProbeReading> readings) {
        mapper.heard(
                device.id(),
                readings.stream()
                        .map(ProbeReading::at)
                        .max(LocalDateTime::compareTo)
                        .orElseThrow());
        List<Row> rows = readings.stream()
                .map(reading -> new Row(
                        reading.at().toString(),
                        reading.celsius(),
                        reading.humidity().isPresent() ? reading.humidity().getAsDouble() : null))
                .toList();
        return mapper.take(device.id(), device.hangsAt(), json.writeValueAsString(rows));
    }

    /**
     * Keeps the lowest and the highest that somebody read off a thermometer; of that day they count for more than what
     * probes sent.
     */
    void takeByHand(UUID request, PlaceId place, LocalDate day, DailyRange range, long by) {
        mapper.keepByHand(request, place.number(), day, range.minimum(), range.maximum(), by);
        mapper.tellByHand(place.number(), day, range.minimum(), range.maximum());
        revisions.weatherChanged();
    }

    /** Tells the ranges of days that are over, from a day on, where enough of them is known; answers how many changed. */
    int tellDays(LocalDate from) {
        return mapper.tellDays(from, clock.today(), HOURS_OF_A_DAY_KNOWN);
    }

    /** What was read between two moments, by place, in order of time. */
    public Map<PlaceId, List<ProbeReading>> between(LocalDateTime from, LocalDateTime until) {
        Map<PlaceId, List<ProbeReading>> byPlace = new HashMap<>();
        mapper.readings(from, until)
                .forEach(row -> byPlace.computeIfAbsent(new PlaceId(row.placeId()), place -> new ArrayList<>())
                        .add(new ProbeReading(
                                row.readAt(),
                                row.celsius(),
                                row.humidity() == null ? OptionalDouble.empty() : OptionalDouble.of(row.humidity()))));
        return byPlace;
    }
}
