package kiver.server.account;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import kiver.server.wording.Speech;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The account table. */
@Mapper
public interface AccountMapper {

    String COLUMNS =
            "id, email, name, password_hash, role, grower_id, language, temperature, length, volume, mass, link_code, ends_on";

    @Select("select " + COLUMNS + " from account where email = lower(#{email})")
    Optional<Account> byEmail(@Param("email") String email);

    @Select("select " + COLUMNS + " from account where id = #{id}")
    Optional<Account> byId(@Param("id") long id);

    /** The people; what stands behind growers' links is nobody. */
    @Select("select " + COLUMNS + " from account where email not like 'link-%@kiver.invalid' order by name, id")
    List<Account> all();

    @Update("""
            update account set email = lower(#{email}), name = #{name}, role = #{role}, grower_id = #{growerId}
            where id = #{id}
            """)
    int change(
            @Param("id") long id,
            @Param("email") String email,
            @Param("name") String name,
            @Param("role") Role role,
            @Param("growerId") @Nullable Long growerId);

    @Update("update account set ends_on = #{last} where id = #{id}")
    int end(@Param("id") long id, @Param("last") @Nullable LocalDate last);

    @Update("update account set password_hash = #{passwordHash} where id = #{id}")
    int setPassword(@Param("id") long id, @Param("passwordHash") String passwordHash);

    @Update("""
            update account set language = #{speech.language}, temperature = #{speech.temperature}, length = #{speech.length},
                   volume = #{speech.volume}, mass = #{speech.mass}
            where id = #{id}
            """)
    int setSpeech(@Param("id") long id, @Param("speech") Speech speech);

    @Select("select " + COLUMNS + " from account where link_code = #{code}")
    Optional<Account> byLink(@Param("code") String code);

    /** The people of a grower, to whom is written. */
    @Select("select " + COLUMNS + " from account where grower_id = #{grower} and ends_on is null order by id")
    List<Account> peopleOf(@Param("grower") long grower);

    @Update("""
            update account set password_hash = #{passwordHash}, link_code = #{code}, ends_on = #{until} where email = #{email}
            """)
    int setLink(
            @Param("email") String email,
            @Param("passwordHash") String passwordHash,
            @Param("code") @Nullable String code,
            @Param("until") LocalDate until);

    /** What was opened by a link besides its pages ends with it. */
    @Delete("delete from calendar_feed where account_id = (select id from account where email = #{email})")
    int endCalendars(@Param("email") String email);

    @Select("select exists (select from account)")
    boolean any();

    /** Keeps two first accounts from being made at once. */
    @Select("select true from (select pg_advisory_xact_lock(4711)) as held")
    boolean lockSetup();

    @Insert("""
            insert into account (email, name, password_hash, role, grower_id)
            values (lower(#{email}), #{name}, #{passwordHash}, #{role}, #{growerId})
            on conflict (email) do nothing
            """)
    int insert(
            @Param("email") String email,
            @Param("name") String name,
            @Param("passwordHash") String passwordHash,
            @Param("role") Role role,
            @Param("growerId") Long growerId);
}
