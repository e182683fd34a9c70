package kiver.server.account;

import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import kiver.server.limit.Limits;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** More people who can sign in. */
@RestController
class PeopleController {

    private final AccountMapper accounts;
    private final PasswordEncoder encoder;

    PeopleController(AccountMapper accounts, PasswordEncoder encoder) {
        this.accounts = accounts;
        this.encoder = encoder;
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

    /** Somebody who can sign in. */
    record PersonView(long id, String name, String email, Role role) {}

    @GetMapping("/api/people")
    List<PersonView> people() {
        return accounts.all().stream()
                .map(each -> new PersonView(each.id(), each.name(), each.email(), each.role()))
                .toList();
    }

    @PostMapping("/api/people")
    void add(@Valid @RequestBody PersonEntry entry) {
        boolean grower = entry.role() == Role.GROWER;
        if (grower && entry.growerId() == null) {
            throw new Refusal("growerId", Said.of("Choose the grower they belong to."));
        }
        Passwords.requireUnguessable(
                entry.password(), entry.email().strip(), entry.name().strip());
        try {
            int added = accounts.insert(
                    entry.email().strip(),
                    entry.name().strip(),
                    encoder.encode(entry.password()),
                    entry.role(),
                    grower ? entry.growerId() : null);
            if (added == 0) {
                throw new Refusal("email", Said.of("Somebody signs in with this address already."));
            }
        } catch (DataIntegrityViolationException unknownGrower) {
            throw new Refusal("growerId", Said.of("This grower does not exist."));
        }
    }
}
