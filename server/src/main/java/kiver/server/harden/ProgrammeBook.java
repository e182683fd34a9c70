package kiver.server.harden;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import kiver.core.harden.HardeningProgramme;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;

/** The programmes of hardening there are: the schools, then those that the nursery wrote down. */
@Component
public class ProgrammeBook {

    private final ProgrammeMapper mapper;

    ProgrammeBook(ProgrammeMapper mapper) {
        this.mapper = mapper;
    }

    /** All that can be chosen. */
    public List<HardeningProgramme> all() {
        List<HardeningProgramme> all = new ArrayList<>(HardeningProgramme.SCHOOLS);
        all.addAll(mapper.own());
        return List.copyOf(all);
    }

    /** The one of that code, if it can be chosen. */
    public Optional<HardeningProgramme> programme(String code) {
        return all().stream().filter(each -> each.code().equals(code)).findFirst();
    }

    /** A code for one more. */
    String nextCode() {
        return "OWN-" + mapper.nextNumber();
    }

    /** Adds one, or changes the one of its code; what was planned by it stays as it was. */
    void put(HardeningProgramme programme) {
        mapper.put(programme.code(), programme.name(), programme);
    }

    /** Takes one from what can be chosen; false where it is none of the nursery's own. */
    boolean retire(String code) {
        return mapper.retire(code) == 1;
    }
}

/** The table of the nursery's programmes. */
@Mapper
interface ProgrammeMapper {

    @Select("""
            select jsonb_build_object('code', code, 'name', name, 'exposures', exposures) as programme
            from hardening_programme where not retired order by lower(name)
            """)
    List<HardeningProgramme> own();

    @Select("select nextval('hardening_programme_number')")
    long nextNumber();

    @Insert("""
            insert into hardening_programme (code, name, exposures)
            values (#{code}, #{name}, #{whole}::jsonb -> 'exposures')
            on conflict (code) do update set name = excluded.name, exposures = excluded.exposures
            """)
    void put(@Param("code") String code, @Param("name") String name, @Param("whole") HardeningProgramme whole);

    @Update("update hardening_programme set retired = true where code = #{code} and not retired")
    int retire(String code);
}
