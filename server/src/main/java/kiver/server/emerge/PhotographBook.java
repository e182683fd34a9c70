package kiver.server.emerge;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Photographs of trays that are kept. */
@Mapper
interface PhotographBook {

    /** A photograph, without its picture. */
    record Kept(long id, LocalDate takenOn, @Nullable String by) {}

    /** The bytes of one; a record, since a bare array would be read as many rows. */
    record Picture(byte[] picture) {}

    @Insert("""
            insert into photograph (request_id, tray_number, taken_on, taken_by, picture)
            values (#{request}, #{tray}, #{day}, #{by}, #{picture})
            on conflict (request_id) do nothing
            """)
    void keep(
            @Param("request") UUID request,
            @Param("tray") int tray,
            @Param("day") LocalDate day,
            @Param("by") long by,
            @Param("picture") byte[] picture);

    @Select("""
            select photograph.id, photograph.taken_on, account.name as by
            from photograph left join account on account.id = photograph.taken_by
            where photograph.tray_number = #{tray} order by photograph.id desc
            """)
    List<Kept> of(@Param("tray") int tray);

    @Select("select picture from photograph where tray_number = #{tray} and id = #{id}")
    List<Picture> picture(@Param("tray") int tray, @Param("id") long id);

    @Delete("delete from photograph where tray_number = #{tray} and id = #{id}")
    int forget(@Param("tray") int tray, @Param("id") long id);
}
