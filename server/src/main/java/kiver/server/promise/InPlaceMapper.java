package kiver.server.promise;

import java.time.LocalDate;
import java.util.List;
import kiver.core.order.LineId;
import kiver.core.seed.LotId;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The table of seed that is set aside to be sown in place. */
@Mapper
interface InPlaceMapper {

    String SOWINGS = """
            select line_id, lot_id, plants, spots, seeds_per_spot, sow_from, sow_until, release from sowing_in_place
            """;

    @Select(SOWINGS + """
            where withdrawn_on is null and line_id = any(#{lines, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            order by line_id
            """)
    List<SownInPlace> ofLines(@Param("lines") Long[] lines);

    @Select(SOWINGS
            + " where withdrawn_on is null and lot_id = #{lot} and release is not null order by release, line_id")
    List<SownInPlace> goneFrom(@Param("lot") LotId lot);

    @Select(SOWINGS + " where release = #{release} order by line_id")
    List<SownInPlace> onNote(@Param("release") int release);

    @Select("""
            select ordered.number as "order", variety.name as variety, grower.name as grower,
                   sown.spots * sown.seeds_per_spot as seeds, sown.sow_from, sown.sow_until
            from sowing_in_place sown
            join order_line line on line.id = sown.line_id
            join grower_order ordered on ordered.id = line.order_id
            join grower on grower.id = ordered.grower_id
            join variety on variety.id = line.variety_id
            where sown.withdrawn_on is null and sown.release is null and sown.sow_from <= #{latest}
            order by sown.sow_from, ordered.number
            """)
    List<InPlaceBook.SeedToGo> toGo(@Param("latest") LocalDate latest);

    @Insert("""
            insert into sowing_in_place (line_id, lot_id, plants, spots, seeds_per_spot, sow_from, sow_until, decided_on, decided_by)
            values (#{sown.lineId}, #{sown.lotId}, #{sown.plants}, #{sown.spots}, #{sown.seedsPerSpot}, #{sown.sowFrom},
                    #{sown.sowUntil}, #{day}, #{by})
            """)
    void insert(@Param("sown") SownInPlace sown, @Param("day") LocalDate day, @Param("by") Long by);

    @Update(
            "update sowing_in_place set withdrawn_on = #{day} where line_id = #{lineId} and withdrawn_on is null and release is null")
    int withdraw(@Param("lineId") LineId lineId, @Param("day") LocalDate day);

    @Update(
            "update sowing_in_place set release = #{release} where line_id = #{lineId} and withdrawn_on is null and release is null")
    int handOver(@Param("lineId") LineId lineId, @Param("release") int release);

    @Update(
            "update sowing_in_place set release = null where line_id = #{lineId} and withdrawn_on is null and release is not null")
    int takeBack(@Param("lineId") LineId lineId);
}
