package kiver.server.growth;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import kiver.core.sheet.DateOrder;
import kiver.core.sheet.SheetFault;
import kiver.core.sheet.SheetRow;
import kiver.core.sheet.SheetText;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Daylight;
import kiver.core.weather.OutdoorReading;
import kiver.core.weather.StationLayout;
import kiver.core.weather.StationRecord;
import kiver.core.weather.StationSheet;
import kiver.server.account.OpenTo;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.clock.TimeZones;
import kiver.server.problem.Refusal;
import kiver.server.weather.ClimateBook;
import kiver.server.weather.StationReadings;
import kiver.server.weather.WeatherBook;
import kiver.server.wording.Said;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The station's record: looked at, read in from files, written out. */
@RestController
class WeatherController {

    /** More bad lines than this are counted, not listed. */
    private static final int FAULTS_LISTED = 60;

    /** Days shown as they were understood. */
    private static final int DAYS_SHOWN = 3;

    private final WeatherBook weather;
    private final ClimateBook climate;
    private final StationReadings station;
    private final SeasonService seasons;
    private final NurseryClock clock;

    WeatherController(
            WeatherBook weather,
            ClimateBook climate,
            StationReadings station,
            SeasonService seasons,
            NurseryClock clock) {
        this.station = station;
        this.weather = weather;
        this.climate = climate;
        this.seasons = seasons;
        this.clock = clock;
    }

    /**
     * A day of the forecast or of the last weeks.
     *
     * @param estimated whether nobody measured it
     */
    record WeatherDay(LocalDate day, double minimum, double maximum, boolean estimated) {}

    /**
     * A day that is forecast; what is not said of its sky is null.
     *
     * @param gust strongest, m/s
     * @param rain mm
     * @param sun share of the day, 0 to 1
     */
    record ForecastView(
            LocalDate day,
            double minimum,
            double maximum,
            @Nullable Double gust,
            @Nullable Double rain,
            @Nullable Double sun) {

        static ForecastView of(LocalDate day, DayAhead ahead) {
            return new ForecastView(
                    day,
                    ahead.range().minimum(),
                    ahead.range().maximum(),
                    orNull(ahead.sky().gust()),
                    orNull(ahead.sky().rain()),
                    orNull(ahead.sky().sun()));
        }

        private static @Nullable Double orNull(OptionalDouble value) {
            return value.isPresent() ? value.getAsDouble() : null;
        }
    }

    /**
     * The record at a glance: the last weeks, the forecast, and what past years had on the same days.
     *
     * @param daysFromDevices days that a station sent by itself
     * @param now what it read last; null where none sends
     */
    record WeatherView(
            LocalDate firstDay,
            LocalDate lastDay,
            int days,
            int daysFromFile,
            int daysFromDevices,
            @Nullable OutdoorReading now,
            int years,
            List<WeatherDay> lately,
            List<ForecastView> forecast,
            @Nullable LocalDate forecastSaidOn,
            List<WeatherDay> usual,
            double latitude,
            int altitude,
            String timeZone,
            boolean estimated) {}

    /** Where the nursery lies. */
    record Position(
            @NotNull(message = "Say how far north or south it lies.")
            @DecimalMin(value = "-90", message = "Enter −90 to 90 degrees, south negative.")
            @DecimalMax(value = "90", message = "Enter −90 to 90 degrees, south negative.")
            Double latitude,

            @NotNull(message = "Say how high it lies.")
            @Min(value = -400, message = "Enter −400 to 5,000 m.")
            @Max(value = 5_000, message = "Enter −400 to 5,000 m.")
            Integer altitude,

            @Nullable String timeZone) {}

    /** Moves the nursery on the map; weather that was estimated for where it was is worked out anew. */
    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/weather/position")
    @Transactional
    public void move(@Valid @RequestBody Position position) {
        if (clock.nursery().orElseThrow().demo()) {
            throw new Refusal("", Said.of("The demonstration's valley stays where it is."));
        }
        boolean otherHalf = position.latitude() >= 0 != clock.latitude() >= 0;
        ZoneId zone = position.timeZone() == null ? clock.zone() : TimeZones.named(position.timeZone());
        clock.move(position.latitude(), position.altitude(), zone);
        if (otherHalf) {
            climate.forget();
        }
        weather.estimateAnew(clock.today());
        seasons.forget();
    }

