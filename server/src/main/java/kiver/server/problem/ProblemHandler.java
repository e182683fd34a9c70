package kiver.server.problem;

import java.util.List;
import kiver.core.batch.ChangeRefused;
import kiver.core.sheet.FaultySheetException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
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
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Turns refusals into problem details (RFC 9457) with a list of the entries that are wrong. */
@RestControllerAdvice
class ProblemHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemHandler.class);

    @ExceptionHandler
    ProblemDetail refused(Refusal refusal) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, List.of(new FieldProblem(refusal.field(), refusal.getMessage())));
    }

    @ExceptionHandler
    ProblemDetail changeRefused(ChangeRefused refusal) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, List.of(new FieldProblem(refusal.field(), refusal.getMessage())));
    }

    /** A file with faults: each is told at its line. */
    @ExceptionHandler
    ProblemDetail faultySheet(FaultySheetException faulty) {
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                faulty.faults().stream()
                        .map(fault -> new FieldProblem(
                                fault.line() == 0 ? "file" : "line " + fault.line(),
                                fault.line() == 0 ? fault.problem() : "Line " + fault.line() + ": " + fault.problem()))
                        .toList());
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException invalid) {
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                invalid.getBindingResult().getFieldErrors().stream()
                        .map(error -> new FieldProblem(error.getField(), error.getDefaultMessage()))
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
            String message = root instanceof IllegalArgumentException && !(root instanceof JacksonException)
                    ? root.getMessage()
                    : "This entry cannot be read; check it and try again.";
            return problem(HttpStatus.UNPROCESSABLE_CONTENT, List.of(new FieldProblem(field == null ? "" : field, message)));
        }
        if (cause instanceof DatabindException fault && fault.getCause() instanceof ChangeRefused refusal) {
            return changeRefused(refusal);
        }
        return problem(HttpStatus.BAD_REQUEST, List.of(new FieldProblem("", "The request could not be read.")));
    }

    @ExceptionHandler
    ProblemDetail mistyped(MethodArgumentTypeMismatchException mistyped) {
        return problem(HttpStatus.BAD_REQUEST,
                List.of(new FieldProblem(mistyped.getName(), "\"" + mistyped.getValue() + "\" cannot be used here.")));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> tooSoon(TooSoon early) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.TOO_MANY_REQUESTS, early.getMessage());
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header("Retry-After", String.valueOf(early.toWait().toSeconds() + 1))
                .body(detail);
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFound missing) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, missing.getMessage());
    }

    /** An answer like that for missing things: what was typed does not exist among the choices. */
    @ExceptionHandler
    ProblemDetail impossible(IllegalArgumentException impossible) {
        LOG.debug("Refused", impossible);
        String message = impossible.getMessage() == null ? "This cannot be." : impossible.getMessage();
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, List.of(new FieldProblem("", message)));
    }

    /** Something else that stands already, or was removed meanwhile, is in the way. */
    @ExceptionHandler
    ProblemDetail conflicting(DataIntegrityViolationException conflict) {
        LOG.info("Refused by the database: {}", conflict.getMostSpecificCause().getMessage());
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, List.of(new FieldProblem("",
                "This does not fit with what the nursery has. Look at it as it stands now and try again.")));
    }

    @ExceptionHandler({PessimisticLockingFailureException.class, QueryTimeoutException.class})
    ProblemDetail crossed(Exception crossed) {
        LOG.info("Two changes crossed each other: {}", crossed.getMessage());
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE, "Somebody else was changing the same thing. Nothing was saved; try again.");
    }

    @ExceptionHandler({CannotCreateTransactionException.class, DataAccessResourceFailureException.class})
    ProblemDetail databaseAway(Exception failure) {
        LOG.error("The database does not answer: {}", failure.getMessage());
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "Kiver cannot reach its records just now. Nothing was saved; try again in a moment.");
    }

    private static ProblemDetail problem(HttpStatus status, List<FieldProblem> errors) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(
                status, errors.isEmpty() ? "Something in this request is wrong." : errors.get(0).message());
        detail.setProperty("errors", errors);
        return detail;
    }
}
