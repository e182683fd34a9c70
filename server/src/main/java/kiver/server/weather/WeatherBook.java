package kiver.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.core.weather.StationRecord;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the station's record and the newest forecast. */
@Component
public class WeatherBook {

    private static final int ROWS_AT_ONCE = 2000;

    private final WeatherMapper mapper;
    private final WeatherStation station;
    private final ClimateBook climate;

    WeatherBook(WeatherMapper mapper, WeatherStation station, ClimateBook climate) {
        this.mapper = mapper;
        this.station = station;
        this.climate = climate;
    }

    /** Whether nobody measures the weather at present: yesterday was worked out from what is known of the climate. */
    public boolean isEstimated() {
        return mapper.isLastDayEstimated();
    }

    /** Whether most of the record was never measured. */
    public boolean isMostlyEstimated() {
        return mapper.isMostlyEstimated();
    }

    /**
     * Fetches what the station measured up to yesterday and its forecast from today on; where there is none, days are
     * estimated, and nothing is forecast.
     *
     * <p>In a transaction of its own, because whoever looks first on a day may only be reading.
     *
     * @return the days that were new
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public List<LocalDate> catchUp(LocalDate today) {
        mapper.lock();
        LocalDate last = mapper.lastDay();
        LocalDate first = station.isThere() ? station.firstDay() : climate.firstDay(today);
        List<LocalDate> days = tellFrom(last == null ? first : last.plusDays(1), today);
        if (station.isThere()) {
            forecastFrom(today);
        }
        return days;
    }

    private List<LocalDate> tellFrom(LocalDate first, LocalDate today) {
        List<LocalDate> days =
                first.datesUntil(today.isBefore(first) ? first : today).toList();
        List<DailyRange> told =
                station.isThere() ? days.stream().map(station::measured).toList() : climate.days(first, today);
        List<WeatherMapper.StationDay> fresh = new ArrayList<>();
        for (int index = 0; index < days.size(); index++) {
            fresh.add(row(days.get(index), told.get(index)));
        }
        for (int from = 0; from < fresh.size(); from += ROWS_AT_ONCE) {
            mapper.insert(
                    fresh.subList(from, Math.min(from + ROWS_AT_ONCE, fresh.size())),
                    station.isThere() && station.measures() ? "STATION" : "ESTIMATED");
        }
        return days;
    }

    private void forecastFrom(LocalDate today) {
        foretell(today, station.forecast(today));
    }

    /** Keeps a forecast that begins today, in the place of the one before. */
    @Transactional
    public void foretell(LocalDate today, List<DayAhead> days) {
        List<WeatherMapper.ForecastDay> ahead = new ArrayList<>();
        for (DayAhead day : days) {
            ahead.add(new WeatherMapper.ForecastDay(
                    today.plusDays(ahead.size()),
                    day.range().minimum(),
                    day.range().maximum(),
                    orNull(day.sky().gust()),
                    orNull(day.sky().rain()),
                    orNull(day.sky().hail()),
                    orNull(day.sky().sun())));
        }
        mapper.forgetForecast();
        mapper.insertForecast(ahead, today);
    }

    /** The day on which the newest forecast was made; nothing where there is none. */
    public Optional<LocalDate> forecastSaidOn() {
        return Optional.ofNullable(mapper.forecastSaidOn());
    }

    /** Puts measured days in the place of those that are there. */
    @Transactional
    public void put(Map<LocalDate, DailyRange> days) {
        List<WeatherMapper.StationDay> rows = days.entrySet().stream()
                .map(day -> row(day.getKey(), day.getValue()))
                .toList();
        for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
            mapper.put(rows.subList(from, Math.min(from + ROWS_AT_ONCE, rows.size())));
        }
    }

    /** Estimates the days anew that nobody measured, because more is known of the climate; measured days stay. */
    @Transactional
    public void estimateAnew(LocalDate today) {
        if (station.isThere()) {
            return;
        }
        mapper.lock();
        LocalDate before = mapper.firstDay();
        LocalDate first = climate.firstDay(today);
        mapper.forgetEstimated();
        tellFrom(before != null && before.isBefore(first) ? before : first, today);
    }

    /** Days of the record that nobody measured, from a day on. */
    public Set<LocalDate> estimatedFrom(LocalDate from) {
        return Set.copyOf(mapper.estimated(from));
    }

    /** How many days of the record were read in from files. */
    public int daysFromFile() {
        return mapper.daysFromFile();
    }

    /** How many days of the record a station sent by itself. */
    public int daysFromDevices() {
        return mapper.daysFromDevices();
    }

    /** Everything measured so far, when what was measured up to some day is known: only what came after is read. */
    public StationRecord recordAfter(StationRecord known) {
        List<DailyRange> later = mapper.recordFrom(known.lastDay().plusDays(1)).stream()
                .map(WeatherBook::range)
                .toList();
        if (later.isEmpty()) {
            return known;
        }
        List<DailyRange> all = new ArrayList<>(known.days());
        all.addAll(later);
        return new StationRecord(known.firstDay(), all);
    }

    /** Everything measured so far. */
    public StationRecord record() {
        List<WeatherMapper.StationDay> days = mapper.recordFrom(LocalDate.EPOCH.minusYears(200));
        return new StationRecord(
                days.get(0).day(), days.stream().map(WeatherBook::range).toList());
    }

    /** The forecast from a day on; empty when the newest does not reach so far. */
    public List<DailyRange> forecast(LocalDate from) {
        return ahead(from).stream().map(DayAhead::range).toList();
    }

    /** The same with what is said of the sky; from {@code from} on as far as no day is missing. */
    public List<DayAhead> ahead(LocalDate from) {
        List<DayAhead> ahead = new ArrayList<>();
        for (WeatherMapper.ForecastDay day : mapper.forecast(from)) {
            if (!day.day().equals(from.plusDays(ahead.size()))) {
                break;
            }
            ahead.add(new DayAhead(
                    new DailyRange(day.minimum(), day.maximum()),
                    new Sky(said(day.gust()), said(day.rain()), said(day.hail()), said(day.sun()))));
        }
        return List.copyOf(ahead);
    }

    private static OptionalDouble said(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static WeatherMapper.StationDay row(LocalDate day, DailyRange range) {
        return new WeatherMapper.StationDay(day, range.minimum(), range.maximum());
    }

    private static DailyRange range(WeatherMapper.StationDay day) {
        return new DailyRange(day.minimum(), day.maximum());
    }
}
