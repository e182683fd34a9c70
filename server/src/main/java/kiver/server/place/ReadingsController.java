package kiver.server.place;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Where devices send what they read, each with its own token; and the devices themselves. docs/readings.md tells how. */
@RestController
class ReadingsController {

    private static final String BEARER = "Bearer ";

    private final DeviceBook devices;
    private final ProbeReadings readings;
    private final ReadingsText texts;
    private final Scales scales;

    ReadingsController(DeviceBook devices, ProbeReadings readings, ReadingsText texts, Scales scales) {
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

    @PostMapping(
            value = "/api/readings",
            consumes = {MediaType.APPLICATION_JSON_VALUE, "text/csv"})
    ReadingsTaken take(
            @RequestHeader(value = HttpHeaders.AUTHORIZATION, required = false) @Nullable String authorization,
            @RequestHeader(HttpHeaders.CONTENT_TYPE) String type,
            @RequestBody String body) {
        if (authorization == null || !authorization.startsWith(BEARER)) {
            throw new ResponseStatusException(HttpStatus.UNAUTHORIZED);
        }
        Device device = devices.byToken(authorization.substring(BEARER.length()).strip())
                .orElseThrow(() -> new ResponseStatusException(HttpStatus.UNAUTHORIZED));
        ReadingsText.Read read = type.startsWith("text/csv") ? texts.csv(body) : texts.json(body);
        if (read.readings().isEmpty()
                && read.weights().isEmpty()
                && read.refused().isEmpty()) {
            throw new Refusal("readings", Said.of("There is no reading in what was sent."));
        }
        int taken = readings.take(device, read.readings());
        for (ReadingsText.Weighed each : read.weights()) {
            taken += scales.take(device, each.tray(), each.at(), each.grams()) ? 1 : 0;
        }
        return new ReadingsTaken(taken, read.readings().size() + read.weights().size() - taken, read.refused());
    }

    /** A device to be added. */
    record DeviceEntry(
            @NotBlank(message = "Enter a name.") @Size(max = 60, message = "Use at most 60 letters.")
            String name,

            @NotNull(message = "Choose a place.") Long placeId) {}

    @GetMapping("/api/devices")
    List<Device> devices() {
        return devices.devices();
    }

    @PostMapping("/api/devices")
    DeviceBook.Added add(@Valid @RequestBody DeviceEntry entry) {
        return devices.add(entry.name(), entry.placeId());
    }

    @PostMapping("/api/devices/{id}/withdrawals")
    void withdraw(@PathVariable long id) {
        devices.withdraw(id);
    }
}
