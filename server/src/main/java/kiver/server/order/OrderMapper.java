package kiver.server.order;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.server.batch.Batch;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of growers, sites and orders. */
@Mapper
interface OrderMapper {

    String ORDERS = """
            select ordered.id, ordered.number, ordered.grower_id, grower.name as grower, site.name as site,
                   site.altitude, ordered.variety_id, variety.name as variety, variety.crop, ordered.container,
                   ordered.plants, ordered.leaves_from, ordered.leaves_to, ordered.target, ordered.placed_on,
                   ordered.site_id, ordered.under, ordered.counted_in, ordered.succession
            from grower_order ordered
            join grower on grower.id = ordered.grower_id
            join site on site.id = ordered.site_id
            join variety on variety.id = ordered.variety_id
            """;

    /** An order to be stored. */
    record OrderRow(
            long growerId, long siteId, long varietyId, String container, int plants, int leavesFrom, int leavesTo,
            LocalDate target, LocalDate placedOn, double under, Batch.CountedIn countedIn, Integer succession) {}

    @Select(ORDERS + " order by ordered.target, ordered.number")
    List<Order> all();

    @Select(ORDERS + " where ordered.grower_id = #{growerId} order by ordered.target, ordered.number")
    List<Order> ofGrower(@Param("growerId") long growerId);

    @Select(ORDERS + " where ordered.number = #{number}")
    Optional<Order> byNumber(@Param("number") int number);

    /** Waits for others who release for this order. */
    @Select("select id from grower_order where number = #{number} for update")
    Long lock(@Param("number") int number);

    @Select(value = """
            insert into grower_order (grower_id, site_id, variety_id, container, plants, leaves_from, leaves_to,
                                      target, placed_on, under, counted_in, succession)
            values (#{growerId}, #{siteId}, #{varietyId}, #{container}, #{plants}, #{leavesFrom}, #{leavesTo},
                    #{target}, #{placedOn}, #{under}, #{countedIn}, #{succession})
            returning number
            """, affectData = true)
    int insert(OrderRow order);

    @Select("select true from (select pg_advisory_xact_lock(4714)) as held")
    boolean lockBookings();

    @Select("select nextval('succession_number')")
    int nextSuccession();

    @Update("update grower_order set target = #{target} where number = #{number}")
    void moveTarget(@Param("number") int number, @Param("target") LocalDate target);

    @Update("update grower_order set plants = #{plants} where number = #{number}")
    void setPlants(@Param("number") int number, @Param("plants") int plants);

    @Select("select id, name from grower order by name")
    List<Grower> growers();

    @Select("select id, grower_id, name, altitude, protection, temperature_offset from site order by grower_id, name")
    List<Site> sites();

    @Select("select id, grower_id, name, altitude, protection, temperature_offset from site where id = #{id}")
    Optional<Site> site(@Param("id") long id);

    @Select(value = "insert into grower (name) values (#{name}) on conflict (name) do nothing returning id",
            affectData = true)
    Long insertGrower(@Param("name") String name);

    @Select(value = """
            insert into site (grower_id, name, altitude, protection, temperature_offset)
            values (#{growerId}, #{name}, #{altitude}, #{protection}, #{temperatureOffset})
            on conflict (grower_id, name) do nothing returning id
            """, affectData = true)
    Long insertSite(Site site);

    @Update("""
            update site set altitude = #{altitude}, protection = #{protection}, temperature_offset = #{temperatureOffset}
            where grower_id = #{growerId} and name = #{name}
            """)
    int updateSite(Site site);
}
