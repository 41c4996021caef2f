package org.wache.server.web;

import java.sql.SQLException;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.catalina.connector.ClientAbortException;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.wache.arrival.ArrivalProblem;
import org.wache.exchange.FileProblem;
import org.wache.rulebook.RulebookProblem;
import org.wache.table.TableProblem;

/** Turns what went wrong into an answer that names the place and the cure. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    /** Invalid byte in a text, and untranslatable character. */
    private static final Set<String> UNSTORABLE = Set.of("22021", "22P05");

    @ExceptionHandler
    ProblemDetail file(FileProblem problem) {
        ProblemDetail detail = detail(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "The file cannot be read",
                "Line " + problem.line() + ", column " + problem.column() + ": " + problem.getMessage() + ".");
        detail.setProperty("line", problem.line());
        detail.setProperty("column", problem.column());
        return detail;
    }

    @ExceptionHandler
    ProblemDetail arrival(ArrivalProblem problem) {
        return detail(HttpStatus.UNPROCESSABLE_CONTENT, "The file cannot be taken in", problem.getMessage());
    }

    @ExceptionHandler
    ProblemDetail table(TableProblem problem) {
        return detail(HttpStatus.UNPROCESSABLE_CONTENT, "The table cannot be taken in", problem.getMessage());
    }

    /** What ships is always readable: it is an addition that no longer goes with it. */
    @ExceptionHandler
    ProblemDetail rulebook(RulebookProblem problem) {
        return detail(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "The rulebook cannot be read",
                "An addition to the rulebook cannot be read: " + problem.getMessage()
                        + " An administrator can take it back on the page Installation.");
    }

    @ExceptionHandler
    ProblemDetail unjudgeable(Unjudgeable problem) {
        return detail(HttpStatus.UNPROCESSABLE_CONTENT, "The list cannot be judged", problem.getMessage());
    }

    @ExceptionHandler
    ProblemDetail missing(Missing problem) {
        return detail(HttpStatus.NOT_FOUND, "Not found", problem.getMessage());
    }

    @ExceptionHandler
    ProblemDetail forbidden(Forbidden problem) {
        return detail(HttpStatus.FORBIDDEN, "For others to do", problem.getMessage());
    }

    /** A word or figure in the address that is none of those it may be. */
    @ExceptionHandler
    ProblemDetail address(MethodArgumentTypeMismatchException problem) {
        Throwable cause = problem.getMostSpecificCause();
        boolean ours = cause instanceof IllegalArgumentException
                && String.valueOf(cause.getMessage()).startsWith("“");
        return detail(
                HttpStatus.BAD_REQUEST,
                "Not to be asked like this",
                ours ? cause.getMessage() + "." : "“" + problem.getValue() + "” is no " + problem.getName() + ".");
    }

    @ExceptionHandler
    ProblemDetail refused(Refused problem) {
        return detail(HttpStatus.UNPROCESSABLE_CONTENT, "Not possible like this", problem.getMessage());
    }

    /** Both sides: what is there now goes with it, what was meant is with whoever asked. */
    @ExceptionHandler
    ProblemDetail stale(Stale problem) {
        ProblemDetail detail = detail(HttpStatus.CONFLICT, "Somebody else was there first", problem.getMessage());
        detail.setProperty("theirs", problem.theirs());
        return detail;
    }

    /** PostgreSQL keeps no text with a zero character; nothing was saved of the request that had one. */
    @ExceptionHandler
    ProblemDetail unstorable(DataAccessException problem) {
        if (problem.getMostSpecificCause() instanceof SQLException cause && UNSTORABLE.contains(cause.getSQLState())) {
            return detail(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "Not possible like this",
                    "A text holds a character that cannot be stored. Nothing was saved: type or paste that text anew.");
        }
        return any(problem);
    }

    /** What trying again can mend is said so; everything else is a fault of the program, with a reference under which the log has it. */
    @ExceptionHandler
    ProblemDetail any(Throwable problem) {
        for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
            if (cause instanceof ClientAbortException) {
                return null; // whoever asked has gone: there is nobody to tell
            }
        }
        Fault fault = Fault.of(problem);
        return detail(fault.status(), fault.title(), fault.words());
    }

    /** A body that cannot be read: where, and what was expected there. */
    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException problem, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail told = UnreadableBody.refused(problem)
                .map(this::refused)
                .orElseGet(() ->
                        detail(HttpStatus.BAD_REQUEST, "The request cannot be read", UnreadableBody.words(problem)));
        return handleExceptionInternal(problem, told, headers, HttpStatusCode.valueOf(told.getStatus()), request);
    }

    /** What does not keep to what a field may hold, each by its name. */
    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException problem, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String words = problem.getBindingResult().getFieldErrors().stream()
                .map(each -> "“" + each.getField() + "” " + each.getDefaultMessage())
                .distinct()
                .sorted()
                .collect(Collectors.joining("; "));
        return handleExceptionInternal(
                problem,
                detail(HttpStatus.BAD_REQUEST, "Not possible like this", words + ". Nothing was saved."),
                headers,
                HttpStatus.BAD_REQUEST,
                request);
    }

    private static ProblemDetail detail(HttpStatus status, String title, String text) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, text);
        detail.setTitle(title);
        return detail;
    }
}
