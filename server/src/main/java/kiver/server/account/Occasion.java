package kiver.server.account;

import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.regex.Pattern;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * When and on which device somebody did what they send, as far as they say so: entries made without signal arrive later
 * than they were made.
 *
 * @param at time of day at the nursery, on the day of the entry
 * @param device name that the device gave itself, such as phone-K7Q2
 */
public record Occasion(Optional<LocalTime> at, Optional<String> device) {

    static final String AT = "X-Kiver-Made-At";
    static final String DEVICE = "X-Kiver-Device";

    /** Nobody said when or on what. */
    public static final Occasion UNKNOWN = new Occasion(Optional.empty(), Optional.empty());

    private static final Pattern NAME = Pattern.compile("[A-Za-z0-9-]{1,40}");

    /**
     * That of the request that is being answered; unknown outside one.
     *
     * @throws Refusal when it says something that is neither
     */
    public static Occasion ofThisRequest() {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes attributes)) {
            return UNKNOWN;
        }
        return new Occasion(
                Optional.ofNullable(attributes.getRequest().getHeader(AT)).map(Occasion::time),
                Optional.ofNullable(attributes.getRequest().getHeader(DEVICE)).map(Occasion::name));
    }

    private static LocalTime time(String text) {
        try {
            return LocalTime.parse(text).withSecond(0).withNano(0);
        } catch (DateTimeParseException none) {
            throw new Refusal(
                    AT,
                    Said.of("\"{text}\" is no time of day; write it like 14:05.")
                            .with("text", text));
        }
    }

    private static String name(String text) {
        if (!NAME.matcher(text).matches()) {
            throw new Refusal(DEVICE, Said.of("Name the device with 1 to 40 letters, digits and hyphens."));
        }
        return text;
    }
}
