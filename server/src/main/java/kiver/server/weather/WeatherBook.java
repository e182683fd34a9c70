package kiver.server.weather;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import kiver.core.weather.DailyRange;
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

    WeatherBook(WeatherMapper mapper, WeatherStation station) {
        this.mapper = mapper;
        this.station = station;
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
        LocalDate last = mapper.lastDay();
        List<WeatherMapper.StationDay> fresh = new ArrayList<>();
        List<LocalDate> days = new ArrayList<>();
        LocalDate first = last == null ? station.firstDay() : last.plusDays(1);
        for (LocalDate day = first; day.isBefore(today); day = day.plusDays(1)) {
            fresh.add(row(day, station.measured(day)));
            days.add(day);
        }
        for (int from = 0; from < fresh.size(); from += ROWS_AT_ONCE) {
            mapper.insert(fresh.subList(from, Math.min(from + ROWS_AT_ONCE, fresh.size())));
        }
        List<WeatherMapper.StationDay> ahead = new ArrayList<>();
        for (DailyRange range : station.forecast(today)) {
            ahead.add(row(today.plusDays(ahead.size()), range));
        }
        mapper.forgetForecast();
        mapper.insertForecast(ahead);
        return days;
    }

    /** Puts measured days in the place of those that are there. */
    @Transactional
    public void put(Map<LocalDate, DailyRange> days) {
        List<WeatherMapper.StationDay> rows = days.entrySet().stream().map(day -> row(day.getKey(), day.getValue())).toList();
        for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
            mapper.put(rows.subList(from, Math.min(from + ROWS_AT_ONCE, rows.size())));
        }
    }

    /** How many days of the record were read in from files. */
    public int daysFromFile() {
        return mapper.daysFromFile();
    }

    /** Everything measured so far. */
    public StationRecord record() {
        List<WeatherMapper.StationDay> days = mapper.record();
        return new StationRecord(days.get(0).day(), days.stream().map(WeatherBook::range).toList());
    }

    /** The forecast from a day on; empty when the newest does not reach so far. */
    public List<DailyRange> forecast(LocalDate from) {
        return mapper.forecast(from).stream().map(WeatherBook::range).toList();
    }

    private static WeatherMapper.StationDay row(LocalDate day, DailyRange range) {
        return new WeatherMapper.StationDay(day, range.minimum(), range.maximum());
    }

    private static DailyRange range(WeatherMapper.StationDay day) {
        return new DailyRange(day.minimum(), day.maximum());
    }
}
