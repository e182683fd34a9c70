package kiver.server.place;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of devices and of what they read. */
@Mapper
interface DeviceMapper {

    String COLUMNS = "select id, name, feeds, place_id, added_on, withdrawn_on, simulated, last_heard from device";

    @Select(COLUMNS + " order by withdrawn_on nulls first, name")
    List<Device> all();

    @Select(COLUMNS + " where token_digest = #{digest} and withdrawn_on is null")
    Optional<Device> byDigest(@Param("digest") String digest);

    @Select("""
            insert into device (name, feeds, place_id, token_digest, added_on, simulated)
            values (#{name}, #{feeds}, #{placeId}, #{digest}, #{day}, #{simulated})
            on conflict (name) do nothing returning id
            """)
    Optional<Long> add(
            @Param("name") String name,
            @Param("feeds") Device.Feeds feeds,
            @Param("placeId") Long placeId,
            @Param("digest") String digest,
            @Param("day") LocalDate day,
            @Param("simulated") boolean simulated);

    @Update("update device set withdrawn_on = #{day} where id = #{id} and withdrawn_on is null")
    int withdraw(@Param("id") long id, @Param("day") LocalDate day);

    @Update("update device set last_heard = greatest(last_heard, #{at}) where id = #{id}")
    void heard(@Param("id") long id, @Param("at") LocalDateTime at);

    /** Takes what is new of a device's readings and answers how many that were. */
    @Insert("""
            insert into probe_reading (device_id, read_at, place_id, celsius, humidity)
            select #{device}, new.at, #{placeId}, new.celsius, new.humidity
            from jsonb_to_recordset(#{rows}::jsonb) as new(at timestamp, celsius double precision, humidity double precision)
            on conflict do nothing
            """)
    int take(@Param("device") long device, @Param("placeId") long placeId, @Param("rows") String rows);

    /** The lowest and the highest of a day as a device worked them out; what was read by hand counts for more. */
    @Insert("""
            insert into place_reading (place_id, day, minimum, maximum)
            select #{place}, #{day}, #{minimum}, #{maximum}
            where not exists (select from hand_reading where place_id = #{place} and day = #{day})
            on conflict (place_id, day) do update set minimum = excluded.minimum, maximum = excluded.maximum
            where (place_reading.minimum, place_reading.maximum) <> (excluded.minimum, excluded.maximum)
            """)
    int tellDay(
            @Param("place") long place,
            @Param("day") LocalDate day,
            @Param("minimum") double minimum,
            @Param("maximum") double maximum);

    /** What a device said last. */
    record LastSaid(long device, double celsius, Double humidity) {}

    @Select("""
            select device.id as device, said.celsius, said.humidity from device, lateral (
                select celsius, humidity from probe_reading where device_id = device.id order by read_at desc limit 1) said
            union all
            select device.id as device, said.celsius, null from device, lateral (
                select celsius from station_reading where device_id = device.id order by read_at desc limit 1) said
            """)
    List<LastSaid> lastSaid();

    /** Places that are read by hand, and of which day last. */
    record LastByHand(long placeId, LocalDate day) {}

    @Select("select place_id, max(day) as day from hand_reading group by place_id")
    List<LastByHand> lastByHand();

    /** A reading as it is kept. */
    record ReadingRow(long placeId, LocalDateTime readAt, double celsius, Double humidity) {}

    @Select("""
            select place_id, read_at, celsius, humidity from probe_reading
            where read_at >= #{from} and read_at <= #{until} order by place_id, read_at
            """)
    List<ReadingRow> readings(@Param("from") LocalDateTime from, @Param("until") LocalDateTime until);

    /** Keeps what was read by hand. */
    @Insert("""
            insert into hand_reading (request_id, place_id, day, minimum, maximum, read_by)
            values (#{request}, #{place}, #{day}, #{minimum}, #{maximum}, #{by})
            """)
    void keepByHand(
            @Param("request") UUID request,
            @Param("place") long place,
            @Param("day") LocalDate day,
            @Param("minimum") double minimum,
            @Param("maximum") double maximum,
            @Param("by") long by);

    /** The range of a day is what was read by hand. */
    @Insert("""
            insert into place_reading (place_id, day, minimum, maximum) values (#{place}, #{day}, #{minimum}, #{maximum})
            on conflict (place_id, day) do update set minimum = excluded.minimum, maximum = excluded.maximum
            """)
    void tellByHand(
            @Param("place") long place,
            @Param("day") LocalDate day,
            @Param("minimum") double minimum,
            @Param("maximum") double maximum);

    /**
     * Writes the ranges of days that are over from what was read on them, and answers how many were new or other than before. A
     * day of which fewer hours are known than {@code hours} is not told.
     */
    @Insert("""
            insert into place_reading (place_id, day, minimum, maximum)
            select place_id, read_at::date, min(celsius), max(celsius) from probe_reading
            where read_at >= #{from} and read_at < #{today}
            and not exists (select from hand_reading by_hand
                            where by_hand.place_id = probe_reading.place_id and by_hand.day = probe_reading.read_at::date)
            group by place_id, read_at::date
            having count(distinct extract(hour from read_at)) >= #{hours}
            on conflict (place_id, day) do update set minimum = excluded.minimum, maximum = excluded.maximum
            where (place_reading.minimum, place_reading.maximum) <> (excluded.minimum, excluded.maximum)
            """)
    int tellDays(@Param("from") LocalDate from, @Param("today") LocalDate today, @Param("hours") int hours);
}
