package kiver.server.batch;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.harden.HardeningProgramme;
import kiver.core.order.LineId;
import kiver.core.outlook.Batch;
import kiver.core.outlook.BatchSize;
import kiver.core.outlook.Promised;
import kiver.core.seed.LotId;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.ResultMap;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of batches, their cells and their changes. */
@Mapper
interface BatchMapper {

    String BATCHES = """
            select batch.id, batch.number, batch.lot_id, batch.seeds_per_cell, batch.cells, batch.cells_needed,
                   batch.sow_day, batch.latest_sow_day, batch.emergence_place_id, batch.growing_place_id,
                   batch.hardening_place_id, batch.hardening_programme, batch.container_path, batch.containers,
                   batch.potted_late, batch.over_winter, batch.pinned, batch.variety_id, variety.name as variety, variety.crop, batch.plants,
                   batch.leaves_from, batch.leaves_to, batch.target, batch.under, batch.counted_in, batch.plan_version, batch.leaves_on_arrival
            from batch
            join variety on variety.id = batch.variety_id
            """;

    /**
     * Room that a batch takes in a tray that is cut or shared.
     *
     * @param share of the room of a whole tray, above 0 and below 1
     */
    record TrayRoom(long batchId, long trayId, double share) {}

    String TRAY_ROOM = """
            select batch_id, tray_id, share from (
                select run.batch_id, run.tray_id, coalesce(tray.share, 1) * (run.last_cell - run.first_cell + 1)
                           / sum(run.last_cell - run.first_cell + 1) over (partition by run.tray_id) as share
                from batch_run run join tray on tray.id = run.tray_id
                join batch on batch.id = run.batch_id and batch.withdrawn_on is null
                where (not exists (select from batch_origin sown where sown.batch_id = run.batch_id)
                       or exists (select from batch_cells cell where cell.batch_id = run.batch_id and cell.tray_id = run.tray_id
                                  and cell.condition in ('ALIVE', 'WAITING')))
                and run.tray_id in (select tray_id from batch_run where batch_id = any(#{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}))
            ) room where share < 1
            """;

    /** Who sowed a batch. */
    record SowerRow(int number, String name) {}

    /** A note as it is stored. */
    record NoteRow(int batch, String variety, int sequence, LocalDate day, String text, String by) {}

    /** Of these batches, and of those that share trays with them; one whose plants are gone leaves its share to the others. */
    @Select(TRAY_ROOM)
    List<TrayRoom> roomOfTrays(@Param("batches") Long[] batches);

    /** A run of cells set aside. */
    record RunRow(long batchId, long trayId, int firstCell, int lastCell) {}

    /** A change as it is stored. */
    record ChangeRow(
            long batchId, int sequence, String kind, int version, LocalDate day, LocalTime time, String detail) {}

    /** Who recorded a change, and on which device; null where that is not known. */
    record ChangeAuthor(int sequence, String name, String device) {}

    /** All that are in hand. */
    @Select(BATCHES + """
            left join batch_standing standing on standing.batch_id = batch.id
            where batch.withdrawn_on is null and not coalesce(""" + PutAway.CONDITION + ", false) order by batch.number")
    @ResultMap("batch")
    List<Batch> inHand(@Param("away") PutAway away);

    /** Those that are put away and were grown for a day from the first to the last. */
    @Select(BATCHES + """
            left join batch_standing standing on standing.batch_id = batch.id
            where batch.withdrawn_on is null and batch.target between #{first} and #{last} and
            """ + PutAway.CONDITION + " order by batch.number")
    @ResultMap("batch")
    List<Batch> putAway(@Param("away") PutAway away, @Param("first") LocalDate first, @Param("last") LocalDate last);

    /** The day for which the first batch was grown; null while there is none. */
    @Select("select min(target) from batch")
    LocalDate firstTarget();

    /** Numbers in the database of the batches promised to some lines. */
    @Select("""
            select batch.id from batch
            where batch.withdrawn_on is null and batch.id in (
                select batch_id from promise where line_id = any(#{lines, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}))
            order by batch.number
            """)
    List<Long> promisedTo(@Param("lines") Long[] lines);

    /** Numbers in the database of the batches of which plants left with a note. */
    @Select("""
            select batch.id from batch
            where batch.id in (select batch_id from batch_departure where release = #{release}) order by batch.number
            """)
    List<Long> onNote(@Param("release") long release);

    @Select("""
            select batch.id from batch
            where batch.id in (select batch_id from batch_origin where lot_id = #{lot}) order by batch.number
            """)
    List<Long> fromLot(@Param("lot") LotId lot);

