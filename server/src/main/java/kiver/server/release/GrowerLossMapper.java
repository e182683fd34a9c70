package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.core.batch.LossReason;
import kiver.core.order.LineId;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The table of losses that growers told. */
@Mapper
interface GrowerLossMapper {

    String LOSSES = """
            select loss.number, loss.release as note, release.day as released_on, ordered.number as order_number,
                   line.position as line, ordered.grower_id, grower.name as grower, variety.name as variety, loss.plants,
                   loss.reason, loss.words, loss.photograph is not null as pictured, loss.reported_on, loss.replaced
            from grower_loss loss
            join release on release.number = loss.release
            join order_line line on line.id = loss.line_id
            join grower_order ordered on ordered.id = line.order_id
            join grower on grower.id = ordered.grower_id
            join variety on variety.id = line.variety_id
            """;

    /**
     * A loss.
     *
     * @param pictured whether there is a photograph
     * @param replaced plants promised in its place
     */
    record GrowerLossRow(
            int number,
            int note,
            LocalDate releasedOn,
            int orderNumber,
            int line,
            long growerId,
            String grower,
            String variety,
            int plants,
            LossReason reason,
            String words,
            boolean pictured,
            LocalDate reportedOn,
            int replaced) {}

    /** A photograph alone. */
    record Photograph(byte[] photograph) {}

    @Select(LOSSES + " order by loss.number desc limit #{most}")
    List<GrowerLossRow> newest(@Param("most") int most);

    @Select(LOSSES + " where ordered.grower_id = #{grower} order by loss.number desc limit #{most}")
    List<GrowerLossRow> of(@Param("grower") long grower, @Param("most") int most);

    @Select(LOSSES + " where loss.number = #{number} for update of loss")
    Optional<GrowerLossRow> held(@Param("number") int number);

    @Select("select photograph from grower_loss where number = #{number} and photograph is not null")
    Photograph photograph(@Param("number") int number);

    @Select("select coalesce(sum(plants), 0) from grower_loss where release = #{note} and line_id = #{line}")
    int lost(@Param("note") int note, @Param("line") LineId line);

    @Select(value = """
            insert into grower_loss (release, line_id, plants, reason, words, reported_on, reported_by)
            values (#{note}, #{line}, #{told.plants}, #{told.reason}, #{told.words}, #{day}, #{by})
            returning number
            """, affectData = true)
    int insert(
            @Param("note") int note,
            @Param("line") LineId line,
            @Param("told") GrowerLosses.Told told,
            @Param("day") LocalDate day,
            @Param("by") long by);

    @Update("update grower_loss set photograph = #{picture} where number = #{number}")
    int picture(@Param("number") int number, @Param("picture") byte[] picture);

    @Update("update grower_loss set replaced = replaced + #{plants} where number = #{number}")
    int replace(@Param("number") int number, @Param("plants") int plants);
}
