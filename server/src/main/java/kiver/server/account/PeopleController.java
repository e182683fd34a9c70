package kiver.server.account;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDateTime;
import java.util.List;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.limit.Limits;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** People who can sign in: added, changed, given a new password, and kept out. What they did stays with their name. */
@RestController
class PeopleController {

    private final AccountMapper accounts;
    private final PasswordEncoder encoder;
    private final PasswordResets resets;
    private final OpenSessions sessions;
    private final NurseryClock clock;

    PeopleController(
            AccountMapper accounts,
            PasswordEncoder encoder,
            PasswordResets resets,
            OpenSessions sessions,
            NurseryClock clock) {
        this.accounts = accounts;
        this.encoder = encoder;
        this.resets = resets;
        this.sessions = sessions;
        this.clock = clock;
    }

    /** A person to be added. */
    record PersonEntry(
            @NotBlank(message = "Enter a name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name,

            @NotBlank(message = "Enter an e-mail address.")
            @Email(message = "This is not an e-mail address.")
            @Size(max = Limits.MOST_LETTERS_OF_AN_ADDRESS, message = "Use at most 100 letters.")
            String email,

            @NotBlank(message = "Choose a first password.")
            @Size(min = 10, max = 200, message = "Use 10 letters or more.")
            String password,

            @NotNull(message = "Choose what they do.") Role role,
            @Nullable Long growerId) {}

    /** What a person is changed to. */
    record PersonChange(
            @NotBlank(message = "Enter a name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name,

            @NotBlank(message = "Enter an e-mail address.")
            @Email(message = "This is not an e-mail address.")
            @Size(max = Limits.MOST_LETTERS_OF_AN_ADDRESS, message = "Use at most 100 letters.")
            String email,

            @NotNull(message = "Choose what they do.") Role role,
            @Nullable Long growerId) {}

    /**
     * Somebody who can sign in, or could.
     *
     * @param growerId the grower they belong to; null unless they are a grower
     * @param keptOut whether they cannot sign in any more
     */
    record PersonView(
            long id,
            String name,
            String email,
            Role role,
            @Nullable Long growerId,
            boolean keptOut) {}

    /** A code for a new password, shown once. */
    record ResetView(String code, LocalDateTime until) {}

    @OpenTo(Callers.PROPAGATOR)
    @GetMapping("/api/people")
    List<PersonView> people() {
        return accounts.all().stream()
                .map(each -> new PersonView(
                        each.id(),
                        each.name(),
                        each.email(),
                        each.role(),
                        each.growerId(),
                        each.hasEnded(clock.today())))
                .toList();
    }

    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/people")
    void add(@Valid @RequestBody PersonEntry entry) {
        requireReal(entry.email());
        Passwords.requireUnguessable(
                entry.password(), entry.email().strip(), entry.name().strip());
        try {
            int added = accounts.insert(
                    entry.email().strip(),
                    entry.name().strip(),
                    encoder.encode(entry.password()),
                    entry.role(),
                    growerOf(entry.role(), entry.growerId()));
            if (added == 0) {
                throw addressTaken();
            }
        } catch (DataIntegrityViolationException unknownGrower) {
            throw unknownGrower();
        }
    }

    /** Changes somebody; with another address or role they sign in anew. */
    @OpenTo(Callers.PROPAGATOR)
    @PutMapping("/api/people/{id}")
    @Transactional
    public void change(@PathVariable long id, @Valid @RequestBody PersonChange entry) {
        requireReal(entry.email());
        accounts.lockSetup();
        Account before = person(id);
        if (before.role() == Role.PROPAGATOR && entry.role() != Role.PROPAGATOR) {
            requireAnother(before, "role");
        }
        Long grower = growerOf(entry.role(), entry.growerId());
        try {
            accounts.change(id, entry.email().strip(), entry.name().strip(), entry.role(), grower);
        } catch (DuplicateKeyException taken) {
            throw addressTaken();
        } catch (DataIntegrityViolationException unknown) {
            throw unknownGrower();
        }
        if (!before.email().equalsIgnoreCase(entry.email().strip())) {
            sessions.endAll(before.email());
        }
    }

    /** Keeps somebody out from now on; wherever they are signed in, that ends with their next call. */
    @OpenTo(Callers.PROPAGATOR)
    @DeleteMapping("/api/people/{id}/access")
    @Transactional
    public void keepOut(@PathVariable long id, @AuthenticationPrincipal Person by) {
        accounts.lockSetup();
        Account account = person(id);
        if (id == by.id()) {
            throw new Refusal("", Said.of("This is you. Another propagator can keep you out."));
        }
        if (account.role() == Role.PROPAGATOR) {
            requireAnother(account, "");
        }
        accounts.end(id, clock.today().minusDays(1));
        accounts.endCalendars(account.email());
        resets.withdraw(id);
        sessions.endAll(account.email());
    }

    /** Lets somebody in again. */
    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/people/{id}/access")
    @Transactional
    public void letIn(@PathVariable long id) {
        person(id);
        accounts.end(id, null);
    }

    /** A code by which somebody chooses a new password themselves; the old one holds until they do. */
    @OpenTo(Callers.PROPAGATOR)
    @PostMapping("/api/people/{id}/resets")
    @Transactional
    public ResetView reset(@PathVariable long id) {
        if (person(id).hasEnded(clock.today())) {
            throw new Refusal("", Said.of("They are kept out. Let them in first."));
        }
        PasswordResets.Reset reset = resets.make(id);
        return new ResetView(reset.code(), LocalDateTime.ofInstant(reset.until(), clock.zone()));
    }

    private Account person(long id) {
        return accounts.all().stream()
                .filter(account -> account.id() == id)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("There is no such person.")));
    }

    private void requireAnother(Account one, String field) {
        boolean another = accounts.all().stream()
                .anyMatch(account -> account.role() == Role.PROPAGATOR
                        && account.id() != one.id()
                        && !account.hasEnded(clock.today()));
        if (!another) {
            throw new Refusal(
                    field,
                    Said.of(
                                    "{name} is the only propagator; without one nobody could change anything. Add another first.")
                            .with("name", one.name()));
        }
    }

    private static Long growerOf(Role role, Long grower) {
        if (role == Role.GROWER && grower == null) {
            throw new Refusal("growerId", Said.of("Choose the grower they belong to."));
        }
        return role == Role.GROWER ? grower : null;
    }

    private static void requireReal(String email) {
        if (GrowerLinks.isForLinks(email)) {
            throw new Refusal("email", Said.of("This is not an e-mail address."));
        }
    }

    private static Refusal addressTaken() {
        return new Refusal("email", Said.of("Somebody signs in with this address already."));
    }

    private static Refusal unknownGrower() {
        return new Refusal("growerId", Said.of("This grower does not exist."));
    }
}
