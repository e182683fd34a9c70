package kiver.server.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import kiver.server.clock.NurseryClock;
import kiver.server.wording.Said;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.Wording;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Holds each session against its account at every call: one whose account is gone, or whose role or password was changed,
 * ends there. A change sent in the name of somebody else who was signed in before is turned away.
 */
class AccountStillStands extends OncePerRequestFilter {

    /** Who made what is sent; a phone may have kept it while somebody else was signed in. */
    static final String MADE_BY = "X-Kiver-Made-By";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final AccountMapper accounts;
    private final NurseryClock clock;
    private final Wording wording;

    AccountStillStands(AccountMapper accounts, NurseryClock clock, Wording wording) {
        this.accounts = accounts;
        this.clock = clock;
        this.wording = wording;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication signedIn = SecurityContextHolder.getContext().getAuthentication();
        if (signedIn != null && signedIn.getPrincipal() instanceof Person person) {
            Optional<Account> account = accounts.byId(person.id());
            if (account.isEmpty()
                    || !person.isOf(account.get())
                    || account.get().hasEnded(clock.today())) {
                HttpSession session = request.getSession(false);
                if (session != null) {
                    session.invalidate();
                }
                SecurityContextHolder.clearContext();
            } else {
                SpokenTo.is(request, account.get().speech());
            }
            if (account.isPresent() && madeBySomebodyElse(request, person)) {
                response.setStatus(HttpStatus.CONFLICT.value());
                response.setContentType("application/problem+json;charset=UTF-8");
                response.getWriter()
                        .write(JSON.writeValueAsString(Map.of(
                                "status",
                                HttpStatus.CONFLICT.value(),
                                "detail",
                                wording.say(Said.of(
                                        "This was recorded by somebody else; they must sign in to send it.")))));
                return;
            }
        }
        chain.doFilter(request, response);
    }

    private static boolean madeBySomebodyElse(HttpServletRequest request, Person person) {
        String by = request.getHeader(MADE_BY);
        return by != null && !Objects.equals(by, String.valueOf(person.id()));
    }
}
