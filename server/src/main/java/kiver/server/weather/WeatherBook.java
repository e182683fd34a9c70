package kiver.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import kiver.core.weather.DailyRange;
import kiver.core.weather.DayAhead;
import kiver.core.weather.Sky;
import kiver.core.weather.StationRecord;
import kiver.server.clock.NurseryClock;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the station's record and the newest forecast. */
@Component
public class WeatherBook {

    private static final int ROWS_AT_ONCE = 2000;

    private final WeatherMapper mapper;
    private final WeatherStation station;

    private final NurseryClock clock;

    WeatherBook(WeatherMapper mapper, WeatherStation station, NurseryClock clock) {
        this.mapper = mapper;
        this.station = station;
        this.clock = clock;
    }

    /**
     * Whether there is no station: the demonstration's is simulated and shown as its own, but a real nursery's weather is
     * worked out from its latitude and height until a station's file is read in.
     */
    public boolean isAssumed() {
        return clock.nursery().map(nursery -> !nursery.demo()).orElse(false);
    }

    private AssumedWeather assumed() {
        return clock.nursery()
                .filter(nursery -> !nursery.demo())
                .map(nursery -> AssumedWeather.at(nursery.latitude(), nursery.stationAltitude()))
                .orElse(AssumedWeather.AS_MEASURED);
    }

    /**
     * Fetches what the station measured up to yesterday and its forecast from today on.
     *
     * <p>In a transaction of its own, because whoever looks first on a day may only be reading.
     *
     * @return the days that were new
     */
    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public List<LocalDate> catchUp(LocalDate today) {
        mapper.lock();
        LocalDate last = mapper.lastDay();
        List<LocalDate> days = measureFrom(last == null ? station.firstDay() : last.plusDays(1), today);
        forecastFrom(today);
        return days;
    }

    private List<LocalDate> measureFrom(LocalDate first, LocalDate today) {
        AssumedWeather assumed = assumed();
        List<WeatherMapper.StationDay> fresh = new ArrayList<>();
        List<LocalDate> days = new ArrayList<>();
        for (LocalDate day = first; day.isBefore(today); day = day.plusDays(1)) {
            fresh.add(row(day, assumed.of(station.measured(assumed.dayLike(day)))));
            days.add(day);
        }
        for (int from = 0; from < fresh.size(); from += ROWS_AT_ONCE) {
            mapper.insert(
                    fresh.subList(from, Math.min(from + ROWS_AT_ONCE, fresh.size())),
                    isAssumed() ? "ASSUMED" : "STATION");
        }
        return days;
    }

    private void forecastFrom(LocalDate today) {
        AssumedWeather assumed = assumed();
        List<WeatherMapper.ForecastDay> ahead = new ArrayList<>();
        for (DayAhead day : station.forecast(assumed.dayLike(today))) {
            DailyRange range = assumed.of(day.range());
            // What the sky of another valley does says nothing of this one.
            Sky sky = isAssumed() ? Sky.UNKNOWN : day.sky();
            ahead.add(new WeatherMapper.ForecastDay(
                    today.plusDays(ahead.size()),
                    range.minimum(),
                    range.maximum(),
                    orNull(sky.gust()),
                    orNull(sky.rain()),
                    orNull(sky.hail()),
                    orNull(sky.sun())));
        }
        mapper.forgetForecast();
        mapper.insertForecast(ahead);
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

    /** Forgets what was worked out and not measured, because the nursery lies elsewhere than was thought. */
    @Transactional
    public void assumeAnew(LocalDate today) {
        mapper.lock();
        mapper.forgetAssumed();
        measureFrom(station.firstDay(), today);
        forecastFrom(today);
    }

    /** How many days of the record were read in from files. */
    public int daysFromFile() {
        return mapper.daysFromFile();
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

    /** The same with what is said of the sky. */
    public List<DayAhead> ahead(LocalDate from) {
        return mapper.forecast(from).stream()
                .map(day -> new DayAhead(
                        new DailyRange(day.minimum(), day.maximum()),
                        new Sky(said(day.gust()), said(day.rain()), said(day.hail()), said(day.sun()))))
                .toList();
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
