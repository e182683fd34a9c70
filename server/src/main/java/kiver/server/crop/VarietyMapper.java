package kiver.server.crop;

import java.util.List;
import java.util.Optional;
import kiver.core.crop.CropCode;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The table of varieties. */
@Mapper
interface VarietyMapper {

    @Select("select id, crop, name, hybrid, maturity_days, maturity_from from variety order by name")
    List<Variety> all();

    @Select("select id, crop, name, hybrid, maturity_days, maturity_from from variety where id = #{id}")
    Optional<Variety> byId(@Param("id") long id);

    @Select(value = """
            insert into variety (crop, name) values (#{crop}, #{name})
            on conflict (name) do nothing returning id
            """, affectData = true)
    Long insert(@Param("crop") CropCode crop, @Param("name") String name);

    @Insert("""
            insert into variety (crop, name, hybrid, maturity_days, maturity_from)
            values (#{crop}, #{name}, #{hybrid}, #{maturityDays}, #{maturityFrom})
            on conflict (name) do update set crop = excluded.crop, hybrid = excluded.hybrid,
                maturity_days = excluded.maturity_days, maturity_from = excluded.maturity_from
            """)
    void put(Variety variety);

    /** Writes down what a packet says of its variety. */
    @Update("""
            update variety set hybrid = #{hybrid}, maturity_days = #{maturityDays}, maturity_from = #{maturityFrom}
            where id = #{id}
            """)
    void sayOf(Variety variety);
}
