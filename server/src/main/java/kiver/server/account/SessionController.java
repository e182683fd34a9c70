package kiver.server.account;

import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.clock.TimeZones;
import kiver.server.limit.Limits;
import kiver.server.problem.Refusal;
import kiver.server.problem.TooSoon;
import kiver.server.wording.Said;
import kiver.server.wording.Speech;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and the first account. */
@RestController
class SessionController {

    private final AuthenticationManager authentication;
    private final SigningIn signingIn;
    private final AccountMapper accounts;
    private final PasswordEncoder encoder;
    private final NurseryClock clock;
    private final SignInAttempts attempts;
    private final GrowerLinks links;
    private final PasswordResets resets;
    private final @Nullable Integer playedYear;

    SessionController(
            AuthenticationManager authentication,
            SigningIn signingIn,
            AccountMapper accounts,
            PasswordEncoder encoder,
            NurseryClock clock,
            SignInAttempts attempts,
            GrowerLinks links,
            PasswordResets resets,
            @Value("${kiver.play.year:#{null}}") @Nullable Integer playedYear) {
        this.authentication = authentication;
        this.signingIn = signingIn;
        this.playedYear = playedYear;
        this.accounts = accounts;
        this.encoder = encoder;
        this.clock = clock;
        this.attempts = attempts;
        this.links = links;
        this.resets = resets;
    }

    /**
     * Who is signed in, and what the first page needs to know.
     *
     * @param playedYear whose weather is played through in this copy of a nursery; missing in the nursery itself
     */
    record SessionView(
            boolean signedIn,
            @Nullable Long person,
            @Nullable String name,
            @Nullable Role role,
            boolean needsFirstAccount,
            @Nullable String nursery,
            LocalDate today,
            boolean demo,
            @Nullable Integer playedYear,
            @Nullable Speech speech) {}

    /** What is typed to sign in. */
    record SignIn(
            @NotBlank(message = "Enter your e-mail address.") @Size(max = 300, message = "Use at most 300 letters.")
            String email,

            @NotBlank(message = "Enter your password.") @Size(max = 200, message = "Use at most 200 letters.")
            String password) {}

    /** What is typed on the first-run page. */
    record FirstAccount(
            @NotBlank(message = "Enter the nursery's name.") @Size(max = 80, message = "Use at most 80 letters.")
            String nursery,

            @NotBlank(message = "Enter your name.") @Size(max = 80, message = "Use at most 80 letters.")
            String name,

            @NotBlank(message = "Enter your e-mail address.")
            @Email(message = "This is not an e-mail address.")
            @Size(max = Limits.MOST_LETTERS_OF_AN_ADDRESS, message = "Use at most 100 letters.")
            String email,

            @NotNull(message = "Say how far north or south it lies.")
            @DecimalMin(value = "-90", message = "Enter −90 to 90 degrees, south negative.")
            @DecimalMax(value = "90", message = "Enter −90 to 90 degrees, south negative.")
            Double latitude,

            @NotNull(message = "Say how high it lies.")
            @Min(value = -400, message = "Enter −400 to 5,000 m.")
            @Max(value = 5_000, message = "Enter −400 to 5,000 m.")
            Integer altitude,

            @Nullable String timeZone,

            @NotBlank(message = "Choose a password.") @Size(min = 10, max = 200, message = "Use 10 letters or more.")
            String password,

            @Nullable @Valid SpeechEntry speech) {}

