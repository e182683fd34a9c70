package kiver.server.place;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.place.Place;
import kiver.core.place.ProbeReading;
import kiver.core.weather.DailyRange;
import kiver.core.weather.StationRecord;
import kiver.server.clock.NurseryClock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lets the demonstration's devices send what they read, by the same way as real ones; and tells days that are over. */
@Component
public class SimulatedThermometers {

    /** The first day of which quarter hours are kept; of the winter before, days are enough. */
    private static final LocalDate FROM = LocalDate.of(2027, 4, 12);

    private static final int DAYS_UNNOTICED = 14;

    private final DeviceBook devices;
    private final ProbeReadings readings;
    private final PlaceBook places;
    private final PlaceProbe probe;
    private final NurseryClock clock;

    SimulatedThermometers(
            DeviceBook devices, ProbeReadings readings, PlaceBook places, PlaceProbe probe, NurseryClock clock) {
        this.devices = devices;
        this.readings = readings;
        this.places = places;
        this.probe = probe;
        this.clock = clock;
    }

    /**
     * Sends what was read on days that are over, and today until now.
     *
     * @param over days that are over, of which nothing was sent or only a part
     * @param outside the station's record up to yesterday
     * @param forecast from today on
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void catchUp(List<LocalDate> over, StationRecord outside, List<DailyRange> forecast) {
        LocalDateTime now = clock.now();
        LocalDate today = now.toLocalDate();
        Map<Long, Place> byId = places.places().stream()
                .collect(Collectors.toMap(place -> place.id().number(), Function.identity()));
        for (Device device : devices.devices()) {
            Place place = device.placeId() == null ? null : byId.get(device.placeId());
            if (!device.simulated() || device.withdrawnOn() != null || place == null) {
                continue;
            }
            for (LocalDate day : over) {
                if (!day.isBefore(FROM)) {
                    send(device, probe.readings(place, day, outside.on(day.minusDays(1)), outside.on(day), now));
                }
            }
            if (!forecast.isEmpty() && !today.isBefore(FROM)) {
                send(device, probe.readings(place, today, outside.on(today.minusDays(1)), forecast.get(0), now));
            }
        }
        // Where days passed unnoticed, real devices may have told all of them.
        readings.tellDays(
                over.stream().min(LocalDate::compareTo).orElse(clock.today().minusDays(DAYS_UNNOTICED)));
    }

    private void send(Device device, List<ProbeReading> read) {
        if (!read.isEmpty()) {
            readings.keep(device, read);
        }
    }
}
