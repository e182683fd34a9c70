package kiver.server.clock;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Optional;
import kiver.core.today.Round;
import kiver.server.kept.Kept;
import kiver.server.kept.Revisions;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;

/** Tells the nursery's day: the calendar's, or in the demonstration the one on its own clock. */
@Component
public class NurseryClock {

    private final NurseryMapper mapper;
    private final Clock calendar;
    private final Kept<Optional<Nursery>> kept;

    NurseryClock(NurseryMapper mapper, Clock calendar, Revisions revisions) {
        this.mapper = mapper;
        this.calendar = calendar;
        this.kept = new Kept<>(mapper::find);
        revisions.whenChanged("nursery", kept::discard);
    }

    /** The nursery, once it is set up. */
    public Optional<Nursery> nursery() {
        return kept.get();
    }

    /** The nursery's day. */
    public LocalDate today() {
        return nursery().map(Nursery::demoToday).orElseGet(() -> LocalDate.now(calendar.withZone(zone())));
    }

    /** The nursery's own time; in the demonstration it is always the hour of the morning round. */
    public LocalDateTime now() {
        return nursery()
                .map(Nursery::demoToday)
                .map(day -> day.atTime(Round.BEGINS))
                .orElseGet(() -> LocalDateTime.now(calendar.withZone(zone())));
    }

    /** In which the nursery's days begin; that of this machine until it is set up. */
    public ZoneId zone() {
        return nursery().map(Nursery::zone).orElseGet(calendar::getZone);
    }

    /** Where the nursery lies, degrees, south below 0; in the north until it is set up. */
    public double latitude() {
        return nursery().map(Nursery::latitude).orElse(0.0);
    }

    /** Sets up the nursery of this database. */
    public void open(Nursery nursery) {
        mapper.insert(nursery);
        kept.forget();
    }

    /** Moves the demonstration's clock; a real nursery's day cannot be moved. */
    public void showDay(LocalDate day) {
        if (mapper.showDay(day) != 1) {
            throw new IllegalStateException("Only the demonstration's clock can be moved.");
        }
        kept.forget();
    }

    /** Says where the nursery lies; the demonstration's does not move. */
    public void move(double latitude, int stationAltitude, ZoneId timeZone) {
        if (mapper.move(latitude, stationAltitude, timeZone.getId()) != 1) {
            throw new IllegalStateException("There is no nursery that could be moved.");
        }
        kept.forget();
    }

    /** Says what the nursery is called, and where growers ring. */
    public void call(String name, String telephone) {
        if (mapper.call(name, telephone) != 1) {
            throw new IllegalStateException("There is no nursery that could be called so.");
        }
        kept.forget();
    }

    /** The nursery table. */
    @Mapper
    interface NurseryMapper {
        @Select("select name, latitude, station_altitude, demo, demo_today, telephone, time_zone from nursery")
        Optional<Nursery> find();

        @Insert("insert into nursery (name, latitude, station_altitude, demo, demo_today, telephone, time_zone) "
                + "values (#{name}, #{latitude}, #{stationAltitude}, #{demo}, #{demoToday}, #{telephone}, #{timeZone})")
        void insert(Nursery nursery);

        @Update("update nursery set latitude = #{latitude}, station_altitude = #{stationAltitude}, "
                + "time_zone = #{timeZone} where not demo")
        int move(
                @Param("latitude") double latitude,
                @Param("stationAltitude") int stationAltitude,
                @Param("timeZone") String timeZone);

        @Update("update nursery set name = #{name}, telephone = #{telephone}")
        int call(@Param("name") String name, @Param("telephone") String telephone);

        @Update("update nursery set demo_today = #{day} where demo")
        int showDay(@Param("day") LocalDate day);
    }
}
