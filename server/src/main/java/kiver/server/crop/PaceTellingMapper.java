package kiver.server.crop;

import java.util.List;
import kiver.core.crop.CropCode;
import kiver.core.crop.LessonAbout.Matter;
import kiver.core.crop.PaceTelling;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The table of what counts told of paces. */
@Mapper
interface PaceTellingMapper {

    /** A telling as it is stored. */
    record TellingRow(
            Matter matter,
            int batch,
            String crop,
            long varietyId,
            long lotId,
            long placeId,
            double logPace,
            double deviation) {}

    @Select("select matter, batch, crop, variety_id, lot_id, place_id, log_pace, deviation from pace_telling")
    List<TellingRow> all();

    @Insert("""
            insert into pace_telling (matter, batch, crop, variety_id, lot_id, place_id, log_pace, deviation)
            values (#{matter}, #{told.batch}, #{told.descent.crop.written}, #{told.descent.variety}, #{told.descent.lot},
                    #{told.place.number}, #{told.log}, #{told.deviation})
            on conflict (matter, batch) do update
            set crop = excluded.crop, variety_id = excluded.variety_id, lot_id = excluded.lot_id,
                place_id = excluded.place_id, log_pace = excluded.log_pace, deviation = excluded.deviation
            """)
    void put(@Param("matter") Matter matter, @Param("told") PaceTelling telling);

    @Delete("delete from pace_telling where matter = #{matter} and batch = #{batch}")
    int remove(@Param("matter") Matter matter, @Param("batch") int batch);

    @Delete("delete from pace_telling where matter = #{matter} and crop = #{crop}")
    int removeOf(@Param("matter") Matter matter, @Param("crop") CropCode crop);
}
