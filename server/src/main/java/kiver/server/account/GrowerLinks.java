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

    /** Without letters and figures that are taken for one another: 16 of these are 78 bits. */
    private static final String LETTERS = "ABCDEFGHJKLMNPQRTUVWXYZ2346789";

    private static final int LENGTH = 16;
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
        StringBuilder code = new StringBuilder();
        for (int index = 0; index < LENGTH; index++) {
            code.append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        accounts.insert(address(grower), name, unguessable(), Role.GROWER, grower);
        LocalDate until = clock.today().plusDays(DAYS);
        accounts.setLink(address(grower), unguessable(), code.toString(), until);
        accounts.endCalendars(address(grower));
        return new Link(written(code.toString()), until);
    }

    /** Ends the link of a grower, and what was opened by it. */
    @Transactional
    public void withdraw(long grower) {
        accounts.setLink(address(grower), unguessable(), null, clock.today().minusDays(1));
        accounts.endCalendars(address(grower));
    }

    /** Whom a code lets in. */
    Optional<Account> account(String typed) {
        String code = typed.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
        return accounts.byLink(code).filter(account -> open(account).isPresent());
    }

    private Optional<Link> open(Account account) {
        return Optional.ofNullable(account.linkCode())
                .filter(code -> account.endsOn() != null && !account.endsOn().isBefore(clock.today()))
                .map(code -> new Link(written(code), account.endsOn()));
    }

    /** The last address part is kept free of real ones (RFC 2606). */
    private static String address(long grower) {
        return "link-" + grower + "@kiver.invalid";
    }

    private String unguessable() {
        byte[] bytes = new byte[32];
        RANDOM.nextBytes(bytes);
        return encoder.encode(java.util.HexFormat.of().formatHex(bytes));
    }

    private static String written(String code) {
        return code.replaceAll("(.{4})(?=.)", "$1-");
    }
}
