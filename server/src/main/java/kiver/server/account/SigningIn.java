package kiver.server.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.stereotype.Component;

/** Keeps somebody signed in from a request on. */
@Component
public class SigningIn {

    private final SecurityContextRepository contexts;
    private final AccountMapper accounts;

    SigningIn(SecurityContextRepository contexts, AccountMapper accounts) {
        this.contexts = contexts;
        this.accounts = accounts;
    }

    /** Whoever has that account is signed in. */
    public void keep(long account, HttpServletRequest request, HttpServletResponse response) {
        keep(Person.of(accounts.byId(account).orElseThrow()).withoutPassword(), request, response);
    }

    void keep(Person person, HttpServletRequest request, HttpServletResponse response) {
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(
                UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
        OpenSessions.note(request);
    }
}
