package kiver.server.account;

import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import kiver.server.account.OpenTo.Callers;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Where somebody is signed in, and ending it there: a phone was lost, a computer was borrowed. */
@RestController
class OpenSessions {

    /** Under it a session keeps whether it was begun on a phone. */
    static final String PHONE = "kiver.phone";

    private static final Pattern PHONES = Pattern.compile("Mobi|Android|iPhone|iPad");
    private static final int SHOWN = 12;

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final NurseryClock clock;

    OpenSessions(FindByIndexNameSessionRepository<? extends Session> sessions, NurseryClock clock) {
        this.sessions = sessions;
        this.clock = clock;
    }

    /**
     * A place where one is signed in.
     *
     * @param mark names it; nobody can sign in with it
     * @param since when it was begun
     * @param lastSeen when it was used last
     * @param phone whether it was begun on a phone; null where that was not noted
     * @param here whether it is this one
     */
    record OpenSession(
            String mark,
            LocalDateTime since,
            LocalDateTime lastSeen,
            @Nullable Boolean phone,
            boolean here) {}

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @GetMapping("/api/session/open")
    List<OpenSession> open(@AuthenticationPrincipal Person person, HttpServletRequest request) {
        HttpSession present = request.getSession(false);
        String here = present == null ? "" : present.getId();
        return of(person).values().stream()
                .map(session -> new OpenSession(
                        mark(session),
                        LocalDateTime.ofInstant(session.getCreationTime(), clock.zone()),
                        LocalDateTime.ofInstant(session.getLastAccessedTime(), clock.zone()),
                        session.getAttribute(PHONE),
                        session.getId().equals(here)))
                .sorted(Comparator.comparing(OpenSession::lastSeen).reversed())
                .limit(SHOWN)
                .toList();
    }

    @OpenTo(Callers.WHOEVER_IS_SIGNED_IN)
    @DeleteMapping("/api/session/open/{mark}")
    void end(@PathVariable String mark, @AuthenticationPrincipal Person person) {
        String id = of(person).values().stream()
                .filter(session -> mark(session).equals(mark))
                .map(Session::getId)
                .findFirst()
                .orElseThrow(() -> new NotFound(Said.of("This was ended already.")));
        sessions.deleteById(id);
    }

    /** Ends all that somebody has open. */
    void endAll(String email) {
        sessions.findByPrincipalName(email).keySet().forEach(sessions::deleteById);
    }

    /** Notes where a session is begun. */
    static void note(HttpServletRequest request) {
        String agent = request.getHeader("User-Agent");
        HttpSession session = request.getSession(false);
        if (session != null && agent != null) {
            session.setAttribute(PHONE, PHONES.matcher(agent).find());
        }
    }

    private Map<String, ? extends Session> of(Person person) {
        return sessions.findByPrincipalName(person.getUsername());
    }

    /** The session's number itself signs in whoever has it, so it is not handed out. */
    private static String mark(Session session) {
        return WrittenCode.digest(session.getId()).substring(0, 16);
    }
}
