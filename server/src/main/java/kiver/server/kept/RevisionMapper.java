package kiver.server.kept;

import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The table of revisions. */
@Mapper
interface RevisionMapper {

    /** The newest revision, and how many of the last thousand are there: a transaction that began earlier may end later. */
    @Select("""
            select newest.id || '/' || (select count(*) from revision where id > newest.id - 1000)
            from (select coalesce(max(id), 0) as id from revision) newest
            """)
    String mark();
}
