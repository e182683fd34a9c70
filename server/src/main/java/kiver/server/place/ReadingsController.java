package kiver.server.place;

import jakarta.annotation.Nullable;
import java.util.List;
import kiver.core.weather.OutdoorReading;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.problem.Refusal;
import kiver.server.weather.StationReadings;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Where devices send what they read, each with its own token. docs/readings.md tells how. */
@RestController
class ReadingsController {

    private final DeviceBook devices;
    private final ProbeReadings readings;
    private final StationReadings station;
    private final ReadingsText texts;
    private final Scales scales;

    ReadingsController(
            DeviceBook devices, ProbeReadings readings, StationReadings station, ReadingsText texts, Scales scales) {
        this.station = station;
        this.scales = scales;
        this.devices = devices;
        this.readings = readings;
        this.texts = texts;
    }

    /**
     * What became of readings that were sent.
     *
     * @param taken that were new
     * @param known that had been sent before; what was said first stays
     * @param refused rows that could not be taken, by their number from 1, with what is wrong
     */
    record ReadingsTaken(int taken, int known, List<ReadingsText.RefusedRow> refused) {}

    @OpenTo(Callers.ANYBODY)
    @PostMapping(
            value = "/api/readings",
            consumes = {MediaType.APPLICATION_JSON_VALUE, "text/csv"})
    ReadingsTaken take(
            @RequestHeader(value = HttpHeaders.AUTHORIZATION, required = false) @Nullable String authorization,
            @RequestHeader(HttpHeaders.CONTENT_TYPE) String type,
            @RequestBody String body) {
        Device device = devices.sender(authorization);
        if (device.feeds() == Device.Feeds.FORECAST) {
            throw new Refusal(
                    "",
                    Said.of("This token is for a forecast. Send it to /api/forecast, or add a device for readings."));
        }
        ReadingsText.Read read = type.startsWith("text/csv") ? texts.csv(body, device) : texts.json(body, device);
        if (read.isEmpty()) {
            throw new Refusal("readings", Said.of("There is no reading in what was sent."));
        }
        read.latest().ifPresent(at -> devices.heard(device, at));
        int taken = device.feeds() == Device.Feeds.STATION ? outdoors(device, read) : atPlace(device, read);
        for (ReadingsText.Weighed each : read.weights()) {
            taken += scales.take(device, each.tray(), each.at(), each.grams()) ? 1 : 0;
        }
        return new ReadingsTaken(taken, read.rows() - taken, read.refused());
    }

    private int atPlace(Device device, ReadingsText.Read read) {
        return readings.take(device, read.readings()) + readings.takeDays(device, read.days());
    }

    private int outdoors(Device device, ReadingsText.Read read) {
        return station.take(
                        device.id(),
                        read.readings().stream()
                                .map(each -> new OutdoorReading(each.at(), each.celsius()))
                                .toList())
                + station.takeDays(read.days());
    }
}
