package kiver.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;

/**
 * Slows guessing of passwords down: after some failures each further attempt has to wait, twice as long each time. Counted
 * for an account as tried from one address, and more patiently for an account and for an address, so that nobody can lock
 * a nursery out from elsewhere.
 */
@Component
class SignInAttempts {

    private static final int FREE_FROM_ONE_ADDRESS = 5;
    private static final int FREE_IN_ALL = 30;
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(2);

    /** From everywhere together an account waits no longer than this, so that its owner gets in. */
    private static final Duration LONGEST_WAIT_IN_ALL = Duration.ofSeconds(15);

    private static final Duration FORGOTTEN_AFTER = Duration.ofHours(1);
    private static final int MOST_KEPT = 20_000;

    private final Clock calendar;
    private final FailureMapper failures;

    SignInAttempts(Clock calendar, FailureMapper failures) {
        this.calendar = calendar;
        this.failures = failures;
    }

    /** How long must be waited before the next attempt; zero when it may be made at once. */
    Duration toWait(String email, String address) {
        Instant now = calendar.instant();
        return longest(
                wait(both(email, address), FREE_FROM_ONE_ADDRESS, LONGEST_WAIT, now),
                longest(
                        wait(account(email), FREE_IN_ALL, LONGEST_WAIT_IN_ALL, now),
                        wait(from(address), FREE_IN_ALL, LONGEST_WAIT, now)));
    }

    void failed(String email, String address) {
        Instant now = calendar.instant();
        OffsetDateTime at = now.atOffset(ZoneOffset.UTC);
        failures.forget(now.minus(FORGOTTEN_AFTER).atOffset(ZoneOffset.UTC), MOST_KEPT);
        for (String key : new String[] {both(email, address), account(email), from(address)}) {
            failures.add(key, at);
        }
    }

    void succeeded(String email, String address) {
        failures.remove(both(email, address));
        failures.remove(account(email));
    }

    private Duration wait(String key, int free, Duration most, Instant now) {
        FailureRow before = failures.of(key)
                .filter(row -> row.lastAt().toInstant().plus(FORGOTTEN_AFTER).isAfter(now))
                .orElse(null);
        if (before == null || before.count() < free) {
            return Duration.ZERO;
        }
        Duration pause = Duration.ofSeconds(1L << Math.min(10, before.count() - free));
        Instant next = before.lastAt().toInstant().plus(pause.compareTo(most) > 0 ? most : pause);
        return next.isAfter(now) ? Duration.between(now, next) : Duration.ZERO;
    }

    private static Duration longest(Duration one, Duration other) {
        return one.compareTo(other) > 0 ? one : other;
    }

    private static String both(String email, String address) {
        return "both " + email.toLowerCase(Locale.ROOT) + " " + address;
    }

    private static String account(String email) {
        return "account " + email.toLowerCase(Locale.ROOT);
    }

    private static String from(String address) {
        return "address " + address;
    }

    /** Wrong passwords by one key. */
    record FailureRow(int count, OffsetDateTime lastAt) {}

    /** The table of wrong passwords, which all instances count in. */
    @Mapper
    interface FailureMapper {

        @Select("select count, last_at from sign_in_failure where key = #{key}")
        Optional<FailureRow> of(@Param("key") String key);

        @Insert("""
                insert into sign_in_failure (key, count, last_at) values (#{key}, 1, #{at})
                on conflict (key) do update set count = sign_in_failure.count + 1, last_at = excluded.last_at
                """)
        int add(@Param("key") String key, @Param("at") OffsetDateTime at);

        @Delete("delete from sign_in_failure where key = #{key}")
        int remove(@Param("key") String key);

        /** Forgets what is old, and the oldest of too many. */
        @Delete("""
                delete from sign_in_failure where last_at < #{before}
                   or key in (select key from sign_in_failure order by last_at desc offset #{most})
                """)
        int forget(@Param("before") OffsetDateTime before, @Param("most") int most);
    }
}