    @Select("""
            select batch.id from batch
            where batch.id in (select batch_id from batch_origin where medium = #{medium}) order by batch.number
            """)
    List<Long> sownIn(@Param("medium") String medium);

    /** A mix by its words, and of how many batches anything was sown in it. */
    record MixRow(String medium, int batches) {}

    @Select("select medium, count(distinct batch_id) as batches from batch_origin where medium <> '' group by medium")
    List<MixRow> mixes();

    /** Batches by their numbers in the database. */
    @Select(BATCHES + """
            where batch.id = any(#{ids, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) order by batch.number
            """)
    @ResultMap("batch")
    List<Batch> of(@Param("ids") Long[] ids);

    @Select(BATCHES + " where batch.withdrawn_on is null and batch.number = #{number}")
    @ResultMap("batch")
    Optional<Batch> byNumber(@Param("number") int number);

    /** Waits for others who record for this batch or change its plan. */
    @Select("select id from batch where number = #{number} for update")
    Long lock(@Param("number") int number);

    /** The next number; whoever plans batches holds the lock of bookings. */
    @Select(value = """
            insert into batch (number, variety_id, lot_id, seeds_per_cell, cells, cells_needed, sow_day, latest_sow_day,
                               emergence_place_id, growing_place_id, hardening_place_id, hardening_programme,
                               container_path, containers, plants, leaves_from, leaves_to, target, under, counted_in, leaves_on_arrival, over_winter)
            values (1 + coalesce((select max(number) from batch), 200), #{varietyId}, #{sowing.lot}, #{sowing.seedsPerCell},
                    #{sowing.cells}, #{sowing.cellsNeeded}, #{plan.sowDay}, #{plan.latestSowDay},
                    #{plan.emergencePlaceId}, #{plan.growingPlaceId}, #{plan.hardeningPlaceId}, #{programme},
                    #{plan.containerPath}, #{plan.containers}, #{aim.plants}, #{aim.stage.from}, #{aim.stage.to}, #{aim.target},
                    #{aim.under}, #{aim.countedIn}, #{leavesOnArrival}, #{plan.overWinter})
            returning number
            """, affectData = true)
    int insert(NewBatch batch);

    /** How far each record has come. */
    record Reach(long batchId, int sequence) {}

    @Select("""
            select batch.id as batch_id, newest.sequence from batch
            cross join lateral (select max(sequence) as sequence from batch_change where batch_id = batch.id) newest
            where batch.id = any(#{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) and newest.sequence is not null
            """)
    List<Reach> reaches(@Param("batches") Long[] batches);

    @Select("""
            select batch_id, tray_id, first_cell, last_cell from batch_run
            where batch_id = any(#{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) order by batch_id, tray_id
            """)
    List<RunRow> runsOf(@Param("batches") Long[] batches);

    @Select(
            "select batch_id, tray_id, first_cell, last_cell from batch_run where batch_id = #{batchId} order by tray_id")
    List<RunRow> runs(@Param("batchId") long batchId);

    String PROMISES = """
            select promise.line_id as line, promise.batch_id as batch, ordered.number as order_number, line.position, ordered.grower_id,
                   grower.name as grower, promise.plants, line.under, coalesce(line.target, ordered.target) as target
            from promise
            join order_line line on line.id = promise.line_id
            join grower_order ordered on ordered.id = line.order_id
            join grower on grower.id = ordered.grower_id
            """;

    @Select(PROMISES + """
            where promise.batch_id = any(#{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) order by promise.batch_id, promise.id
            """)
    List<Promised> promisesOf(@Param("batches") Long[] batches);

    @Select(PROMISES + " where promise.batch_id = #{batchId} order by promise.id")
    List<Promised> promises(@Param("batchId") long batchId);

    /** The line of each release that was made before orders had lines. */
    record ReleasedBeforeLines(int release, LineId lineId) {}

    @Select("select release, line_id from release_before_lines")
    List<ReleasedBeforeLines> releasedBeforeLines();

    @Insert("""
            insert into promise (line_id, batch_id, plants)
            values (#{lineId}, (select id from batch where number = #{number}), #{plants})
            on conflict (line_id, batch_id) do update set plants = promise.plants + excluded.plants
            """)
    int promise(@Param("lineId") LineId lineId, @Param("number") int number, @Param("plants") int plants);

    @Update("""
            update promise set plants = #{plants}
            where line_id = #{lineId} and batch_id = (select id from batch where number = #{number})
            """)
    int setPromise(@Param("lineId") LineId lineId, @Param("number") int number, @Param("plants") int plants);

    @Delete("""
            delete from promise
            where line_id = #{lineId} and batch_id = (select id from batch where number = #{number})
            """)
    int forgetPromise(@Param("lineId") LineId lineId, @Param("number") int number);

