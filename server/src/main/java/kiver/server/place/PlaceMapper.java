package kiver.server.place;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.core.place.PlaceLight;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of places and of readings taken there. */
@Mapper
interface PlaceMapper {

    /** A place as it is stored; either both set points or all of the weather's figures are there. */
    record PlaceRow(
            long id,
            String name,
            int walkingOrder,
            int slots,
            Double daySetPoint,
            Double nightSetPoint,
            Double gainByDay,
            Double gainByNight,
            Double floor,
            boolean forEmergence,
            boolean forGrowingOn,
            boolean forHardeningOff,
            boolean keepsMiceOut,
            String caution,
            @Nullable LocalDate existsFrom,
            @Nullable LocalDate existsUntil) {}

    /** What makes the light of a place. */
    record LightRow(
            long id,
            double daylightShare,
            double lampFlux,
            double lampHours,
            double lampDistance,
            String aspect,
            double sunFrom,
            double sunUntil,
            double clothTakes,
            double clothAbove) {}

    /** A reading. */
    record Reading(long placeId, LocalDate day, double minimum, double maximum) {}

    @Select("""
            select id, name, walking_order, slots, day_set_point, night_set_point, gain_by_day, gain_by_night, floor,
                   for_emergence, for_growing_on, for_hardening_off, keeps_mice_out, caution, exists_from, exists_until
            from place order by walking_order
            """)
    List<PlaceRow> all();

    @Select("""
            select id, daylight_share, lamp_flux, lamp_hours, lamp_distance, aspect, sun_from, sun_until, cloth_takes,
                   cloth_above
            from place
            """)
    List<LightRow> lights();

    @Insert("""
            insert into place (name, walking_order, slots, day_set_point, night_set_point, gain_by_day, gain_by_night,
                               floor, daylight_share, lamp_flux, lamp_hours, lamp_distance, aspect, sun_from, sun_until,
                               cloth_takes, cloth_above, for_emergence, for_growing_on, for_hardening_off,
                               keeps_mice_out, caution, exists_from, exists_until)
            values (#{place.name}, #{place.walkingOrder}, #{place.slots}, #{place.daySetPoint}, #{place.nightSetPoint},
                    #{place.gainByDay}, #{place.gainByNight}, #{place.floor}, #{light.daylightShare},
                    #{light.lamps.flux}, #{light.lamps.hours}, #{light.lamps.distance}, #{light.sky.aspect},
                    #{light.sky.sunFrom}, #{light.sky.sunUntil}, #{light.cloth.takes}, #{light.cloth.above},
                    #{place.forEmergence}, #{place.forGrowingOn}, #{place.forHardeningOff}, #{place.keepsMiceOut},
                    #{place.caution}, #{place.existsFrom}, #{place.existsUntil})
            """)
    void insert(@Param("place") PlaceRow place, @Param("light") PlaceLight light);

    @Update("""
            update place set walking_order = #{walkingOrder}, slots = #{slots}, day_set_point = #{daySetPoint},
                   night_set_point = #{nightSetPoint}, gain_by_day = #{gainByDay}, gain_by_night = #{gainByNight},
                   floor = #{floor}, for_emergence = #{forEmergence}, for_growing_on = #{forGrowingOn},
                   for_hardening_off = #{forHardeningOff}, keeps_mice_out = #{keepsMiceOut}, caution = #{caution},
                   exists_from = #{existsFrom}, exists_until = #{existsUntil}
            where name = #{name}
            """)
    int update(PlaceRow place);

    @Update("""
            update place set daylight_share = #{light.daylightShare}, lamp_flux = #{light.lamps.flux},
                   lamp_hours = #{light.lamps.hours}, lamp_distance = #{light.lamps.distance},
                   aspect = #{light.sky.aspect}, sun_from = #{light.sky.sunFrom}, sun_until = #{light.sky.sunUntil},
                   cloth_takes = #{light.cloth.takes}, cloth_above = #{light.cloth.above}
            where name = #{name}
            """)
    int light(@Param("name") String name, @Param("light") PlaceLight light);

    /** Whether another place has that position on the round. */
    @Select("select exists (select from place where walking_order = #{order} and name <> #{name})")
    boolean orderTaken(@Param("order") int order, @Param("name") String name);

    @Select("select place_id, day, minimum, maximum from place_reading where day >= #{from}")
    List<Reading> readings(@Param("from") LocalDate from);

    @Insert("""
            <script>
            insert into place_reading (place_id, day, minimum, maximum) values
            <foreach collection="readings" item="each" separator=",">(#{each.placeId}, #{each.day}, #{each.minimum}, #{each.maximum})</foreach>
            on conflict do nothing
            </script>
            """)
    void insertReadings(@Param("readings") List<Reading> readings);
}
