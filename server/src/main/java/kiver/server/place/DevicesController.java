package kiver.server.place;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import kiver.core.place.SignOfLife;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.weather.WeatherBook;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is measured and foretold by which device, and when each was heard of last. */
@RestController
class DevicesController {

    /** Who sends reading after reading is missed within a morning. */
    private static final Duration PATIENCE = Duration.ofHours(4);

    /** What comes once a day, as forecasts and sums of days do, does not always come at the same time. */
    private static final Duration PATIENCE_WITH_DAYS = Duration.ofHours(36);

    private final DeviceBook devices;
    private final PlaceBook places;
    private final WeatherBook weather;
    private final NurseryClock clock;

    DevicesController(DeviceBook devices, PlaceBook places, WeatherBook weather, NurseryClock clock) {
        this.devices = devices;
        this.places = places;
        this.weather = weather;
        this.clock = clock;
    }

    /**
     * A device.
     *
     * @param lastHeard the latest moment of which it sent anything; null before
     * @param sign what is to be thought of that; null for one whose token was withdrawn
     * @param celsius what it read last, °C; null for a forecast
     * @param humidity %; null where it measures none
     */
    record DeviceView(
            long id,
            String name,
            Device.Feeds feeds,
            @Nullable Long placeId,
            @Nullable LocalDate withdrawnOn,
            boolean simulated,
            @Nullable LocalDateTime lastHeard,
            @Nullable SignOfLife sign,
            @Nullable Double celsius,
            @Nullable Double humidity) {}

    /**
     * A place and what is known of its climate.
     *
     * @param readByHandOn the last day that somebody read off a thermometer there; null when nobody did
     */
    record MeasuredPlace(long id, String name, @Nullable LocalDate readByHandOn) {}

    /**
     * Everything that is fed.
     *
     * @param simulatedStation whether the demonstration's station measures and forecasts
     * @param estimated whether nobody measured yesterday outdoors
     * @param forecastSaidOn when the newest forecast was said; null where there is none
     * @param places in walking order
     */
    record DevicesView(
            boolean simulatedStation,
            boolean estimated,
            @Nullable LocalDate forecastSaidOn,
            List<MeasuredPlace> places,
            List<DeviceView> devices) {}

    /** A device to be added. */
    record DeviceEntry(
            @NotBlank(message = "Enter a name.") @Size(max = 60, message = "Use at most 60 letters.")
            String name,

            @NotNull(message = "Choose what it feeds.") Device.Feeds feeds,

            @Nullable Long placeId) {}

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/devices")
    DevicesView devices() {
        Map<Long, DeviceMapper.LastSaid> said = devices.lastSaid();
        Map<Long, LocalDate> byHand = devices.lastByHand();
        return new DevicesView(
                clock.nursery().orElseThrow().demo(),
                weather.isEstimated(),
                weather.forecastSaidOn().orElse(null),
                places.places().stream()
                        .map(place -> new MeasuredPlace(
                                place.id().number(),
                                place.name(),
                                byHand.get(place.id().number())))
                        .toList(),
                devices.devices().stream()
                        .map(device -> view(device, said.get(device.id())))
                        .toList());
    }

    private DeviceView view(Device device, @Nullable DeviceMapper.LastSaid said) {
        return new DeviceView(
                device.id(),
                device.name(),
                device.feeds(),
                device.placeId(),
                device.withdrawnOn(),
                device.simulated(),
                device.lastHeard(),
                device.withdrawnOn() == null ? sign(device, said != null) : null,
                said == null ? null : said.celsius(),
                said == null ? null : said.humidity());
    }

    private SignOfLife sign(Device device, boolean readsByTheHour) {
        return SignOfLife.of(
                Optional.ofNullable(device.lastHeard()),
                device.addedOn().plusDays(1).atStartOfDay(),
                clock.now(),
                readsByTheHour ? PATIENCE : PATIENCE_WITH_DAYS);
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/devices")
    DeviceBook.Added add(@Valid @RequestBody DeviceEntry entry) {
        return devices.add(entry.name(), entry.feeds(), entry.placeId());
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/devices/{id}/withdrawals")
    void withdraw(@PathVariable long id) {
        devices.withdraw(id);
    }
}
