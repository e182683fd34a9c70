package kiver.server.crop;

import java.util.List;
import kiver.core.crop.CropCode;
import kiver.core.crop.LeafTelling;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The table of what counts of leaves told. */
@Mapper
interface LeafTellingMapper {

    /** A telling as it is stored. */
    record TellingRow(int batch, String crop, long placeId, double logPace, double deviation) {}

    @Select("select batch, crop, place_id, log_pace, deviation from leaf_telling")
    List<TellingRow> all();

    @Insert("""
            insert into leaf_telling (batch, crop, place_id, log_pace, deviation)
            values (#{batch}, #{crop.written}, #{place.number}, #{log}, #{deviation})
            on conflict (batch) do update
            set crop = excluded.crop, place_id = excluded.place_id, log_pace = excluded.log_pace,
                deviation = excluded.deviation
            """)
    void put(LeafTelling telling);

    @Delete("delete from leaf_telling where batch = #{batch}")
    int remove(@Param("batch") int batch);

    @Delete("delete from leaf_telling where crop = #{crop}")
    int removeOf(@Param("crop") CropCode crop);
}