    @OpenTo(Callers.ANYBODY)
    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal Person person) {
        Nursery nursery = clock.nursery().orElse(null);
        // As the account stands now: somebody may have been renamed since they signed in.
        Optional<Account> account = person == null ? Optional.empty() : accounts.byId(person.id());
        return new SessionView(
                person != null,
                person == null ? null : person.id(),
                person == null ? null : account.map(Account::name).orElse(person.name()),
                person == null ? null : person.role(),
                !accounts.any(),
                nursery == null ? null : nursery.name(),
                clock.today(),
                nursery != null && nursery.demo(),
                playedYear,
                account.map(Account::speech).orElse(null));
    }

    @OpenTo(Callers.ANYBODY)
    @PostMapping("/api/session")
    SessionView signIn(@Valid @RequestBody SignIn typed, HttpServletRequest request, HttpServletResponse response) {
        String email = typed.email().strip();
        requireNotTooSoon(email, request);
        Authentication checked;
        try {
            checked = authentication.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(email, typed.password()));
        } catch (InternalAuthenticationServiceException away) {
            if (away.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw away;
        } catch (AuthenticationException wrong) {
            attempts.failed(email, request.getRemoteAddr());
            throw new Refusal(
                    "password", Said.of("E-mail address and password do not fit together. Check both and try again."));
        }
        attempts.succeeded(email, request.getRemoteAddr());
        Person person = keptAsIsCurrent((Person) checked.getPrincipal(), typed.password())
                .withoutPassword();
        // A new session number, so that one planted before signing in is worth nothing.
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        signingIn.keep(person, request, response);
        return session(person);
    }

    /** The code of a grower's link. */
    record LinkCode(
            @NotBlank(message = "Enter the code.") @Size(max = 60, message = "A code has 16 letters and figures.")
            String code) {}

    /** Opens a grower's page by the code of a link. */
    @OpenTo(Callers.ANYBODY)
    @PostMapping("/api/session/link")
    SessionView byLink(@Valid @RequestBody LinkCode typed, HttpServletRequest request, HttpServletResponse response) {
        String key = "link from " + request.getRemoteAddr();
        requireNotTooSoon(key, request);
        Account account = links.account(typed.code()).orElseThrow(() -> {
            attempts.failed(key, request.getRemoteAddr());
            return new Refusal(
                    "code",
                    Said.of("This code opens nothing, or no longer. Check it, or ask your propagator for a new one."));
        });
        attempts.succeeded(key, request.getRemoteAddr());
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        Person person = Person.of(account).withoutPassword();
        signingIn.keep(person, request, response);
        return session(person);
    }

    /** A code that was given out for a new password, and that password. */
    record ResetEntry(
            @NotBlank(message = "Enter the code.") @Size(max = 60, message = "A code has 16 letters and figures.")
            String code,

            @NotBlank(message = "Choose a password.") @Size(min = 10, max = 200, message = "Use 10 letters or more.")
            String password) {}

    /** Chooses a new password by a code, and signs in; wherever else one was signed in, that ends. */
    @OpenTo(Callers.ANYBODY)
    @PostMapping("/api/session/reset")
    SessionView byReset(
            @Valid @RequestBody ResetEntry typed, HttpServletRequest request, HttpServletResponse response) {
        String key = "reset from " + request.getRemoteAddr();
        requireNotTooSoon(key, request);
        Account account = resets.whose(typed.code())
                .filter(each -> !each.hasEnded(clock.today()))
                .orElseThrow(() -> {
                    attempts.failed(key, request.getRemoteAddr());
                    return usedUp();
                });
        Passwords.requireUnguessable(typed.password(), account.email(), account.name());
        if (!resets.use(typed.code(), account.id(), encoder.encode(typed.password()))) {
            throw usedUp();
        }
        attempts.succeeded(key, request.getRemoteAddr());
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        Person person = Person.of(accounts.byId(account.id()).orElseThrow()).withoutPassword();
        signingIn.keep(person, request, response);
        return session(person);
    }

    private static Refusal usedUp() {
        return new Refusal(
                "code",
                Said.of(
                        "This code opens nothing, or no longer; each is good once, for two days. Ask your propagator for a new one."));
    }

    private void requireNotTooSoon(String email, HttpServletRequest request) {
        Duration wait = attempts.toWait(email, request.getRemoteAddr());
        if (!wait.isZero()) {
            throw new TooSoon(
                    Said.of("Too many attempts with this address. Wait {seconds} seconds, then try again.")
                            .with("seconds", wait.toSeconds() + 1),
                    wait);
        }
    }

    /** A password kept in an older way is kept in the present one from now on. */
    private Person keptAsIsCurrent(Person person, String password) {
        if (!encoder.upgradeEncoding(person.passwordHash())) {
            return person;
        }
        String hash = encoder.encode(password);
        accounts.setPassword(person.id(), hash);
        return new Person(person.id(), person.email(), person.name(), hash, person.role(), person.growerId());
    }

    /** A new password for the person signed in. */
    record PasswordChange(
            @NotBlank(message = "Enter your present password.") @Size(max = 200, message = "Use at most 200 letters.")
            String present,

            @NotBlank(message = "Choose a password.") @Size(min = 10, max = 200, message = "Use 10 letters or more.")
            String password) {}

    /** Changes one's own password; other sessions of the same account end. */
    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PostMapping("/api/session/password")
    void changePassword(
            @Valid @RequestBody PasswordChange typed,
            @AuthenticationPrincipal Person person,
            HttpServletRequest request,
            HttpServletResponse response) {
        Account account = accounts.byId(person.id()).orElseThrow();
        requireNotTooSoon(account.email(), request);
        if (!encoder.matches(typed.present(), account.passwordHash())) {
            attempts.failed(account.email(), request.getRemoteAddr());
            throw new Refusal("present", Said.of("This is not your present password."));
        }
        attempts.succeeded(account.email(), request.getRemoteAddr());
        Passwords.requireUnguessable(typed.password(), account.email(), account.name());
        accounts.setPassword(person.id(), encoder.encode(typed.password()));
        signingIn.keep(Person.of(accounts.byId(person.id()).orElseThrow()).withoutPassword(), request, response);
    }

    /** How one wants to be spoken to: language and units. */
    record SpeechEntry(
            @NotNull(message = "Choose a language.") Speech.Language language,

            @NotNull(message = "Choose a unit of temperature.")
            Speech.TemperatureUnit temperature,

            @NotNull(message = "Choose a unit of length.") Speech.LengthUnit length,
            @NotNull(message = "Choose a unit of volume.") Speech.VolumeUnit volume,
            @NotNull(message = "Choose a unit of mass.") Speech.MassUnit mass) {

        Speech speech() {
            return new Speech(language, temperature, length, volume, mass);
        }
    }

    /** Changes how one is spoken to, on whatever device. */
    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @PutMapping("/api/session/speech")
    void speak(@Valid @RequestBody SpeechEntry typed, @AuthenticationPrincipal Person person) {
        accounts.setSpeech(person.id(), typed.speech());
    }

    @OpenTo(Callers.ANYBODY)
    @DeleteMapping("/api/session")
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    /** Founds the nursery; whoever does is signed in. */
    @OpenTo(Callers.ANYBODY)
    @PostMapping("/api/setup")
    @Transactional
    public void setUp(
            @Valid @RequestBody FirstAccount typed, HttpServletRequest request, HttpServletResponse response) {
        accounts.lockSetup();
        if (accounts.any()) {
            throw new Refusal("email", Said.of("This nursery has its first account already. Sign in instead."));
        }
        Passwords.requireUnguessable(
                typed.password(), typed.email().strip(), typed.name().strip());
        ZoneId zone = typed.timeZone() == null ? clock.zone() : TimeZones.named(typed.timeZone());
        clock.open(new Nursery(
                typed.nursery().strip(), typed.latitude(), typed.altitude(), false, null, "", zone.getId()));
        accounts.insert(
                typed.email().strip(), typed.name().strip(), encoder.encode(typed.password()), Role.PROPAGATOR, null);
        Account account = accounts.byEmail(typed.email().strip()).orElseThrow();
        if (typed.speech() != null) {
            accounts.setSpeech(account.id(), typed.speech().speech());
        }
        signingIn.keep(Person.of(account).withoutPassword(), request, response);
    }
}
