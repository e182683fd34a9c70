package kiver.server.weather;

import java.time.LocalDate;
import java.util.List;
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
