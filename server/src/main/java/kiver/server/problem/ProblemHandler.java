package kiver.server.problem;

import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import kiver.core.batch.ChangeRefused;
import kiver.core.sheet.FaultySheetException;
import kiver.server.limit.BeyondLimits;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Turns refusals into problem details (RFC 9457) with a list of the entries that are wrong. */
@RestControllerAdvice
class ProblemHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

    /** As PostgreSQL numbers it. */
    private static final String DISK_FULL = "53100";

    private final Wording wording;

    ProblemHandler(Wording wording) {
        this.wording = wording;
    }

    @ExceptionHandler
    ProblemDetail refused(Refusal refusal) {
        return problem(ProblemCode.REFUSED, List.of(new FieldProblem(refusal.field(), refusal.said())));
    }

    @ExceptionHandler
    ProblemDetail changeRefused(ChangeRefused refusal) {
        return problem(ProblemCode.CANNOT_BE_TRUE, List.of(FieldProblem.of(refusal.field(), refusal.fault())));
    }

    /** A file with faults: each is told at its line. */
    @ExceptionHandler
    ProblemDetail faultySheet(FaultySheetException faulty) {
        return problem(
                ProblemCode.FAULTY_FILE,
                faulty.faults().stream()
                        .map(fault -> new FieldProblem(
                                fault.line() == 0 ? "file" : "line " + fault.line(),
                                FaultyFile.atLine(fault.line(), Said.of((Record) fault.fault())),
                                Wording.key(fault.fault().getClass())))
                        .toList());
    }

    @ExceptionHandler
    ProblemDetail faultyFile(FaultyFile faulty) {
        return problem(ProblemCode.FAULTY_FILE, faulty.problems());
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException invalid) {
        return problem(
                ProblemCode.INVALID_ENTRY,
                invalid.getBindingResult().getFieldErrors().stream()
                        .map(error ->
                                new FieldProblem(error.getField(), said(String.valueOf(error.getDefaultMessage()))))
                        .toList());
    }

    /** What stands in the address itself. */
    @ExceptionHandler
    ProblemDetail invalidAddress(HandlerMethodValidationException invalid) {
        return problem(
                ProblemCode.INVALID_ENTRY,
                invalid.getParameterValidationResults().stream()
                        .flatMap(result -> result.getResolvableErrors().stream()
                                .map(error -> new FieldProblem(
                                        String.valueOf(
                                                result.getMethodParameter().getParameterName()),
                                        said(String.valueOf(error.getDefaultMessage())))))
                        .toList());
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
        Throwable cause = unreadable.getCause();
        if (cause instanceof DatabindException fault && !fault.getPath().isEmpty()) {
            String field = fault.getPath().get(fault.getPath().size() - 1).getPropertyName();
            Throwable root = fault.getCause();
            if (field == null) {
                field = fault.getPath().get(0).getPropertyName();
            }
            Said message = root instanceof BeyondLimits beyond
                    ? beyond.said()
                    : root instanceof IllegalArgumentException && !(root instanceof JacksonException)
                            ? Said.plain(String.valueOf(root.getMessage()))
                            : FieldWords.unreadable(field == null ? "" : field);
            return problem(ProblemCode.INVALID_ENTRY, List.of(new FieldProblem(field == null ? "" : field, message)));
        }
        if (cause instanceof DatabindException fault && fault.getCause() instanceof ChangeRefused refusal) {
            return changeRefused(refusal);
        }
        return problem(
                ProblemCode.UNREADABLE, List.of(new FieldProblem("", Said.of("The request could not be read."))));
    }

    @ExceptionHandler
    ProblemDetail missing(MissingServletRequestParameterException missing) {
        return problem(
                ProblemCode.UNREADABLE,
                List.of(new FieldProblem(
                        missing.getParameterName(), FieldWords.unreadable(missing.getParameterName()))));
    }

    @ExceptionHandler
    ProblemDetail mistyped(MethodArgumentTypeMismatchException mistyped) {
        return problem(
                ProblemCode.UNREADABLE,
                List.of(new FieldProblem(mistyped.getName(), FieldWords.unreadable(mistyped.getName()))));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> tooSoon(TooSoon early) {
        ProblemDetail detail = numbered(ProblemCode.TOO_SOON, wording.say(early.said()));
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header("Retry-After", String.valueOf(early.toWait().toSeconds() + 1))
                .body(detail);
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFound missing) {
        return numbered(ProblemCode.NOT_FOUND, wording.say(missing.said()));
    }

    /** An answer like that for missing things: what was typed does not exist among the choices. */
    @ExceptionHandler
    ProblemDetail impossible(IllegalArgumentException impossible) {
        LOG.debug("Refused", impossible);
        Said message = impossible instanceof BeyondLimits beyond
                ? beyond.said()
                : impossible.getMessage() == null ? Said.of("This cannot be.") : Said.plain(impossible.getMessage());
        return problem(ProblemCode.REFUSED, List.of(new FieldProblem("", message)));
    }

    /** Something else that stands already, or was removed meanwhile, is in the way. */
    @ExceptionHandler
    ProblemDetail conflicting(DataIntegrityViolationException conflict) {
        LOG.info("Refused by the database: {}", conflict.getMostSpecificCause().getMessage());
        return problem(
                ProblemCode.CONFLICT,
                List.of(
                        new FieldProblem(
                                "",
                                Said.of(
                                        "This does not fit with what the nursery has. Look at it as it stands now and try again."))));
    }

    @ExceptionHandler({PessimisticLockingFailureException.class, QueryTimeoutException.class})
    ProblemDetail crossed(Exception crossed) {
        LOG.info("Two changes crossed each other: {}", crossed.getMessage());
        return numbered(
                ProblemCode.CROSSED,
                wording.say(Said.of("Somebody else was changing the same thing. Nothing was saved; try again.")));
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessResourceFailureException.class})
    ProblemDetail databaseAway(Exception failure) {
        LOG.error("The database does not answer: {}", failure.getMessage());
        if (NestedExceptionUtils.getRootCause(failure) instanceof SQLException cause
                && DISK_FULL.equals(cause.getSQLState())) {
            return numbered(
                    ProblemCode.DISK_FULL,
                    wording.say(
                            Said.of(
                                    "The disk of Kiver's machine is full. Nothing was saved; make room on it, then try again.")));
        }
        return numbered(
                ProblemCode.DATABASE_AWAY,
                wording.say(
                        Said.of("Kiver cannot reach its records just now. Nothing was saved; try again in a moment.")));
    }

    /** Ours are in the catalogue; one of the library's own may hold braces that are no parts. */
    private static Said said(String message) {
        return message.contains("{") ? Said.plain(message) : new Said(message, Map.of());
    }

    /** A problem with the number of its request. */
    private static ProblemDetail numbered(ProblemCode code, String words) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(code.status(), words);
        detail.setType(code.type());
        detail.setProperty(RequestNumber.KEY, MDC.get(RequestNumber.KEY));
        return detail;
    }

    private ProblemDetail problem(ProblemCode code, List<FieldProblem> errors) {
        ProblemDetail detail = numbered(
                code,
                wording.say(
                        errors.isEmpty()
                                ? Said.of("Something in this request is wrong.")
                                : errors.get(0).message()));
        detail.setProperty("errors", errors);
        return detail;
    }
}
