package kiver.server.kept;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The tables of revisions. */
@Mapper
interface RevisionMapper {

    /** The newest revision, and how many of the last thousand are there: a transaction that began earlier may end later. */
    @Select("""
            select newest.id || '/' || (select count(*) from revision where id > newest.id - 1000)
            from (select coalesce(max(id), 0) as id from revision) newest
            """)
    String mark();

    /** How far the changes of a table that is kept in memory have come. */
    record SettingMark(String what, String mark) {}

    @Select("""
            select what, max(id) || '/' || count(*) as mark from setting_revision group by what
            """)
    List<SettingMark> settingMarks();

    @Insert("insert into setting_revision (what) values (#{what})")
    int changed(@Param("what") String what);
}
