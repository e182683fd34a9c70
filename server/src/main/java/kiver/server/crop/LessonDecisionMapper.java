package kiver.server.crop;

import java.time.LocalDate;
import java.util.List;
import kiver.core.crop.LessonAbout;
import kiver.core.crop.LessonDecision;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The table of decisions about lessons. */
@Mapper
interface LessonDecisionMapper {

    @Select("""
            select decision.id, matter, crop, beside, about_id, taken, value, weight, batches, was, decided_on,
                   account.name as by, undone_on
            from lesson_decision decision join account on account.id = decided_by order by decision.id
            """)
    List<DecidedLesson> all();

    @Select("""
            insert into lesson_decision (matter, crop, beside, about_id, taken, value, weight, batches, was, decided_on, decided_by)
            values (#{about.matter}, #{about.crop.written}, #{about.beside}, #{about.number}, #{decision.taken},
                    #{decision.value}, #{decision.weight}, #{batches}, #{was}, #{today}, #{person})
            returning id
            """)
    long insert(
            @Param("about") LessonAbout about,
            @Param("decision") LessonDecision decision,
            @Param("batches") int batches,
            @Param("was") double was,
            @Param("today") LocalDate today,
            @Param("person") long person);

    @Update("""
            update lesson_decision set undone_on = #{today}, undone_by = #{person}
            where id = #{id} and undone_on is null
            """)
    int undo(@Param("id") long id, @Param("today") LocalDate today, @Param("person") long person);
}
