package kiver.server.crop;

import java.util.List;
import java.util.Optional;
import kiver.core.crop.CropCode;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The table of varieties. */
@Mapper
interface VarietyMapper {

    @Select("select id, crop, name from variety order by name")
    List<Variety> all();

    @Select("select id, crop, name from variety where id = #{id}")
    Optional<Variety> byId(@Param("id") long id);

    @Select(value = """
            insert into variety (crop, name) values (#{crop}, #{name})
            on conflict (name) do nothing returning id
            """, affectData = true)
    Long insert(@Param("crop") CropCode crop, @Param("name") String name);

    @Insert("""
            insert into variety (crop, name) values (#{crop}, #{name})
            on conflict (name) do update set crop = excluded.crop
            """)
    void put(@Param("crop") CropCode crop, @Param("name") String name);
}
