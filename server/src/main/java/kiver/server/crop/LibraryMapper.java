package kiver.server.crop;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The table of crops and containers, kept as rows of their sheets. */
@Mapper
interface LibraryMapper {

    @Select("select entries::text from library_entry where kind = #{kind} order by position")
    List<String> entries(@Param("kind") String kind);

    /** What the nursery has already stays as it is, but for columns that an earlier Kiver did not know. */
    @Insert("""
            insert into library_entry (kind, code, entries) values (#{kind}, #{code}, #{entries}::jsonb)
            on conflict (kind, code) do update set entries = excluded.entries || library_entry.entries
            where not jsonb_exists_all(library_entry.entries, array(select jsonb_object_keys(excluded.entries)))
            """)
    void add(@Param("kind") String kind, @Param("code") String code, @Param("entries") String entries);

    @Insert("""
            insert into library_entry (kind, code, entries) values (#{kind}, #{code}, #{entries}::jsonb)
            on conflict (kind, code) do update set entries = excluded.entries
            """)
    void put(@Param("kind") String kind, @Param("code") String code, @Param("entries") String entries);
}
