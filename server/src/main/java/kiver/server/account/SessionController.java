package kiver.server.account;

import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Email;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and the first account. */
@RestController
class SessionController {

    private static final double LATITUDE_UNTIL_SET = 46;

    private static final int ALTITUDE_UNTIL_SET = 600;

    private final AuthenticationManager authentication;
    private final SecurityContextRepository contexts;
    private final AccountMapper accounts;
    private final PasswordEncoder encoder;
    private final NurseryClock clock;

    SessionController(
            AuthenticationManager authentication,
            SecurityContextRepository contexts,
            AccountMapper accounts,
            PasswordEncoder encoder,
            NurseryClock clock) {
        this.authentication = authentication;
        this.contexts = contexts;
        this.accounts = accounts;
        this.encoder = encoder;
        this.clock = clock;
    }

    /** Who is signed in, and what the first page needs to know. */
    record SessionView(
            boolean signedIn, @Nullable String name, @Nullable Role role, boolean needsFirstAccount, @Nullable String nursery, LocalDate today,
            boolean demo) {}

    /** What is typed to sign in. */
    record SignIn(@NotBlank(message = "Enter your e-mail address.") String email,
            @NotBlank(message = "Enter your password.") String password) {}

    /** What is typed on the first-run page. */
    record FirstAccount(
            @NotBlank(message = "Enter the nursery's name.") @Size(max = 80, message = "Use at most 80 letters.") String nursery,
            @NotBlank(message = "Enter your name.") @Size(max = 80, message = "Use at most 80 letters.") String name,
            @NotBlank(message = "Enter your e-mail address.") @Email(message = "This is not an e-mail address.") String email,
            @NotBlank(message = "Choose a password.") @Size(min = 10, max = 200, message = "Use 10 letters or more.") String password) {}

    @GetMapping("/api/session")
    SessionView session(@AuthenticationPrincipal Person person) {
        Nursery nursery = clock.nursery().orElse(null);
        return new SessionView(
                person != null,
                person == null ? null : person.name(),
                person == null ? null : person.role(),
                !accounts.any(),
                nursery == null ? null : nursery.name(),
                clock.today(),
                nursery != null && nursery.demo());
    }

    @PostMapping("/api/session")
    SessionView signIn(@Valid @RequestBody SignIn typed, HttpServletRequest request, HttpServletResponse response) {
        Authentication checked;
        try {
            checked = authentication.authenticate(
                    UsernamePasswordAuthenticationToken.unauthenticated(typed.email().strip(), typed.password()));
        } catch (AuthenticationException wrong) {
            throw new Refusal("password", "E-mail address and password do not fit together. Check both and try again.");
        }
        Person person = ((Person) checked.getPrincipal()).withoutPassword();
        // A new session number, so that one planted before signing in is worth nothing.
        if (request.getSession(false) != null) {
            request.changeSessionId();
        }
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        return session(person);
    }

    @DeleteMapping("/api/session")
    void signOut(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @PostMapping("/api/setup")
    @Transactional
    public void setUp(@Valid @RequestBody FirstAccount typed) {
        accounts.lockSetup();
        if (accounts.any()) {
            throw new Refusal("email", "This nursery has its first account already. Sign in instead.");
        }
        clock.open(new Nursery(typed.nursery().strip(), LATITUDE_UNTIL_SET, ALTITUDE_UNTIL_SET, false, null));
        accounts.insert(
                typed.email().strip(), typed.name().strip(), encoder.encode(typed.password()), Role.PROPAGATOR, null);
    }
}
