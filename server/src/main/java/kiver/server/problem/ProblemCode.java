package kiver.server.problem;

import java.net.URI;
import java.util.Locale;
import org.springframework.http.HttpStatus;

/**
 * What kind of problem an answer tells of. Programs tell problems apart by it (the {@code type} of RFC 9457), people read
 * its words; a code once given keeps its meaning.
 */
public enum ProblemCode {
    /** An entry was understood and cannot be had. */
    REFUSED(HttpStatus.UNPROCESSABLE_CONTENT),
    /** What was recorded cannot be true of the batch. */
    CANNOT_BE_TRUE(HttpStatus.UNPROCESSABLE_CONTENT),
    /** A file has lines that are wrong. */
    FAULTY_FILE(HttpStatus.UNPROCESSABLE_CONTENT),
    /** An entry is missing, too large or of the wrong kind. */
    INVALID_ENTRY(HttpStatus.UNPROCESSABLE_CONTENT),
    /** The request is not what the interface describes. */
    UNREADABLE(HttpStatus.BAD_REQUEST),
    /** It does not fit with what stands already. */
    CONFLICT(HttpStatus.UNPROCESSABLE_CONTENT),
    /** There is no such thing. */
    NOT_FOUND(HttpStatus.NOT_FOUND),
    /** Too many attempts; {@code Retry-After} says how long to wait. */
    TOO_SOON(HttpStatus.TOO_MANY_REQUESTS),
    /** Somebody else was changing the same thing; the request may be sent again. */
    CROSSED(HttpStatus.SERVICE_UNAVAILABLE),
    /** The database does not answer; the request may be sent again. */
    DATABASE_AWAY(HttpStatus.SERVICE_UNAVAILABLE),
    /** There is no room on the disk; once there is, the request may be sent again. */
    DISK_FULL(HttpStatus.SERVICE_UNAVAILABLE);

    private final HttpStatus status;

    ProblemCode(HttpStatus status) {
        this.status = status;
    }

    /** The status it is answered with. */
    public HttpStatus status() {
        return status;
    }

    /** Its name in answers, for example {@code urn:kiver:problem:cannot-be-true}. */
    public URI type() {
        return URI.create("urn:kiver:problem:" + name().toLowerCase(Locale.ROOT).replace('_', '-'));
    }
}
