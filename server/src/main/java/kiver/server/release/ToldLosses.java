package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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

    /** Plants that were promised again in the place of lost ones, by the line; their number is among what the line asks for since. */
    public Map<LineId, Integer> givenAgain() {
        return mapper.givenAgain().stream()
                .collect(Collectors.toMap(row -> new LineId(row.lineId()), ToldLossMapper.AgainRow::plants));
    }

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

    /** Plants given again. */
    record AgainRow(long lineId, int plants) {}

    @Select("select line_id, sum(replaced)::int as plants from grower_loss where replaced > 0 group by line_id")
    List<AgainRow> givenAgain();

    @Select("""
            select loss.release, loss.line_id, loss.plants
            from grower_loss loss join release on release.number = loss.release where release.day >= #{day}
            """)
    List<ToldRow> since(@Param("day") LocalDate day);
}
