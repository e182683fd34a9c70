package kiver.server.sow;

import java.util.List;
import kiver.server.batch.PutAway;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** What batches that are put away taught of their lots, read from what follows from their records. */
@Mapper
interface PutAwayLessonsMapper {

    String COUNTED_AND_PUT_AWAY = """
            from batch_standing standing join batch on batch.id = standing.batch_id
            where standing.completely_counted and
            """ + PutAway.CONDITION;

    /** A mark that differs whenever another batch was put away, or one of them was corrected. */
    @Select("select count(*) || '/' || coalesce(sum(standing.sequence), 0) " + COUNTED_AND_PUT_AWAY)
    String mark(@Param("away") PutAway away);

    /** Cells that were sown and counted alike, by batch. */
    record CountedRow(int batch, long lotId, int seeds, int cameUp, boolean onlySeen, int cells) {}

    @Select("""
            select counted.number as batch, cells.lot_id, cells.seeds, cells.came_up, cells.only_seen,
                   sum(cells.last_cell - cells.first_cell + 1)::int as cells
            from (select batch.id, batch.number
            """ + COUNTED_AND_PUT_AWAY + """
            ) counted
            join batch_cells cells on cells.batch_id = counted.id
            join batch_origin origin on origin.batch_id = cells.batch_id and origin.sequence = cells.origin and origin.seeds > 0
            group by counted.number, cells.lot_id, cells.seeds, cells.came_up, cells.only_seen
            order by counted.number
            """)
    List<CountedRow> counted(@Param("away") PutAway away);
}
