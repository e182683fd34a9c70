package kiver.server.batch;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.outlook.BatchPlan;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The tables of changes to plans, and of drafts. */
@Mapper
interface PlanChangeMapper {

    /** A change as it is stored. */
    record PlanChangeRow(long id, String words, String parts) {}

    /** One batch of a change; before and after are what its plan was and became. */
    record PartRow(int number, String before, String after) {}

    /** One batch of a draft. */
    record DraftPartRow(int number, String change, int planVersion) {}

    @Update("""
            update batch set sow_day = #{plan.sowDay}, latest_sow_day = #{plan.latestSowDay},
                   emergence_place_id = #{plan.emergencePlaceId}, growing_place_id = #{plan.growingPlaceId},
                   hardening_place_id = #{plan.hardeningPlaceId}, pinned = #{plan.pinned},
                   container_path = #{plan.containerPath}, containers = #{plan.containers},
                   potted_late = #{plan.pottedLate}, over_winter = #{plan.overWinter}, plan_version = plan_version + 1
            where number = #{number}
            """)
    int setPlan(@Param("number") int number, @Param("plan") BatchPlan plan);

    @Select(
            value =
                    "insert into plan_change (made_by, words, parts) values (#{by}, #{words}, #{parts}::jsonb) returning id",
            affectData = true)
    long insertChange(@Param("by") Long by, @Param("words") String words, @Param("parts") String parts);

    @Insert("""
            insert into plan_change_part (change_id, batch_id, before, after)
            values (#{change}, (select id from batch where number = #{number}), #{before}::jsonb, #{after}::jsonb)
            """)
    void insertPart(
            @Param("change") long change,
            @Param("number") int number,
            @Param("before") String before,
            @Param("after") String after);

    /** Lets one person at a time undo. */
    @Select("select true from (select pg_advisory_xact_lock(4712)) as held")
    boolean lockChanges();

    @Select("select id, words, parts::text as parts from plan_change where not undone order by id desc limit 1")
    Optional<PlanChangeRow> lastChange();

    @Select("""
            select batch.number, part.before::text as before, part.after::text as after
            from plan_change_part part join batch on batch.id = part.batch_id where part.change_id = #{change}
            order by batch.number
            """)
    List<PartRow> parts(@Param("change") long change);

    @Update("update plan_change set undone = true where id = #{change}")
    void markUndone(@Param("change") long change);

    @Select("select id, name, made_on from draft order by id")
    List<Draft> drafts();

    @Select(value = """
            insert into draft (name, made_on) values (#{name}, #{day}) on conflict (name) do nothing returning id
            """, affectData = true)
    Long insertDraft(@Param("name") String name, @Param("day") LocalDate day);

    @Delete("delete from draft where id = #{draft}")
    int deleteDraft(@Param("draft") long draft);

    @Select("""
            select batch.number, part.change::text as change, part.plan_version
            from draft_part part join batch on batch.id = part.batch_id where part.draft_id = #{draft}
            order by batch.number
            """)
    List<DraftPartRow> draftParts(@Param("draft") long draft);

    @Insert("""
            insert into draft_part (draft_id, batch_id, change, plan_version)
            select #{draft}, id, #{change}::jsonb, plan_version from batch where number = #{number}
            on conflict (draft_id, batch_id) do update set change = excluded.change, plan_version = excluded.plan_version
            """)
    void putDraftPart(@Param("draft") long draft, @Param("number") int number, @Param("change") String change);
}
