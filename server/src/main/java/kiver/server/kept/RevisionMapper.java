package kiver.server.kept;

import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** How often tables were changed. */
@Mapper
interface RevisionMapper {

    /**
     * How often what is recorded, and what it rests on, was changed. By slots and not in sum: a transaction that sees its own
     * changes must not take them for as many of another.
     */
    @Select("""
            select coalesce(string_agg(slot || ':' || changes, ' ' order by slot), '') from change_count
            where what = 'record'
            """)
    String mark();

    /** How far the changes of a table that is kept in memory have come. */
    record SettingMark(String what, String mark) {}

    @Select("""
            select what, string_agg(slot || ':' || changes, ' ' order by slot) as mark from change_count
            where what <> 'record' group by what
            """)
    List<SettingMark> settingMarks();

    @Select("select count_change(#{what})::text")
    String changed(@Param("what") String what);
}
