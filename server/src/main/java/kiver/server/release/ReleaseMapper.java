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
            select release.number, ordered.number as order_number, release.day
            from release join grower_order ordered on ordered.id = release.order_id
            """;

    /** A release without what left with it, which follows from the records of batches. */
    record ReleaseRow(int number, int orderNumber, LocalDate day) {}

    @Select(
            value = "insert into release (order_id, day) values (#{orderId}, #{day}) returning number",
            affectData = true)
    int insert(@Param("orderId") long orderId, @Param("day") LocalDate day);

    @Select(
            RELEASES
                    + " where release.order_id = any(#{orders, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}) order by release.number")
    List<ReleaseRow> ofOrders(@Param("orders") Long[] orders);

    @Select(RELEASES + " where release.day between #{from} and #{until} order by release.number")
    List<ReleaseRow> between(@Param("from") LocalDate from, @Param("until") LocalDate until);

    /** Waits for others who tell of losses of it. */
    @Select("select number from release where number = #{number} for update")
    Integer hold(@Param("number") int number);

    @Select(RELEASES + " where release.number = #{number}")
    Optional<ReleaseRow> byNumber(@Param("number") int number);
}
