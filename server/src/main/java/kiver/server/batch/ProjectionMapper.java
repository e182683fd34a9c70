package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.BatchStage;
import kiver.core.batch.CellCondition;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The tables of what follows from records. */
@Mapper
interface ProjectionMapper {

    /** Where a batch stands. */
    record StandingRow(
            long batchId,
            int sequence,
            BatchStage stage,
            LocalDate beganOn,
            LocalDate lastOn,
            boolean completelyCounted,
            int sown,
            int waiting,
            int empty,
            int alive,
            int lost,
            int released) {}

    /** Neighbouring cells of which the same is true. */
    record CellsRow(
            long trayId,
            int firstCell,
            int lastCell,
            CellCondition condition,
            int seeds,
            int cameUp,
            boolean onlySeen,
            int seedlings,
            int origin,
            long lotId,
            boolean mixed) {}

    /** A sowing or an arrival. */
    record OriginRow(
            int sequence,
            LocalDate occurredOn,
            long trayId,
            int firstCell,
            int lastCell,
            long lotId,
            int seeds,
            String medium) {}

    /** What left with a line of a note. */
    record DepartureRow(long release, long lineId, int cells, int seedlings) {}

    @Select("select * from batch_standing where batch_id = #{batchId}")
    Optional<StandingRow> standing(@Param("batchId") long batchId);

    @Select("""
            select tray_id, first_cell, last_cell, condition, seeds, came_up, only_seen, seedlings, origin, lot_id, mixed
            from batch_cells where batch_id = #{batchId} order by tray_id, first_cell
            """)
    List<CellsRow> cells(@Param("batchId") long batchId);

    @Select("""
            select sequence, occurred_on, tray_id, first_cell, last_cell, lot_id, seeds, medium
            from batch_origin where batch_id = #{batchId} order by sequence
            """)
    List<OriginRow> origins(@Param("batchId") long batchId);

    @Select("""
            select release, line_id, cells, seedlings from batch_departure where batch_id = #{batchId} order by release, line_id
            """)
    List<DepartureRow> departures(@Param("batchId") long batchId);

    @Insert("""
            insert into batch_standing (batch_id, sequence, stage, began_on, last_on, completely_counted,
                                        sown, waiting, empty, alive, lost, released)
            values (#{batchId}, #{sequence}, #{stage}, #{beganOn}, #{lastOn}, #{completelyCounted},
                    #{sown}, #{waiting}, #{empty}, #{alive}, #{lost}, #{released})
            on conflict (batch_id) do update set sequence = excluded.sequence, stage = excluded.stage,
                began_on = excluded.began_on, last_on = excluded.last_on, completely_counted = excluded.completely_counted,
                sown = excluded.sown, waiting = excluded.waiting, empty = excluded.empty, alive = excluded.alive,
                lost = excluded.lost, released = excluded.released
            """)
    void writeStanding(StandingRow row);

    String NEW_CELLS = """
            select * from jsonb_to_recordset(#{rows}::jsonb) as new(
                "trayId" bigint, "firstCell" int, "lastCell" int, condition text, seeds int, "cameUp" int,
                "onlySeen" boolean, seedlings int, origin int, "lotId" bigint, mixed boolean)
            """;

    String SAME_CELLS = """
            old.batch_id = #{batchId} and old.tray_id = new."trayId" and old.first_cell = new."firstCell"
                and old.last_cell = new."lastCell" and old.condition = new.condition and old.seeds = new.seeds
                and old.came_up = new."cameUp" and old.only_seen = new."onlySeen" and old.seedlings = new.seedlings
                and old.origin = new.origin
                and old.lot_id = new."lotId" and old.mixed = new.mixed
            """;

    /** Takes away cells of which something else is true by now. */
    @Delete("delete from batch_cells old where old.batch_id = #{batchId} and not exists (select from (" + NEW_CELLS
            + ") new where " + SAME_CELLS + ")")
    void dropOtherCells(@Param("batchId") long batchId, @Param("rows") String rows);

    /** Adds the cells that are not written down as they are. */
    @Insert("""
            insert into batch_cells (batch_id, tray_id, first_cell, last_cell, condition, seeds, came_up, only_seen, seedlings, origin, lot_id,
                                     mixed)
            select #{batchId}, new."trayId", new."firstCell", new."lastCell", new.condition, new.seeds, new."cameUp",
                   new."onlySeen", new.seedlings, new.origin, new."lotId", new.mixed
            from (""" + NEW_CELLS + ") new where not exists (select from batch_cells old where " + SAME_CELLS + ")")
    void addCells(@Param("batchId") long batchId, @Param("rows") String rows);

    @Delete("delete from batch_origin where batch_id = #{batchId}")
    void dropOrigins(@Param("batchId") long batchId);

    @Insert("""
            insert into batch_origin (batch_id, sequence, occurred_on, tray_id, first_cell, last_cell, lot_id, seeds, medium)
            select #{batchId}, new.sequence, new."occurredOn", new."trayId", new."firstCell", new."lastCell", new."lotId",
                   new.seeds, new.medium
            from jsonb_to_recordset(#{rows}::jsonb) as new(
                sequence int, "occurredOn" date, "trayId" bigint, "firstCell" int, "lastCell" int, "lotId" bigint,
                seeds int, medium text)
            """)
    void addOrigins(@Param("batchId") long batchId, @Param("rows") String rows);

    @Delete("delete from batch_departure where batch_id = #{batchId}")
    void dropDepartures(@Param("batchId") long batchId);

    @Insert("""
            insert into batch_departure (batch_id, release, line_id, cells, seedlings)
            select #{batchId}, new.release, new."lineId", new.cells, new.seedlings
            from jsonb_to_recordset(#{rows}::jsonb) as new(release bigint, "lineId" bigint, cells int, seedlings int)
            """)
    void addDepartures(@Param("batchId") long batchId, @Param("rows") String rows);

    /** Takes away all that was written of a batch. */
    @Delete("""
            with cells as (delete from batch_cells where batch_id = #{batchId}),
                 origins as (delete from batch_origin where batch_id = #{batchId}),
                 departures as (delete from batch_departure where batch_id = #{batchId})
            delete from batch_standing where batch_id = #{batchId}
            """)
    void drop(@Param("batchId") long batchId);

    /** Batches whose record has gone further than what was written of it. */
    @Select("""
            select batch.number from batch
            left join batch_standing standing on standing.batch_id = batch.id
            where coalesce((select max(sequence) from batch_change where batch_id = batch.id), 0) <> coalesce(standing.sequence, 0)
            order by batch.number
            """)
    List<Integer> behind();

    /** All batches, those that were withdrawn among them. */
    @Select("select number from batch order by number")
    List<Integer> batches();
}