    /** How long it is light, hours from sunrise to sunset. */
    record DayLength(LocalDate day, double hours) {}

    /** The length of this year's days somewhere, every fifth; before anything is moved there. */
    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/weather/daylight")
    List<DayLength> daylight(@RequestParam double latitude) {
        if (!(Math.abs(latitude) <= 90)) {
            throw new Refusal("latitude", Said.of("Enter −90 to 90 degrees, south negative."));
        }
        LocalDate newYear = LocalDate.of(clock.today().getYear(), 1, 1);
        return IntStream.rangeClosed(0, 72)
                .mapToObj(fifth -> newYear.plusDays(5L * fifth))
                .map(day -> new DayLength(day, Daylight.dayLength(latitude, day)))
                .toList();
    }

    /** A line that cannot be used. */
    record FaultView(long line, Said problem) {}

    /** Days that the file lacks; both inclusive. */
    record GapView(LocalDate from, LocalDate to, long days) {}

    /** What a file holds; {@code taken} says whether it was read in. */
    record FileReport(
            int days,
            @Nullable LocalDate firstDay,
            @Nullable LocalDate lastDay,
            int faults,
            List<FaultView> faultsListed,
            List<GapView> gaps,
            FileLayout understood,
            List<WeatherDay> firstDays,
            boolean taken) {}

    /**
     * How a file was understood; what is wrong is chosen again.
     *
     * @param columns their names, or numbers where there is no heading
     * @param day column, counted from 0
     * @param lowest column; nothing where rows are readings
     * @param highest column
     * @param reading column of readings; nothing where a row is a day
     */
    record FileLayout(
            StationLayout.Separator separator,
            DateOrder dates,
            StationLayout.Unit unit,
            List<String> columns,
            int day,
            @Nullable Integer lowest,
            @Nullable Integer highest,
            @Nullable Integer reading) {

        static FileLayout of(StationLayout layout) {
            return new FileLayout(
                    layout.separator(),
                    layout.dates(),
                    layout.unit(),
                    layout.columns(),
                    layout.day(),
                    layout.lowest().orElse(null),
                    layout.highest().orElse(null),
                    layout.reading().orElse(null));
        }
    }

