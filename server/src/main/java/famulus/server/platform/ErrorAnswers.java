package famulus.server.platform;

import java.util.LinkedHashMap;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Answers every error with problem details (RFC 9457): a {@code code}, a sentence, and the fields it is about. */
@RestControllerAdvice
class ErrorAnswers {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorAnswers.class);

    @ExceptionHandler
    ProblemDetail refused(Refusal refusal) {
        return problem(refusal.status(), refusal.code(), refusal.getMessage(), refusal.fields());
    }

    @ExceptionHandler
    ProblemDetail invalid(MethodArgumentNotValidException invalid) {
        Map<String, String> fields = new LinkedHashMap<>();
        invalid.getFieldErrors().forEach(error -> fields.put(error.getField(), error.getDefaultMessage()));
        String first = fields.isEmpty()
                ? "This can't be kept."
                : fields.values().iterator().next();
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "fields", first, fields);
    }

    @ExceptionHandler({HttpMessageNotReadableException.class, MethodArgumentTypeMismatchException.class})
    ProblemDetail unreadable(Exception unreadable) {
        return problem(HttpStatus.BAD_REQUEST, "unreadable", "This request can't be read.", Map.of());
    }

    @ExceptionHandler
    ProblemDetail nothingThere(NoResourceFoundException nothing) {
        return problem(HttpStatus.NOT_FOUND, "missing", "There is nothing at this address.", Map.of());
    }

    /** The browser has gone; there is nobody to answer. */
    @ExceptionHandler
    void gone(AsyncRequestNotUsableException gone) {
        LOG.debug("A browser closed its connection: {}", gone.getMessage());
    }

    @ExceptionHandler
    ProblemDetail failed(Exception failure) {
        if (failure instanceof org.springframework.web.ErrorResponse known) {
            HttpStatus status = HttpStatus.valueOf(known.getStatusCode().value());
            return problem(status, "unreadable", "This request can't be read.", Map.of());
        }
        LOG.error("A request failed", failure);
        if (LostDatabase.is(failure)) {
            return problem(HttpStatus.INSUFFICIENT_STORAGE, "disk", DiskSpace.FULL);
        }
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "failed",
                "Something went wrong on our side. Nothing was changed; try again.",
                Map.of());
    }

    /** A problem that is about no field. */
    static ProblemDetail problem(HttpStatus status, String code, String sentence) {
        return problem(status, code, sentence, Map.of());
    }

    private static ProblemDetail problem(HttpStatus status, String code, String sentence, Map<String, String> fields) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
        problem.setProperty("code", code);
        problem.setProperty("fields", fields);
        return problem;
    }
}
