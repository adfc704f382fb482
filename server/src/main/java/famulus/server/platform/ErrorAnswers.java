package famulus.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.QueryTimeoutException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
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

    private static final String API = "/api/";

    @ExceptionHandler
    ResponseEntity<Object> refused(Refusal refusal, HttpServletRequest request) {
        return answer(request, refusal.status(), refusal.code(), refusal.getMessage(), refusal.fields());
    }

    @ExceptionHandler
    ResponseEntity<Object> invalid(MethodArgumentNotValidException invalid, HttpServletRequest request) {
        Map<String, String> fields = new LinkedHashMap<>();
        invalid.getFieldErrors().forEach(error -> fields.put(error.getField(), error.getDefaultMessage()));
        String first = fields.isEmpty()
                ? "This can't be kept."
                : fields.values().iterator().next();
        return answer(request, HttpStatus.UNPROCESSABLE_CONTENT, "fields", first, fields);
    }

    /** A body that can't be read, a value of another kind, and an address whose escaped octets are no text. */
    @ExceptionHandler({
        HttpMessageNotReadableException.class,
        MethodArgumentTypeMismatchException.class,
        InvalidParameterException.class
    })
    ResponseEntity<Object> unreadable(Exception unreadable, HttpServletRequest request) {
        return answer(request.getRequestURI(), HttpStatus.BAD_REQUEST);
    }

    @ExceptionHandler
    ResponseEntity<Object> nothingThere(NoResourceFoundException nothing, HttpServletRequest request) {
        return answer(request.getRequestURI(), HttpStatus.NOT_FOUND);
    }

    /** The browser has gone; there is nobody to answer. */
    @ExceptionHandler
    void gone(AsyncRequestNotUsableException gone) {
        LOG.debug("A browser closed its connection: {}", gone.getMessage());
    }

    /** The same, noticed while an answer comes a line at a time. */
    @ExceptionHandler
    ResponseEntity<Object> hungUp(UncheckedIOException failure, HttpServletRequest request) {
        if (failure.getCause() instanceof AsyncRequestNotUsableException gone) {
            gone(gone);
            return null;
        }
        return failed(failure, request);
    }

    /** The same, noticed while an answer is written; what can't be written for another reason is a failure of ours. */
    @ExceptionHandler
    ResponseEntity<Object> unwritten(HttpMessageNotWritableException unwritten, HttpServletRequest request) {
        if (unwritten.contains(IOException.class)) {
            LOG.debug("A browser closed its connection: {}", unwritten.getMessage());
            return null;
        }
        return failed(unwritten, request);
    }

    /** A statement that ran into the limit of time; see mybatis.configuration in application.yaml. */
    @ExceptionHandler
    ResponseEntity<Object> tookTooLong(QueryTimeoutException late, HttpServletRequest request) {
        LOG.warn("A request took too long", late);
        return answer(
                request,
                HttpStatus.SERVICE_UNAVAILABLE,
                "too-long",
                "This took too long, and was stopped. Nothing was changed; ask for less at once, or try again later.",
                Map.of());
    }

    @ExceptionHandler
    ResponseEntity<Object> failed(Exception failure, HttpServletRequest request) {
        if (failure instanceof org.springframework.web.ErrorResponse known) {
            return answer(
                    request.getRequestURI(),
                    HttpStatus.valueOf(known.getStatusCode().value()));
        }
        LOG.error("A request failed", failure);
        return answer(
                request.getRequestURI(),
                LostDatabase.is(failure) ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.INTERNAL_SERVER_ERROR);
    }

    /** The answer of a status that says no more than that: a page for readers, problem details for the browser's code. */
    static ResponseEntity<Object> answer(String address, HttpStatus status) {
        if (!address.startsWith(API)) {
            return PlainPage.answer(status);
        }
        ProblemDetail problem =
                switch (status) {
                    case NOT_FOUND -> problem(status, "missing", "There is nothing at this address.", Map.of());
                    case INSUFFICIENT_STORAGE -> problem(status, "disk", DiskSpace.FULL, Map.of());
                    default ->
                        status.is5xxServerError()
                                ? problem(
                                        status,
                                        "failed",
                                        "Something went wrong on our side. Nothing was changed; try again.",
                                        Map.of())
                                : problem(status, "unreadable", "This request can't be read.", Map.of());
                };
        return problem(problem);
    }

    private static ResponseEntity<Object> answer(
            HttpServletRequest request, HttpStatus status, String code, String sentence, Map<String, String> fields) {
        return request.getRequestURI().startsWith(API)
                ? problem(problem(status, code, sentence, fields))
                : PlainPage.answer(status);
    }

    private static ResponseEntity<Object> problem(ProblemDetail problem) {
        return ResponseEntity.status(problem.getStatus())
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(problem);
    }

    private static ProblemDetail problem(HttpStatus status, String code, String sentence, Map<String, String> fields) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, sentence);
        problem.setProperty("code", code);
        problem.setProperty("fields", fields);
        return problem;
    }

    /** A problem that is about no field. */
    static ProblemDetail problem(HttpStatus status, String code, String sentence) {
        return problem(status, code, sentence, Map.of());
    }
}