    /** What somebody chose otherwise than it was understood. */
    record ChosenLayout(
            @Nullable DateOrder dates,
            @Nullable StationLayout.Unit unit,
            @Nullable Integer day,
            @Nullable Integer lowest,
            @Nullable Integer highest,
            @Nullable Integer reading) {

        StationLayout.Chosen chosen() {
            return new StationLayout.Chosen(
                    Optional.ofNullable(dates),
                    Optional.ofNullable(unit),
                    Optional.ofNullable(day),
                    Optional.ofNullable(lowest),
                    Optional.ofNullable(highest),
                    Optional.ofNullable(reading));
        }
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/weather")
    WeatherView weather() {
        LocalDate today = clock.today();
        StationRecord record = seasons.record();
        Set<LocalDate> estimated = weather.estimatedFrom(today.minusDays(28));
        List<WeatherDay> lately = new ArrayList<>();
        for (LocalDate day = today.minusDays(28); day.isBefore(today); day = day.plusDays(1)) {
            lately.add(day(day, record.on(day), estimated.contains(day)));
        }
        List<ForecastView> forecast = new ArrayList<>();
        for (DayAhead ahead : weather.ahead(today)) {
            forecast.add(ForecastView.of(today.plusDays(forecast.size()), ahead));
        }
        List<WeatherDay> usual = new ArrayList<>();
        for (LocalDate day = today.minusDays(28); day.isBefore(today.plusDays(14)); day = day.plusDays(1)) {
            usual.add(usual(record, day));
        }
        int years = (int) ((record.lastDay().toEpochDay() - record.firstDay().toEpochDay()) / 365.25);
        return new WeatherView(
                record.firstDay(),
                record.lastDay(),
                record.days().size(),
                weather.daysFromFile(),
                weather.daysFromDevices(),
                station.last().orElse(null),
                years,
                lately,
                forecast,
                weather.forecastSaidOn().orElse(null),
                usual,
                clock.nursery().orElseThrow().latitude(),
                clock.nursery().orElseThrow().stationAltitude(),
                clock.zone().getId(),
                weather.isEstimated());
    }

    @OpenTo(Callers.THE_NURSERY)
    @GetMapping("/api/weather/file")
    ResponseEntity<byte[]> file() {
        StationRecord record = seasons.record();
        List<SheetRow> rows = new ArrayList<>();
        for (int index = 0; index < record.days().size(); index++) {
            DailyRange range = record.days().get(index);
            rows.add(SheetText.row(
                    StationSheet.COLUMNS, record.firstDay().plusDays(index), range.minimum(), range.maximum()));
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"station.csv\"")
                .body(SheetText.written(StationSheet.COLUMNS, rows).getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Looks a file over; with {@code take} its good days are put into the record as well.
     *
     * @param file name
     * @param take whether to read it in
     * @param chosen what was understood wrongly
     * @param bytes of the file
     */
    @OpenTo(Callers.PROPAGATOR)
    @PostMapping(value = "/api/weather/file", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    FileReport readIn(
            @RequestParam String file, @RequestParam boolean take, ChosenLayout chosen, @RequestBody byte[] bytes) {
        StationSheet sheet = StationSheet.read(file, bytes, clock.today(), chosen.chosen());
        if (take) {
            StationRecord record = seasons.record();
            if (sheet.days().isEmpty()) {
                throw new Refusal("file", Said.of("No day of this file can be used."));
            }
            LocalDate first = sheet.days().keySet().iterator().next();
            boolean wholeBefore = !first.isBefore(record.firstDay())
                    || sheet.days().keySet().stream()
                                    .filter(day -> day.isBefore(record.firstDay()))
                                    .count()
                            == record.firstDay().toEpochDay() - first.toEpochDay();
            if (!wholeBefore) {
                throw new Refusal(
                        "file",
                        Said.of(
                                        "Days before {firstDay}, where the record begins, must follow each other without a gap up to it. Fill the gaps, or leave those days out.")
                                .with("firstDay", record.firstDay()));
            }
            weather.put(sheet.days());
            seasons.forget();
        }
        List<LocalDate> days = List.copyOf(sheet.days().keySet());
        return new FileReport(
                days.size(),
                days.isEmpty() ? null : days.get(0),
                days.isEmpty() ? null : days.get(days.size() - 1),
                sheet.faults().size(),
                sheet.faults().stream()
                        .limit(FAULTS_LISTED)
                        .map(WeatherController::view)
                        .toList(),
                sheet.gaps().stream()
                        .map(gap -> new GapView(gap.from(), gap.to(), gap.days()))
                        .toList(),
                FileLayout.of(sheet.layout()),
                days.stream()
                        .limit(DAYS_SHOWN)
                        .map(day -> day(day, sheet.days().get(day), false))
                        .toList(),
                take);
    }

    private static FaultView view(SheetFault fault) {
        return new FaultView(fault.line(), Said.of((Record) fault.fault()));
    }

    private static WeatherDay day(LocalDate day, DailyRange range, boolean estimated) {
        return new WeatherDay(day, range.minimum(), range.maximum(), estimated);
    }

    /** The mean of past years on the same day of the calendar. */
    private static WeatherDay usual(StationRecord record, LocalDate day) {
        double minimum = 0;
        double maximum = 0;
        int years = 0;
        for (int back = 1; record.covers(day.minusYears(back)); back++) {
            minimum += record.on(day.minusYears(back)).minimum();
            maximum += record.on(day.minusYears(back)).maximum();
            years++;
        }
        return new WeatherDay(day, years == 0 ? 0 : minimum / years, years == 0 ? 0 : maximum / years, false);
    }
}
