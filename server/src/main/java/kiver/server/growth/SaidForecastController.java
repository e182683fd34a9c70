package kiver.server.growth;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.place.Device;
import kiver.server.place.DeviceBook;
import kiver.server.problem.Refusal;
import kiver.server.weather.WeatherBook;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** A forecast that comes from people or services: typed in as it was heard, or pushed with the token of a device that feeds it. */
@RestController
class SaidForecastController {

    private static final int MOST_DAYS = 16;

    private final WeatherBook weather;
    private final SeasonService seasons;
    private final DeviceBook devices;
    private final NurseryClock clock;

    SaidForecastController(WeatherBook weather, SeasonService seasons, DeviceBook devices, NurseryClock clock) {
        this.weather = weather;
        this.seasons = seasons;
        this.devices = devices;
        this.clock = clock;
    }

    /**
     * A day that is forecast; what is not said of its sky is left out.
     *
     * @param minimum °C
     * @param maximum °C
     * @param gust strongest, m/s
     * @param rain mm
     * @param hail chance, 0 to 1
     * @param sun share of the day, 0 to 1
     */
    record ForecastEntry(
            @NotNull(message = "Say of which day.") LocalDate day,

            @NotNull(message = "Enter the lowest.")
            @DecimalMin(value = "-60", message = "Enter −60 to 60 °C.")
            @DecimalMax(value = "60", message = "Enter −60 to 60 °C.")
            Double minimum,

            @NotNull(message = "Enter the highest.")
            @DecimalMin(value = "-60", message = "Enter −60 to 60 °C.")
            @DecimalMax(value = "60", message = "Enter −60 to 60 °C.")
            Double maximum,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 100 m/s.")
            @DecimalMax(value = "100", message = "Enter 0 to 100 m/s.")
            Double gust,

            @Nullable
            @DecimalMin(value = "0", message = "Enter 0 to 1,000 mm.")
            @DecimalMax(value = "1000", message = "Enter 0 to 1,000 mm.")
            Double rain,

            @Nullable
            @DecimalMin(value = "0", message = "Enter a chance from 0 to 1.")
            @DecimalMax(value = "1", message = "Enter a chance from 0 to 1.")
            Double hail,

            @Nullable
            @DecimalMin(value = "0", message = "Enter a share from 0 to 1.")
            @DecimalMax(value = "1", message = "Enter a share from 0 to 1.")
            Double sun) {

        DayAhead ahead() {
            return new DayAhead(
                    new DailyRange(minimum, maximum), new Sky(said(gust), said(rain), said(hail), said(sun)));
        }

        private static OptionalDouble said(@Nullable Double value) {
            return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
        }
    }

    /** The coming days, from today on without a gap. */
    record ForecastSaid(
            @NotEmpty(message = "A forecast has at least one day.")
            @Size(max = MOST_DAYS, message = "A forecast reaches at most 16 days.")
            List<@Valid @NotNull ForecastEntry> days) {}

    /** Typed in as it was heard. */
    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/weather/forecast")
    @Transactional
    public void say(@Valid @RequestBody ForecastSaid said) {
        take(said);
    }

    /** Pushed by a service that has a token. */
    @OpenTo(Callers.ANYBODY)
    @PostMapping("/api/forecast")
    @Transactional
    public void push(
            @RequestHeader(value = HttpHeaders.AUTHORIZATION, required = false) @Nullable String authorization,
            @Valid @RequestBody ForecastSaid said) {
        Device device = devices.sender(authorization);
        if (device.feeds() != Device.Feeds.FORECAST) {
            throw new Refusal(
                    "",
                    Said.of("This token is for readings. Add a device for the forecast, and send it with that token."));
        }
        devices.heard(device, clock.now());
        take(said);
    }

    private void take(ForecastSaid said) {
        if (clock.nursery().orElseThrow().demo()) {
            throw new Refusal("", Said.of("The demonstration has a station that forecasts; nothing is said here."));
        }
        LocalDate today = clock.today();
        Map<LocalDate, DayAhead> days = new TreeMap<>();
        for (ForecastEntry entry : said.days()) {
            if (entry.minimum() > entry.maximum()) {
                throw new Refusal(
                        "days",
                        Said.of("On {day} the highest is below the lowest. Look again which is which.")
                                .with("day", entry.day()));
            }
            if (days.put(entry.day(), entry.ahead()) != null) {
                throw new Refusal("days", Said.of("{day} is there twice.").with("day", entry.day()));
            }
        }
        for (int ahead = 0; ahead < days.size(); ahead++) {
            if (!days.containsKey(today.plusDays(ahead))) {
                throw new Refusal(
                        "days",
                        Said.of("A forecast begins today and leaves no day out; {day} is missing.")
                                .with("day", today.plusDays(ahead)));
            }
        }
        weather.foretell(today, List.copyOf(days.values()));
        seasons.forget();
    }
}
