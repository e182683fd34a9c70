package kiver.server.release;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The table of releases. */
@Mapper
interface ReleaseMapper {

    String RELEASES = """
            select release.number, ordered.number as order_number, release.day, 0 as plants
            from release join grower_order ordered on ordered.id = release.order_id
            """;

    @Select(value = "insert into release (order_id, day) values (#{orderId}, #{day}) returning number", affectData = true)
    int insert(@Param("orderId") long orderId, @Param("day") LocalDate day);

    @Select(RELEASES + " order by release.number")
    List<Release> all();

    @Select(RELEASES + " where release.number = #{number}")
    Optional<Release> byNumber(@Param("number") int number);
}
