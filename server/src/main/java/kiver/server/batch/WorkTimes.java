package kiver.server.batch;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import kiver.core.batch.BatchChange;
import kiver.core.learning.WorkSeen;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** At what times sowings and pottings were entered, by whom. */
@Component
public class WorkTimes {

    private final WorkTimeMapper mapper;
    private final ChangeJson json;

    WorkTimes(WorkTimeMapper mapper, ChangeJson json) {
        this.mapper = mapper;
        this.json = json;
    }

    /** Sowings entered since a day, cells as pieces; those of unknown time or person are left out. */
    public List<WorkSeen.Entered> sowings(LocalDate since) {
        return entered("Sown", since);
    }

    /** Pottings entered since a day, plants as pieces. */
    public List<WorkSeen.Entered> pottings(LocalDate since) {
        return entered("PottedOn", since);
    }

    private List<WorkSeen.Entered> entered(String kind, LocalDate since) {
        return mapper.times(kind, since).stream()
                .map(row -> new WorkSeen.Entered(
                        row.person(),
                        row.day().atTime(row.time()),
                        pieces(json.read(kind, row.version(), row.detail()))))
                .toList();
    }

    private static int pieces(BatchChange change) {
        return change instanceof BatchChange.Sown sown
                ? sown.run().length()
                : change instanceof BatchChange.PottedOn potted ? potted.cells().size() : 0;
    }
}

/** Reads the times of entries. */
@Mapper
interface WorkTimeMapper {

    /** An entry with its time. */
    record TimeRow(long person, LocalDate day, LocalTime time, int version, String detail) {}

    @Select("""
            select recorded_by as person, occurred_on as day, occurred_at as time, version, detail::text as detail
            from batch_change
            where kind = #{kind} and occurred_on >= #{since} and occurred_at is not null and recorded_by is not null
            """)
    List<TimeRow> times(@Param("kind") String kind, @Param("since") LocalDate since);
}
