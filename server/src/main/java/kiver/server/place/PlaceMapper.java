package kiver.server.place;

import java.time.LocalDate;
import java.util.List;
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
            double daylightShare,
            double lampLight,
            boolean forEmergence,
            boolean forGrowingOn,
            boolean forHardeningOff,
            boolean keepsMiceOut,
            String caution) {}

    /** A reading. */
    record Reading(long placeId, LocalDate day, double minimum, double maximum) {}

    @Select("""
            select id, name, walking_order, slots, day_set_point, night_set_point, gain_by_day, gain_by_night, floor,
                   daylight_share, lamp_light, for_emergence, for_growing_on, for_hardening_off, keeps_mice_out, caution
            from place order by walking_order
            """)
    List<PlaceRow> all();

    @Insert("""
            insert into place (name, walking_order, slots, day_set_point, night_set_point, gain_by_day, gain_by_night,
                               floor, daylight_share, lamp_light, for_emergence, for_growing_on, for_hardening_off,
                               keeps_mice_out, caution)
            values (#{name}, #{walkingOrder}, #{slots}, #{daySetPoint}, #{nightSetPoint}, #{gainByDay}, #{gainByNight},
                    #{floor}, #{daylightShare}, #{lampLight}, #{forEmergence}, #{forGrowingOn}, #{forHardeningOff},
                    #{keepsMiceOut}, #{caution})
            """)
    void insert(PlaceRow place);

    @Update("""
            update place set walking_order = #{walkingOrder}, slots = #{slots}, day_set_point = #{daySetPoint},
                   night_set_point = #{nightSetPoint}, gain_by_day = #{gainByDay}, gain_by_night = #{gainByNight},
                   floor = #{floor}, daylight_share = #{daylightShare}, lamp_light = #{lampLight},
                   for_emergence = #{forEmergence}, for_growing_on = #{forGrowingOn},
                   for_hardening_off = #{forHardeningOff}, keeps_mice_out = #{keepsMiceOut}, caution = #{caution}
            where name = #{name}
            """)
    int update(PlaceRow place);

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
