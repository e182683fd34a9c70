package kiver.server.order;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.crop.ContainerCode;
import kiver.core.order.CountedIn;
import kiver.core.order.LineId;
import kiver.core.order.Protection;
import kiver.server.batch.PutAway;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of growers, sites and orders. */
@Mapper
interface OrderMapper {

    String ORDERS = """
            select ordered.id, ordered.number, ordered.grower_id, grower.name as grower, ordered.site_id,
                   site.name as site, site.altitude, ordered.target, ordered.placed_on, ordered.succession
            from grower_order ordered
            join grower on grower.id = ordered.grower_id
            join site on site.id = ordered.site_id
            """;

    String LINES = """
            select line.id, line.order_id, ordered.number as order_number, line.position, ordered.grower_id,
                   ordered.site_id, line.variety_id, variety.name as variety, variety.crop, line.container, line.plants,
                   line.leaves_from, line.leaves_to, coalesce(line.target, ordered.target) as target, ordered.placed_on,
                   line.under, line.counted_in, line.protection, line.cancelled_on
            from order_line line
            join grower_order ordered on ordered.id = line.order_id
            join variety on variety.id = line.variety_id
            """;

    /** An order without its lines. */
    record OrderRow(
            long id,
            int number,
            long growerId,
            String grower,
            long siteId,
            String site,
            int altitude,
            LocalDate target,
            LocalDate placedOn,
            Integer succession) {

        Order with(List<OrderedLine> lines) {
            return new Order(id, number, growerId, grower, siteId, site, altitude, target, placedOn, succession, lines);
        }
    }

    /** A line to be stored. */
    record LineRow(
            int orderNumber,
            long varietyId,
            ContainerCode container,
            int plants,
            int leavesFrom,
            int leavesTo,
            LocalDate target,
            double under,
            CountedIn countedIn,
            @Nullable Protection protection) {}

    /** Those of which anything was wanted from the first day to the last. */
    @Select(ORDERS + """
            where exists (select from order_line line where line.order_id = ordered.id
                          and coalesce(line.target, ordered.target) between #{first} and #{last})
            order by ordered.target, ordered.number
            """)
    List<OrderRow> wanted(@Param("first") LocalDate first, @Param("last") LocalDate last);

    /**
     * Those of which anything is wanted and, as far as cells tell, has not gone, from a day on or of a batch in hand. Where
     * seedlings of clumps are counted, more may have gone than cells.
     */
    @Select(ORDERS + """
            where ordered.id in (
                select line.order_id from order_line line join grower_order whole on whole.id = line.order_id
                where line.cancelled_on is null
                  and line.plants > coalesce((select sum(cells) from batch_departure where line_id = line.id), 0)
                  and (coalesce(line.target, whole.target) >= #{first} or exists (
                      select from promise join batch on batch.id = promise.batch_id
                      left join batch_standing standing on standing.batch_id = batch.id
                      where promise.line_id = line.id and batch.withdrawn_on is null
                        and not coalesce(""" + PutAway.CONDITION + """
            , false))))
            order by ordered.target, ordered.number
            """)
    List<OrderRow> open(@Param("first") LocalDate first, @Param("away") PutAway away);

    /** The day for which the first order was taken; null while there is none. */
    @Select("select min(target) from grower_order")
    LocalDate firstTarget();

    @Select(ORDERS + " where ordered.grower_id = #{growerId} order by ordered.target, ordered.number")
    List<OrderRow> ofGrower(@Param("growerId") long growerId);

    @Select(ORDERS + " where ordered.number = #{number}")
    Optional<OrderRow> byNumber(@Param("number") int number);

    @Select(
            LINES
                    + " where line.order_id = any(#{orders, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) order by line.order_id, line.position")
    List<OrderedLine> linesOfAll(@Param("orders") Long[] orders);

    @Select(LINES + " where ordered.placed_on >= #{day} order by line.order_id, line.position")
    List<OrderedLine> takenSince(@Param("day") LocalDate day);

    @Select(LINES + " where line.order_id = #{orderId}")
    List<OrderedLine> linesOf(@Param("orderId") long orderId);

