package kiver.server.outlook;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import kiver.server.batch.BatchBook;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Nights that are too cold for what stands out, what was done about them, and the look for losses afterwards. */
@Component
public class EveningBook {

    private final EveningMapper mapper;
    private final BatchBook batches;

    EveningBook(EveningMapper mapper, BatchBook batches) {
        this.mapper = mapper;
        this.batches = batches;
    }

    /** What was done for a batch on an evening, or the morning after. */
    public enum Done {
        BROUGHT_IN,
        COVERED,
        NONE_LOST
    }

    /** A batch that was seen to. */
    record Ticked(LocalDate day, int batch) {}

    /** The batches that were brought in or covered on an evening. */
    public Set<Integer> safeOn(LocalDate evening) {
        return mapper.since(evening, List.of(Done.BROUGHT_IN.name(), Done.COVERED.name())).stream()
                .filter(ticked -> ticked.day().equals(evening))
                .map(Ticked::batch)
                .collect(Collectors.toSet());
    }

    /** The batches that were looked at after a night and found whole. */
    public Set<Integer> foundWholeOn(LocalDate morning) {
        return mapper.since(morning, List.of(Done.NONE_LOST.name())).stream()
                .map(Ticked::batch)
                .collect(Collectors.toSet());
    }

    /**
     * Notes what was done; said twice, the last counts.
     *
     * @param by who did; null for hands nobody names
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void tick(LocalDate day, int batch, Done done, @Nullable Long by) {
        batches.lock(batch);
        if (mapper.put(day, batch, done, by) != 1) {
            throw new NotFound(Said.of("There is no batch {batch}.").with("batch", batch));
        }
    }

    /** The table of evenings. */
    @Mapper
    interface EveningMapper {
        @Select("""
                <script>
                select done.day, batch.number as batch from evening_done done join batch on batch.id = done.batch_id
                where done.day &gt;= #{from}
                  and done.what in (<foreach collection="what" item="each" separator=",">#{each}</foreach>)
                </script>
                """)
        List<Ticked> since(@Param("from") LocalDate from, @Param("what") List<String> what);

        @Insert("""
                insert into evening_done (day, batch_id, what, done_by)
                select #{day}, batch.id, #{done}, #{by} from batch where batch.number = #{batch}
                on conflict (day, batch_id, what) do update set done_by = #{by}, done_at = now()
                """)
        int put(
                @Param("day") LocalDate day,
                @Param("batch") int batch,
                @Param("done") Done done,
                @Param("by") @Nullable Long by);
    }
}
