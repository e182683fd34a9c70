package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of batches, their cells and their changes. */
@Mapper
interface BatchMapper {

    String BATCHES = """
            select batch.id, batch.number, batch.lot_id, batch.seeds_per_cell, batch.cells, batch.cells_needed,
                   batch.sow_day, batch.latest_sow_day, batch.emergence_place_id, batch.growing_place_id,
                   batch.hardening_place_id, batch.hardening_programme, batch.container_path, batch.containers,
                   batch.potted_late, batch.pinned, batch.order_id,
                   ordered.number as order_number, ordered.grower_id, grower.name as grower, variety.name as variety,
                   variety.crop, ordered.container, ordered.plants, ordered.leaves_from, ordered.leaves_to,
                   ordered.target, ordered.under, ordered.counted_in, batch.plan_version
            from batch
            join grower_order ordered on ordered.id = batch.order_id
            join grower on grower.id = ordered.grower_id
            join variety on variety.id = ordered.variety_id
            """;

    /** A run of cells set aside. */
    record RunRow(long batchId, long trayId, int firstCell, int lastCell) {}

    /** A change as it is stored. */
    record ChangeRow(long batchId, int sequence, String kind, LocalDate day, String detail) {}

    /** Who recorded a change. */
    record ChangeAuthor(int sequence, String name) {}

    @Select(BATCHES + " order by batch.number")
    List<Batch> all();

    @Select(BATCHES + " where batch.number = #{number}")
    Optional<Batch> byNumber(@Param("number") int number);

    /** Waits for others who record for this batch or change its plan. */
    @Select("select id from batch where number = #{number} for update")
    Long lock(@Param("number") int number);

    @Select(value = """
            insert into batch (order_id, lot_id, seeds_per_cell, cells, cells_needed, sow_day, latest_sow_day,
                               emergence_place_id, growing_place_id, hardening_place_id, hardening_programme,
                               container_path, containers)
            values (#{orderId}, #{lotId}, #{seedsPerCell}, #{cells}, #{cellsNeeded}, #{sowDay}, #{latestSowDay},
                    #{way.emergence.number}, #{way.growingOn.number}, #{way.hardening.number}, #{programme},
                    #{containerPath}, #{containers})
            returning number
            """, affectData = true)
    int insert(NewBatch batch);

    /**
     * A mark that differs whenever anything has changed from which the state of batches follows: each row's last
     * writing transaction, summed up, and how many rows there are.
     */
    @Select("""
            select concat_ws('/',
                (select count(*) from batch_change),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from batch),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from batch_run),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from grower_order),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from seed_lot),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from variety),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from grower),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from library_entry),
                (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from evening_done),
                (select count(*) from tray))
            """)
    String mark();

    /** How far each record has come. */
    record Reach(long batchId, int sequence) {}

    @Select("select batch_id, max(sequence) as sequence from batch_change group by batch_id")
    List<Reach> reaches();

    @Select("select batch_id, tray_id, first_cell, last_cell from batch_run order by batch_id, tray_id")
    List<RunRow> allRuns();

    @Select("select batch_id, tray_id, first_cell, last_cell from batch_run where batch_id = #{batchId} order by tray_id")
    List<RunRow> runs(@Param("batchId") long batchId);

    @Update("""
            update batch set order_id = other.order_id from batch other
            where (batch.number = #{number} and other.number = #{other})
               or (batch.number = #{other} and other.number = #{number})
            """)
    int swapOrders(@Param("number") int number, @Param("other") int other);

    @Insert("""
            insert into batch_run (batch_id, tray_id, first_cell, last_cell)
            values ((select id from batch where number = #{number}), #{trayId}, #{firstCell}, #{lastCell})
            """)
    void insertRun(
            @Param("number") int number,
            @Param("trayId") long trayId,
            @Param("firstCell") int firstCell,
            @Param("lastCell") int lastCell);

    @Select("""
            <script>
            select batch_id, sequence, kind, day, detail::text as detail from batch_change
            where batch_id = any(array[<foreach collection="batches" item="id" separator=",">#{id}</foreach>]::bigint[])
            order by batch_id, sequence
            </script>
            """)
    List<ChangeRow> changesOf(@Param("batches") List<Long> batches);

    @Select("""
            select batch_id, sequence, kind, day, detail::text as detail from batch_change
            where batch_id = #{batchId} order by sequence
            """)
    List<ChangeRow> changes(@Param("batchId") long batchId);

    @Select("""
            select change.sequence, coalesce(account.name, 'Nursery hands') as name
            from batch_change change left join account on account.id = change.recorded_by
            where change.batch_id = #{batchId} order by change.sequence
            """)
    List<ChangeAuthor> authors(@Param("batchId") long batchId);

    @Insert("""
            insert into batch_change (batch_id, sequence, kind, day, detail, recorded_by)
            values (#{row.batchId}, #{row.sequence}, #{row.kind}, #{row.day}, #{row.detail}::jsonb, #{recordedBy})
            """)
    void insertChange(@Param("row") ChangeRow row, @Param("recordedBy") Long recordedBy);

    @Select("""
            select distinct batch.number from batch
            join batch_change change on change.batch_id = batch.id and change.kind = 'Sown'
            where (change.detail -> 'run' -> 'tray' ->> 'number')::bigint = #{trayId}
            union
            select distinct batch.number from batch
            join batch_change change on change.batch_id = batch.id and change.kind = 'PottedOn'
            where (change.detail -> 'into' -> 'tray' ->> 'number')::bigint = #{trayId}
            union
            select batch.number from batch join batch_run run on run.batch_id = batch.id where run.tray_id = #{trayId}
            order by number
            """)
    List<Integer> numbersInTray(@Param("trayId") long trayId);

    /** Waits for others who change what lies in this tray. */
    @Select("select id from tray where id = #{trayId} for update")
    Long lockTray(@Param("trayId") long trayId);
}
