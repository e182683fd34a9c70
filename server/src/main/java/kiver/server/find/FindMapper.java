package kiver.server.find;

import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What stands under a number. */
@Mapper
interface FindMapper {

    /** Something with a number; what it has none of is null. */
    record Numbered(int number, String name, String beside, LocalDate day) {}

    @Select("""
            select tray.number, 'T' || tray.number as name,
                   (select string_agg(distinct variety.name, ', ') from batch_cells cells
                    join batch on batch.id = cells.batch_id join variety on variety.id = batch.variety_id
                    where cells.tray_id = tray.id and cells.condition in ('WAITING', 'ALIVE')) as beside,
                   null::date as day
            from tray where tray.number = #{number}
            """)
    List<Numbered> trays(@Param("number") int number);

    @Select("""
            select batch.number, variety.name, null::text as beside, batch.sow_day as day
            from batch join variety on variety.id = batch.variety_id
            where batch.number = #{number} and batch.withdrawn_on is null
            """)
    List<Numbered> batches(@Param("number") int number);

    @Select("""
            select ordered.number, grower.name, site.name as beside, ordered.target as day
            from grower_order ordered
            join grower on grower.id = ordered.grower_id
            join site on site.id = ordered.site_id
            where ordered.number = #{number}
            """)
    List<Numbered> orders(@Param("number") int number);

    @Select("""
            select release.number, grower.name, null::text as beside, release.day
            from release
            join grower_order ordered on ordered.id = release.order_id
            join grower on grower.id = ordered.grower_id
            where release.number = #{number}
            """)
    List<Numbered> notes(@Param("number") int number);
}
