package kiver.server.release;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.order.LineId;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The table of what growers ask for. */
@Mapper
interface GrowerRequestMapper {

    String REQUESTS = """
            select request.number, request.grower_id, grower.name as grower, request.kind, ordered.number as order_number,
                   line.position as line, request.batch, variety.name as variety, line.plants as ordered, request.plants, request.times, request.weeks_apart,
                   coalesce(line.target, ordered.target) as wanted_on, request.target, request.words, request.asked_on,
                   request.state, request.answer, request.answered_on
            from grower_request request
            join grower on grower.id = request.grower_id
            left join order_line line on line.id = request.line_id
            left join grower_order ordered on ordered.id = line.order_id
            left join batch on batch.number = request.batch
            join variety on variety.id = coalesce(line.variety_id, batch.variety_id)
            """;

    /**
     * A request.
     *
     * @param orderNumber of the line it is about; missing where plants of a batch are asked for
     * @param ordered plants of the line as it stands
     * @param plants asked for
     * @param wantedOn day of the line as it stands
     * @param target day asked for
     * @param times for what is asked again and again
     * @param weeksApart the same
     */
    record GrowerRequestRow(
            int number,
            long growerId,
            String grower,
            GrowerRequests.Kind kind,
            @Nullable Integer orderNumber,
            @Nullable Integer line,
            @Nullable Integer batch,
            String variety,
            @Nullable Integer ordered,
            @Nullable Integer plants,
            @Nullable Integer times,
            @Nullable Integer weeksApart,
            @Nullable LocalDate wantedOn,
            @Nullable LocalDate target,
            String words,
            LocalDate askedOn,
            GrowerRequests.State state,
            String answer,
            @Nullable LocalDate answeredOn) {}

    @Select(REQUESTS + " order by request.state <> 'OPEN', request.number desc limit #{most}")
    List<GrowerRequestRow> newest(@Param("most") int most);

    @Select(REQUESTS + " where request.grower_id = #{grower} order by request.number desc limit #{most}")
    List<GrowerRequestRow> of(@Param("grower") long grower, @Param("most") int most);

    @Select(REQUESTS + " where request.number = #{number} for update of request")
    Optional<GrowerRequestRow> held(@Param("number") int number);

    @Select("select count(*) from grower_request where line_id = #{line} and state = 'OPEN'")
    int open(@Param("line") LineId line);

    @Select(value = """
            insert into grower_request (grower_id, line_id, batch, kind, target, plants, times, weeks_apart, words, asked_on, asked_by, state)
            values (#{grower}, #{line}, #{batch}, #{asked.kind}, #{asked.target}, #{asked.plants}, #{asked.times}, #{asked.weeksApart}, #{asked.words}, #{day}, #{by},
                    #{state})
            returning number
            """, affectData = true)
    int insert(
            @Param("grower") long grower,
            @Param("line") @Nullable LineId line,
            @Param("batch") @Nullable Integer batch,
            @Param("asked") GrowerRequests.Asked asked,
            @Param("day") LocalDate day,
            @Param("by") long by,
            @Param("state") GrowerRequests.State state);

    @Update("""
            update grower_request set state = #{state}, answer = #{words}, answered_on = #{day}, answered_by = #{by}
            where number = #{number}
            """)
    int answer(
            @Param("number") int number,
            @Param("state") GrowerRequests.State state,
            @Param("words") String words,
            @Param("day") LocalDate day,
            @Param("by") long by);
}
