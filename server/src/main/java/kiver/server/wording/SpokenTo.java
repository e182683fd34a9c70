package kiver.server.wording;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** To whom the server is speaking: whoever sent the request that is being answered. */
public final class SpokenTo {

    private static final String KEPT_UNDER = SpokenTo.class.getName();
    private static final ThreadLocal<Speech> FOR_A_WHILE = new ThreadLocal<>();

    private SpokenTo() {}

    /** Says who is spoken to until this request is answered. */
    public static void is(HttpServletRequest request, Speech speech) {
        request.setAttribute(KEPT_UNDER, speech);
    }

    /** Says who is spoken to, where that is known only while the request is answered. */
    public static void is(Speech speech) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(KEPT_UNDER, speech, RequestAttributes.SCOPE_REQUEST);
        }
    }

    /** Speaks to somebody else than whoever asked, as in a letter, while something is put into words. */
    public static void to(Speech reader, Runnable words) {
        Speech before = FOR_A_WHILE.get();
        FOR_A_WHILE.set(reader);
        try {
            words.run();
        } finally {
            if (before == null) {
                FOR_A_WHILE.remove();
            } else {
                FOR_A_WHILE.set(before);
            }
        }
    }

    /** How they are spoken to; where nobody asked, as on a machine of its own, in British English. */
    public static Speech now() {
        Speech forAWhile = FOR_A_WHILE.get();
        if (forAWhile != null) {
            return forAWhile;
        }
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        Object speech = request == null ? null : request.getAttribute(KEPT_UNDER, RequestAttributes.SCOPE_REQUEST);
        return speech instanceof Speech known ? known : Speech.METRIC;
    }
}
