package kiver.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Codes by which somebody chooses a new password, once, within two days; handed over on paper or read out. */
@Component
public class PasswordResets {

    private static final Duration GOOD_FOR = Duration.ofDays(2);

    private final ResetMapper mapper;
    private final AccountMapper accounts;
    private final Clock calendar;

    PasswordResets(ResetMapper mapper, AccountMapper accounts, Clock calendar) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.calendar = calendar;
    }

    /**
     * A code for somebody.
     *
     * @param code in groups of four; it is kept nowhere and shown once
     * @param until when it can be used
     */
    record Reset(String code, Instant until) {}

    /** Makes one; one from before is worth nothing then. */
    Reset make(long account) {
        String code = WrittenCode.fresh();
        Instant until = calendar.instant().plus(GOOD_FOR);
        mapper.put(account, WrittenCode.digest(code), until.atOffset(ZoneOffset.UTC));
        return new Reset(WrittenCode.grouped(code), until);
    }

    /** Whose a code is, if it can be used still. */
    Optional<Account> whose(String typed) {
        return mapper.whose(digest(typed), now()).flatMap(accounts::byId);
    }

    /** Uses a code up for a new password; false when somebody was quicker. */
    @Transactional
    public boolean use(String typed, long account, String passwordHash) {
        return mapper.use(digest(typed), account, now()) == 1 && accounts.setPassword(account, passwordHash) == 1;
    }

    private static String digest(String typed) {
        return WrittenCode.digest(WrittenCode.typed(typed));
    }

    private OffsetDateTime now() {
        return calendar.instant().atOffset(ZoneOffset.UTC);
    }

    /** A code that was given out is worth nothing any more. */
    void withdraw(long account) {
        mapper.withdraw(account);
    }

    /** The table of codes. */
    @Mapper
    interface ResetMapper {

        @Insert("""
                insert into account_reset (account_id, code_digest, until) values (#{account}, #{digest}, #{until})
                on conflict (account_id) do update set code_digest = excluded.code_digest, until = excluded.until
                """)
        int put(@Param("account") long account, @Param("digest") String digest, @Param("until") OffsetDateTime until);

        @Select("select account_id from account_reset where code_digest = #{digest} and until > #{now}")
        Optional<Long> whose(@Param("digest") String digest, @Param("now") OffsetDateTime now);

        @Delete("""
                delete from account_reset
                where code_digest = #{digest} and account_id = #{account} and until > #{now}
                """)
        int use(@Param("digest") String digest, @Param("account") long account, @Param("now") OffsetDateTime now);

        @Delete("delete from account_reset where account_id = #{account}")
        int withdraw(@Param("account") long account);
    }
}
