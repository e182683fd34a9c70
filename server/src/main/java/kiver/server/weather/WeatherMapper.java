package kiver.server.weather;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.weather.OutdoorReading;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The tables of the station's days and of the newest forecast. */
@Mapper
interface WeatherMapper {

    /** One day at the station. */
    record StationDay(LocalDate day, double minimum, double maximum) {}

    /** One day of the forecast; what it does not say is null. */
    record ForecastDay(
            LocalDate day, double minimum, double maximum, Double gust, Double rain, Double hail, Double sun) {}

    @Select("select day, minimum, maximum from station_day where day >= #{from} order by day")
    List<StationDay> recordFrom(@Param("from") LocalDate from);

    @Select("select max(day) from station_day")
    LocalDate lastDay();

    @Insert("""
            <script>
            insert into station_day (day, minimum, maximum, source) values
            <foreach collection="days" item="each" separator=",">(#{each.day}, #{each.minimum}, #{each.maximum}, #{source})</foreach>
            on conflict do nothing
            </script>
            """)
    void insert(@Param("days") List<StationDay> days, @Param("source") String source);

    @Insert("""
            <script>
            insert into station_day (day, minimum, maximum, source) values
            <foreach collection="days" item="each" separator=",">(#{each.day}, #{each.minimum}, #{each.maximum}, 'FILE')</foreach>
            on conflict (day) do update set minimum = excluded.minimum, maximum = excluded.maximum, source = 'FILE'
            </script>
            """)
    void put(@Param("days") List<StationDay> days);

    /** Lets one at a time fetch what is new. */
    @Select("select true from (select pg_advisory_xact_lock(4713)) as held")
    boolean lock();

    @Select("select min(day) from station_day")
    LocalDate firstDay();

    @Select("select coalesce((select source = 'ESTIMATED' from station_day order by day desc limit 1), false)")
    boolean isLastDayEstimated();

    @Select("select coalesce(avg((source = 'ESTIMATED')::int) > 0.5, false) from station_day")
    boolean isMostlyEstimated();

    /** Estimated days from a day on. */
    @Select("select day from station_day where source = 'ESTIMATED' and day >= #{from}")
    List<LocalDate> estimated(@Param("from") LocalDate from);

    @Delete("delete from station_day where source = 'ESTIMATED'")
    void forgetEstimated();

    @Select("select count(*) from station_day where source = 'FILE'")
    int daysFromFile();

    @Select("select count(*) from station_day where source = 'DEVICE'")
    int daysFromDevices();

    /** Takes what is new of a station's readings and answers how many that were. */
    @Insert("""
            insert into station_reading (device_id, read_at, celsius)
            select #{device}, new.at, new.celsius
            from jsonb_to_recordset(#{rows}::jsonb) as new(at timestamp, celsius double precision)
            on conflict do nothing
            """)
    int take(@Param("device") long device, @Param("rows") String rows);

    /**
     * Writes the ranges of days that are over from what was read on them, and answers how many were new or other than before. A
     * day of which fewer hours are known than {@code hours} is not told, and what came from a file stays.
     */
    @Insert("""
            insert into station_day (day, minimum, maximum, source)
            select read_at::date, min(celsius), max(celsius), 'DEVICE' from station_reading
            where read_at >= #{from} and read_at < #{today}
            group by read_at::date having count(distinct extract(hour from read_at)) >= #{hours}
            on conflict (day) do update
                set minimum = excluded.minimum, maximum = excluded.maximum, source = excluded.source
                where station_day.source = 'ESTIMATED' or station_day.source = 'DEVICE'
                    and (station_day.minimum, station_day.maximum) <> (excluded.minimum, excluded.maximum)
            """)
    int tellDays(@Param("from") LocalDate from, @Param("today") LocalDate today, @Param("hours") int hours);

    /** The same of one day that a station summed up itself. */
    @Insert("""
            insert into station_day (day, minimum, maximum, source) values (#{day}, #{minimum}, #{maximum}, 'DEVICE')
            on conflict (day) do update
                set minimum = excluded.minimum, maximum = excluded.maximum, source = excluded.source
                where station_day.source = 'ESTIMATED' or station_day.source = 'DEVICE'
                    and (station_day.minimum, station_day.maximum) <> (excluded.minimum, excluded.maximum)
            """)
    int tellDay(@Param("day") LocalDate day, @Param("minimum") double minimum, @Param("maximum") double maximum);

    @Select("select read_at as at, celsius from station_reading order by read_at desc limit 1")
    Optional<OutdoorReading> lastReading();

    @Delete("delete from station_forecast")
    void forgetForecast();

    @Insert("""
            <script>
            insert into station_forecast (day, minimum, maximum, gust, rain, hail, sun, said_on) values
            <foreach collection="days" item="each" separator=",">
                (#{each.day}, #{each.minimum}, #{each.maximum}, #{each.gust}, #{each.rain}, #{each.hail}, #{each.sun},
                    #{saidOn})
            </foreach>
            </script>
            """)
    void insertForecast(@Param("days") List<ForecastDay> days, @Param("saidOn") LocalDate saidOn);

    @Select("select max(said_on) from station_forecast")
    LocalDate forecastSaidOn();

    @Select("""
            select day, minimum, maximum, gust, rain, hail, sun from station_forecast where day >= #{from} order by day
            """)
    List<ForecastDay> forecast(@Param("from") LocalDate from);
}
