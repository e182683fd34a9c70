package kiver.server.place;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The tables of places and of readings taken there. */
@Mapper
interface PlaceMapper {

    /** A place as it is stored; either both set points or all of the weather's figures are there. */
    record PlaceRow(
            long id, String name, int walkingOrder, int slots, Double daySetPoint, Double nightSetPoint,
            Double gainByDay, Double gainByNight, Double floor, double daylightShare, double lampLight,
            boolean forEmergence, boolean forGrowingOn, boolean forHardeningOff, String caution) {}

    /** A reading. */
    record Reading(long placeId, LocalDate day, double minimum, double maximum) {}

    @Select("""
            select id, name, walking_order, slots, day_set_point, night_set_point, gain_by_day, gain_by_night, floor,
                   daylight_share, lamp_light, for_emergence, for_growing_on, for_hardening_off, caution
            from place order by walking_order
            """)
    List<PlaceRow> all();

    @Insert("""
            insert into place (name, walking_order, slots, day_set_point, night_set_point, gain_by_day, gain_by_night,
                               floor, daylight_share, lamp_light, for_emergence, for_growing_on, for_hardening_off,
                               caution)
            values (#{name}, #{walkingOrder}, #{slots}, #{daySetPoint}, #{nightSetPoint}, #{gainByDay}, #{gainByNight},
                    #{floor}, #{daylightShare}, #{lampLight}, #{forEmergence}, #{forGrowingOn}, #{forHardeningOff},
                    #{caution})
            """)
    void insert(PlaceRow place);

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
