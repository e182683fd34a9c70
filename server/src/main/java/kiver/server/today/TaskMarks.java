package kiver.server.today;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import kiver.core.today.TaskKind;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** What was noted of tasks: whose they are, that they were ticked off, until when they were put off. */
@Component
public class TaskMarks {

    private final TaskMarkMapper mapper;

    TaskMarks(TaskMarkMapper mapper) {
        this.mapper = mapper;
    }

    /** Which task. */
    public record Key(int batch, TaskKind kind) {}

    /**
     * What was noted of a task.
     *
     * @param handedTo who is to do it, by name; null for anyone
     * @param doneOn day on which it was ticked off; null when it never was
     * @param putOffFrom day from which it was put off; null when it was not
     * @param putOffUntil day on which it is to be done then
     */
    public record Mark(
            int batch,
            TaskKind kind,
            @Nullable Long handedToId,
            @Nullable String handedTo,
            @Nullable LocalDate doneOn,
            @Nullable LocalDate putOffFrom,
            @Nullable LocalDate putOffUntil) {

        boolean isDone(LocalDate today) {
            return today.equals(doneOn);
        }

        /** The day to which it was put off, for work that falls on a day; empty where that day is not meant. */
        Optional<LocalDate> waitsUntil(LocalDate day) {
            return Optional.ofNullable(putOffUntil)
                    .filter(until -> until.isAfter(day) && putOffFrom != null && !day.isBefore(putOffFrom));
        }
    }

    /** A person who works here. */
    public record Hand(long id, String name) {}

    /** Everything noted, by task. */
    public Map<Key, Mark> all() {
        return mapper.all().stream()
                .collect(Collectors.toMap(mark -> new Key(mark.batch(), mark.kind()), Function.identity()));
    }

    /** Those to whom work can be handed. */
    public List<Hand> hands() {
        return mapper.hands();
    }

    public void tick(Key task, LocalDate today, boolean done, long by) {
        requireBatch(mapper.tick(task.batch(), task.kind(), done ? today : null, by), task);
    }

    public void hand(Key task, @Nullable Long to, long by) {
        if (to != null && mapper.hands().stream().noneMatch(hand -> hand.id() == to)) {
            throw new Refusal("person", Said.of("This person does not work here."));
        }
        requireBatch(mapper.hand(task.batch(), task.kind(), to, by), task);
    }

    /** Puts a task off that falls on a day or after it; takes that back where no other day is said. */
    public void putOff(Key task, LocalDate from, @Nullable LocalDate until, long by) {
        requireBatch(mapper.putOff(task.batch(), task.kind(), until == null ? null : from, until, by), task);
    }

    private static void requireBatch(int marked, Key task) {
        if (marked != 1) {
            throw new NotFound(Said.of("There is no batch {number}.").with("number", task.batch()));
        }
    }

    /** The table of marks. */
    @Mapper
    interface TaskMarkMapper {
        @Select("""
                select batch.number as batch, mark.kind, mark.handed_to as handed_to_id, account.name as handed_to, mark.done_on,
                       mark.put_off_from, mark.put_off_until
                from task_mark mark
                join batch on batch.id = mark.batch_id
                left join account on account.id = mark.handed_to
                """)
        List<Mark> all();

        @Select("select id, name from account where role in ('PROPAGATOR', 'BENCH_HAND') order by name, id")
        List<Hand> hands();

        @Insert("""
                insert into task_mark (batch_id, kind, done_on, marked_by)
                select id, #{kind}, #{day}, #{by} from batch where number = #{batch}
                on conflict (batch_id, kind) do update set done_on = #{day}, marked_by = #{by}, marked_at = now()
                """)
        int tick(
                @Param("batch") int batch,
                @Param("kind") TaskKind kind,
                @Param("day") @Nullable LocalDate day,
                @Param("by") long by);

        @Insert("""
                insert into task_mark (batch_id, kind, handed_to, marked_by)
                select id, #{kind}, #{to}, #{by} from batch where number = #{batch}
                on conflict (batch_id, kind) do update set handed_to = #{to}, marked_by = #{by}, marked_at = now()
                """)
        int hand(
                @Param("batch") int batch,
                @Param("kind") TaskKind kind,
                @Param("to") @Nullable Long to,
                @Param("by") long by);

        @Insert("""
                insert into task_mark (batch_id, kind, put_off_from, put_off_until, marked_by)
                select id, #{kind}, #{from}, #{until}, #{by} from batch where number = #{batch}
                on conflict (batch_id, kind) do update
                set put_off_from = case when task_mark.put_off_until >= #{from} then least(task_mark.put_off_from, #{from})
                                        else #{from} end,
                    put_off_until = #{until}, marked_by = #{by}, marked_at = now()
                """)
        int putOff(
                @Param("batch") int batch,
                @Param("kind") TaskKind kind,
                @Param("from") @Nullable LocalDate from,
                @Param("until") @Nullable LocalDate until,
                @Param("by") long by);
    }
}
