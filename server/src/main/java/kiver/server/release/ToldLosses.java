package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import kiver.core.order.LineId;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/** What growers told lost, for whoever looks back. */
@Component
public class ToldLosses {

    private final ToldLossMapper mapper;

    ToldLosses(ToldLossMapper mapper) {
        this.mapper = mapper;
    }

    /** Plants that a grower told lost of a line that went with a note. */
    public record ToldLoss(long release, LineId line, int plants) {}

    /** Of what left on a day or after it. */
    public List<ToldLoss> since(LocalDate day) {
        return mapper.since(day).stream()
                .map(row -> new ToldLoss(row.release(), new LineId(row.lineId()), row.plants()))
                .toList();
    }
}

/** Reads the table of losses. */
@Mapper
interface ToldLossMapper {

    /** A loss as it is stored. */
    record ToldRow(long release, long lineId, int plants) {}

    @Select("""
            select loss.release, loss.line_id, loss.plants
            from grower_loss loss join release on release.number = loss.release where release.day >= #{day}
            """)
    List<ToldRow> since(@Param("day") LocalDate day);
}