    @Select(LINES + " where line.id = #{id}")
    Optional<OrderedLine> line(@Param("id") LineId id);

    /** Waits for others who release for this order or change it. */
    @Select("select id from grower_order where number = #{number} for update")
    Long lock(@Param("number") int number);

    /** The next number; whoever takes orders holds the lock of bookings. */
    @Select(value = """
            insert into grower_order (number, grower_id, site_id, target, placed_on, succession)
            values (1 + coalesce((select max(number) from grower_order), 100), #{growerId}, #{siteId}, #{target},
                    #{placedOn}, #{succession})
            returning number
            """, affectData = true)
    int insert(
            @Param("growerId") long growerId,
            @Param("siteId") long siteId,
            @Param("target") LocalDate target,
            @Param("placedOn") LocalDate placedOn,
            @Param("succession") Integer succession);

    /** A day that is the order's own is not written twice. */
    @Select(value = """
            insert into order_line (order_id, position, variety_id, container, plants, leaves_from, leaves_to, target,
                                    under, counted_in, protection)
            select ordered.id, 1 + coalesce((select max(position) from order_line where order_id = ordered.id), 0),
                   #{varietyId}, #{container}, #{plants}, #{leavesFrom}, #{leavesTo}, nullif(#{target}, ordered.target),
                   #{under}, #{countedIn}, #{protection}
            from grower_order ordered where ordered.number = #{orderNumber}
            returning id
            """, affectData = true)
    LineId insertLine(LineRow line);

    @Update("""
            update order_line line set target = nullif(#{target}, ordered.target)
            from grower_order ordered where ordered.id = line.order_id and line.id = #{id}
            """)
    int moveLine(@Param("id") LineId id, @Param("target") LocalDate target);

    /** The order's own day follows when all that is still wanted of it is wanted on another one. */
    @Update("""
            with own as (
                select ordered.id, min(coalesce(line.target, ordered.target)) as first,
                       max(coalesce(line.target, ordered.target)) as last
                from grower_order ordered join order_line line on line.order_id = ordered.id
                where ordered.number = #{number} and line.cancelled_on is null
                group by ordered.id
            ), lines as (
                update order_line line set target = null from own
                where line.order_id = own.id and own.first = own.last and line.cancelled_on is null
            )
            update grower_order ordered set target = own.first from own where ordered.id = own.id and own.first = own.last
            """)
    void followLines(@Param("number") int number);

    @Update("update order_line set plants = #{plants} where id = #{id}")
    int setPlants(@Param("id") LineId id, @Param("plants") int plants);

    @Update("update order_line set cancelled_on = #{day} where id = #{id} and cancelled_on is null")
    int cancel(@Param("id") LineId id, @Param("day") LocalDate day);

    @Insert("""
            insert into order_change (order_id, line_id, day, made_by, kind, before, after)
            select order_id, id, #{day}, #{by}, #{kind}, #{before}, #{after} from order_line where id = #{lineId}
            """)
    void insertChange(
            @Param("lineId") LineId lineId,
            @Param("day") LocalDate day,
            @Param("by") Long by,
            @Param("kind") OrderChange.Kind kind,
            @Param("before") String before,
            @Param("after") String after);

    @Select("""
            select change.order_id, line.position, change.day, coalesce(account.name, '') as by, change.kind, change.before,
                   change.after
            from order_change change
            join order_line line on line.id = change.line_id
            left join account on account.id = change.made_by
            where change.order_id = any(#{orders, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            order by change.id
            """)
    List<OrderChange> changes(@Param("orders") Long[] orders);

    @Select("select true from (select pg_advisory_xact_lock(4714)) as held")
    boolean lockBookings();

    @Select("select nextval('succession_number')")
    int nextSuccession();

    @Select("select id, name from grower order by name")
    List<Grower> growers();

    @Select("select id, grower_id, name, altitude, protection, temperature_offset from site order by grower_id, name")
    List<Site> sites();

    @Select("select id, grower_id, name, altitude, protection, temperature_offset from site where id = #{id}")
    Optional<Site> site(@Param("id") long id);

    @Select(
            value = "insert into grower (name) values (#{name}) on conflict (name) do nothing returning id",
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