    /** Gives what was promised of each of two batches to the other. */
    @Update("""
            update promise set batch_id = case when promise.batch_id = one.id then other.id else one.id end
            from batch one, batch other
            where one.number = #{number} and other.number = #{other} and promise.batch_id in (one.id, other.id)
            """)
    int swapPromises(@Param("number") int number, @Param("other") int other);

    /** What it hardens by, where that is not what was planned. */
    @Update("""
            update batch set hardening_programme = #{programme}
            where number = #{number} and hardening_programme is distinct from #{programme}
            """)
    int harden(@Param("number") int number, @Param("programme") HardeningProgramme programme);

    @Update("update batch set withdrawn_on = #{day} where number = #{number} and withdrawn_on is null")
    int withdraw(@Param("number") int number, @Param("day") LocalDate day);

    @Update("update batch set target = #{target}, plan_version = plan_version + 1 where number = #{number}")
    int aimAt(@Param("number") int number, @Param("target") LocalDate target);

    /** Another amount, sown on another day. */
    @Update("""
            update batch set plants = #{grown.plants}, target = #{grown.target}, cells = #{grown.cells},
                   cells_needed = #{grown.cellsNeeded}, seeds_per_cell = #{grown.seedsPerCell}, sow_day = #{grown.sowDay},
                   latest_sow_day = #{grown.latestSowDay}, plan_version = plan_version + 1
            where number = #{number}
            """)
    int resize(@Param("number") int number, @Param("grown") BatchSize grown);

    @Delete("delete from batch_run where batch_id = (select id from batch where number = #{number})")
    void forgetRuns(@Param("number") int number);

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
            select batch_id, sequence, kind, version, occurred_on as day, occurred_at as time, detail::text as detail from batch_change
            where batch_id = any(#{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler})
            order by batch_id, sequence
            """)
    List<ChangeRow> changesOf(@Param("batches") Long[] batches);

    @Select("""
            select batch_id, sequence, kind, version, occurred_on as day, occurred_at as time, detail::text as detail from batch_change
            where batch_id = #{batchId} order by sequence
            """)
    List<ChangeRow> changes(@Param("batchId") long batchId);

    @Select("""
            select change.sequence, coalesce(account.name, 'Nursery hands') as name, change.device
            from batch_change change left join account on account.id = change.recorded_by
            where change.batch_id = #{batchId} order by change.sequence
            """)
    List<ChangeAuthor> authors(@Param("batchId") long batchId);

    /** Who sowed each batch first, of those sown from a day until another. */
    @Select("""
            select distinct on (change.batch_id) batch.number, coalesce(account.name, '') as name
            from batch_change change
            join batch on batch.id = change.batch_id
            left join account on account.id = change.recorded_by
            where change.kind = 'Sown' and change.occurred_on between #{from} and #{until}
            order by change.batch_id, change.sequence
            """)
    List<SowerRow> sowers(@Param("from") LocalDate from, @Param("until") LocalDate until);

    /** Notes of days that lie between two days, the newest first. */
    @Select("""
            select batch.number as batch, variety.name as variety, change.sequence, change.occurred_on as day,
                   change.detail ->> 'text' as text, coalesce(account.name, '') as by
            from batch_change change
            join batch on batch.id = change.batch_id
            join variety on variety.id = batch.variety_id
            left join account on account.id = change.recorded_by
            where change.kind = 'Noted' and change.occurred_on between #{from} and #{until}
            order by change.occurred_on desc, batch.number, change.sequence
            """)
    List<NoteRow> notes(@Param("from") LocalDate from, @Param("until") LocalDate until);

    @Insert("""
            insert into batch_change (batch_id, sequence, kind, version, occurred_on, occurred_at, detail, recorded_by, request, device)
            values (#{row.batchId}, #{row.sequence}, #{row.kind}, #{row.version}, #{row.day}, #{row.time}, #{row.detail}::jsonb,
                    #{recordedBy}, #{request}, #{device})
            """)
    void insertChange(
            @Param("row") ChangeRow row,
            @Param("recordedBy") Long recordedBy,
            @Param("request") UUID request,
            @Param("device") String device);

    /** Batches that were sown into a tray, stand in it or are planned into it. */
    @Select("""
            select number from batch where id in (
                select batch_id from batch_cells where tray_id = #{trayId}
                union select batch_id from batch_origin where tray_id = #{trayId}
                union select batch_id from batch_run where tray_id = #{trayId})
            order by number
            """)
    List<Integer> numbersInTray(@Param("trayId") long trayId);

    /** Waits for others who change what lies in this tray. */
    @Select("select id from tray where id = #{trayId} for update")
    Long lockTray(@Param("trayId") long trayId);
}
