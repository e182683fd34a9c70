package kiver.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
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
    private final Map<String, Failures> failures = new LinkedHashMap<>(64, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Failures> eldest) {
            return size() > MOST_KEPT;
        }
    };

    private record Failures(int count, Instant last) {}

    SignInAttempts(Clock calendar) {
        this.calendar = calendar;
    }

    /** How long must be waited before the next attempt; zero when it may be made at once. */
    synchronized Duration toWait(String email, String address) {
        Instant now = calendar.instant();
        return longest(
                wait(both(email, address), FREE_FROM_ONE_ADDRESS, LONGEST_WAIT, now),
                longest(wait(account(email), FREE_IN_ALL, LONGEST_WAIT_IN_ALL, now),
                        wait(from(address), FREE_IN_ALL, LONGEST_WAIT, now)));
    }

    synchronized void failed(String email, String address) {
        Instant now = calendar.instant();
        for (String key : new String[] {both(email, address), account(email), from(address)}) {
            Failures before = failures.get(key);
            boolean forgotten = before == null || before.last().plus(FORGOTTEN_AFTER).isBefore(now);
            failures.put(key, new Failures(forgotten ? 1 : before.count() + 1, now));
        }
    }

    synchronized void succeeded(String email, String address) {
        failures.remove(both(email, address));
        failures.remove(account(email));
    }

    private Duration wait(String key, int free, Duration most, Instant now) {
        Failures before = failures.get(key);
        if (before == null || before.count() < free) {
            return Duration.ZERO;
        }
        Duration pause = Duration.ofSeconds(1L << Math.min(10, before.count() - free));
        Instant next = before.last().plus(pause.compareTo(most) > 0 ? most : pause);
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
}
