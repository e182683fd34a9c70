package kiver.server.account;

import java.security.SecureRandom;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Optional;
import kiver.server.clock.NurseryClock;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Links by which growers open their page without an account: one for each grower, known by a code, until a day. A new one
 * ends the one before, and all that was opened by it.
 */
@Component
public class GrowerLinks {

    private static final int DAYS = 60;
    private static final String NOBODY = "@kiver.invalid";

    private static final SecureRandom RANDOM = new SecureRandom();

    private final AccountMapper accounts;
    private final PasswordEncoder encoder;
    private final NurseryClock clock;

    GrowerLinks(AccountMapper accounts, PasswordEncoder encoder, NurseryClock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.clock = clock;
    }

    /**
     * A link.
     *
     * @param code as it is written, in groups of four
     * @param until last day on which it opens anything
     */
    public record Link(String code, LocalDate until) {}

    /** The link of a grower, if there is one that has not ended. */
    public Optional<Link> of(long grower) {
        return accounts.byEmail(address(grower)).flatMap(this::open);
    }

    /** Makes a new one in the place of the one there is. */
    @Transactional
    public Link renew(long grower, String name) {
        String code = WrittenCode.fresh();
        accounts.insert(address(grower), name, unguessable(), Role.GROWER, grower);
        LocalDate until = clock.today().plusDays(DAYS);
        accounts.setLink(address(grower), unguessable(), code, until);
        accounts.endCalendars(address(grower));
        return new Link(WrittenCode.grouped(code), until);
    }

    /** Ends the link of a grower, and what was opened by it. */
    @Transactional
    public void withdraw(long grower) {
        accounts.setLink(address(grower), unguessable(), null, clock.today().minusDays(1));
        accounts.endCalendars(address(grower));
    }

    /** Whom a code lets in. */
    Optional<Account> account(String typed) {
        return accounts.byLink(WrittenCode.typed(typed))
                .filter(account -> open(account).isPresent());
    }

    private Optional<Link> open(Account account) {
        return Optional.ofNullable(account.linkCode())
                .filter(code -> account.endsOn() != null && !account.endsOn().isBefore(clock.today()))
                .map(code -> new Link(WrittenCode.grouped(code), account.endsOn()));
    }

    /** The last address part is kept free of real ones (RFC 2606). */
    private static String address(long grower) {
        return "link-" + grower + NOBODY;
    }

    /** Whether an address is kept for links; nobody can be given one. */
    static boolean isForLinks(String email) {
        return email.strip().toLowerCase(Locale.ROOT).endsWith(NOBODY);
    }

    private String unguessable() {
        byte[] bytes = new byte[32];
        RANDOM.nextBytes(bytes);
        return encoder.encode(java.util.HexFormat.of().formatHex(bytes));
    }
}
