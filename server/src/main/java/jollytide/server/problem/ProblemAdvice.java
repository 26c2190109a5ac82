package jollytide.server.problem;

import jakarta.servlet.http.HttpServletRequest;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import jollytide.core.numerics.Stopped;
import jollytide.core.units.InputException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Turns every exception into a problem document. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class ProblemAdvice extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Problem problem) {
        return answer(problem);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> physics(InputException e) {
        return answer(
                Problem.refused(new FieldError(e.field(), Double.toString(e.value()), e.allowed(), e.getMessage())));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> stopped(Stopped e) {
        return answer(Problem.of(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "Took too long",
                        "This calculation took too long and was stopped. Try again, or ask for less at once.")
                .retryAfter(3));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> locked(OptimisticLockingFailureException e) {
        return answer(Problem.of(
                HttpStatus.CONFLICT, "Changed elsewhere", "This was changed elsewhere at the same time. Try again."));
    }

    @ExceptionHandler({
        CannotCreateTransactionException.class,
        CannotGetJdbcConnectionException.class,
        TransientDataAccessException.class,
        RecoverableDataAccessException.class,
        DataAccessResourceFailureException.class
    })
    ResponseEntity<ProblemDetail> databaseAway(Exception e) {
        LOG.warn("database not reachable: {}", e.getMessage());
        return answer(Problem.of(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "Database not reachable",
                        "The database does not answer. Nothing was saved. Try again in a moment.")
                .retryAfter(3));
    }

    /** Two saved the same thing in one moment, or what it hung on was deleted in between; or a value is out of range. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> refusedByTheDatabase(DataIntegrityViolationException e) {
        LOG.warn("refused by the database: {}", e.getMessage());
        boolean value = Stream.<Throwable>iterate(e, Objects::nonNull, Throwable::getCause)
                .anyMatch(cause -> cause instanceof SQLException sql
                        && sql.getSQLState() != null
                        && sql.getSQLState().startsWith("22"));
        return answer(
                value
                        ? Problem.of(
                                HttpStatus.UNPROCESSABLE_CONTENT,
                                "Input refused",
                                "A value is too long or too large to save. Nothing was saved.")
                        : Problem.of(
                                HttpStatus.CONFLICT,
                                "Changed elsewhere",
                                "This was saved or deleted elsewhere at the same time. Nothing was saved. "
                                        + "Check and try again."));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongParameter(MethodArgumentTypeMismatchException e) {
        for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof InputException physics) {
                return answer(Problem.refused(new FieldError(
                        e.getName(), String.valueOf(e.getValue()), physics.allowed(), physics.getMessage())));
            }
        }
        Class<?> type = e.getRequiredType();
        String name = type == null ? "value" : type.getSimpleName();
        if ("UUID".equals(name)) {
            return answer(Problem.notFound("address"));
        }
        return answer(Problem.refused(new FieldError(
                e.getName(),
                String.valueOf(e.getValue()),
                allowed(type),
                e.getName() + " must be " + allowed(type) + ".")));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unexpected(Exception e, HttpServletRequest request) {
        if (lostItsConnection(e)) {
            LOG.warn("database lost on the way: {}", e.getMessage());
            return answer(Problem.of(
                            HttpStatus.SERVICE_UNAVAILABLE,
                            "Database not reachable",
                            "The database stopped answering. Check whether this was saved before you try again.")
                    .retryAfter(3));
        }
        // The pattern and not the address: some addresses are secrets.
        LOG.error(
                "{} {} failed",
                request.getMethod(),
                request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE),
                e);
        return answer(Problem.of(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something broke",
                "This is our fault, not yours. The console has details."));
    }

    /** By SQL's class of connection exceptions (ISO/IEC 9075-2, class 08), wherever in a transaction it was lost. */
    private static boolean lostItsConnection(Throwable e) {
        return Stream.iterate(e, Objects::nonNull, Throwable::getCause)
                .anyMatch(cause -> cause instanceof SQLException sql
                        && sql.getSQLState() != null
                        && sql.getSQLState().startsWith("08"));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<FieldError> errors = e.getBindingResult().getFieldErrors().stream()
                .map(f -> new FieldError(
                        f.getField(),
                        f.getRejectedValue() == null ? null : shortened(f.getRejectedValue()),
                        f.getDefaultMessage(),
                        f.getField() + " " + f.getDefaultMessage() + "."))
                .sorted((a, b) -> a.field().compareTo(b.field()))
                .toList();
        return anyBody(Problem.refused(errors));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        for (Throwable cause = e.getCause(); cause != null; cause = cause.getCause()) {
            if (cause instanceof Problem problem) {
                return anyBody(problem);
            }
            if (cause instanceof InputException physics) {
                return anyBody(Problem.refused(new FieldError(
                        within(e, physics.field()),
                        Double.toString(physics.value()),
                        physics.allowed(),
                        physics.getMessage())));
            }
            if (cause instanceof StreamReadException) {
                break;
            }
            if (cause instanceof MismatchedInputException mismatch) {
                return anyBody(Problem.refused(mismatch(mismatch)));
            }
        }
        return anyBody(Problem.of(
                HttpStatus.BAD_REQUEST, "Not readable", "The request is not the JSON this address expects."));
    }

    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e, Object body, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        HttpStatus known = Objects.requireNonNullElse(HttpStatus.resolve(status.value()), HttpStatus.BAD_REQUEST);
        String sentence = known == HttpStatus.NOT_FOUND ? "There is nothing at this address." : e.getMessage();
        return ResponseEntity.status(status)
                .headers(headers)
                .body(Problem.of(known, known.getReasonPhrase(), sentence).detail());
    }

    /** A record's own refusal names its field; where the record stands, the parser knows. */
    private static String within(HttpMessageNotReadableException e, String field) {
        String place = e.getCause() instanceof JacksonException parser ? path(parser) : "";
        return place.isEmpty() ? field : place + "." + field;
    }

    private static FieldError mismatch(MismatchedInputException e) {
        String field = path(e);
        if (e instanceof UnrecognizedPropertyException unknown) {
            String known = unknown.getKnownPropertyIds().stream()
                    .map(String::valueOf)
                    .sorted()
                    .collect(Collectors.joining(", "));
            return new FieldError(field, null, known, "Unknown " + field + ". Known: " + known + ".");
        }
        Object value = e instanceof InvalidFormatException format ? format.getValue() : null;
        String allowed = allowed(e.getTargetType());
        return new FieldError(
                field, value == null ? null : shortened(value), allowed, field + " must be " + allowed + ".");
    }

    private static String path(JacksonException e) {
        return e.getPath().stream()
                .map(step -> step.getPropertyName() == null ? "[" + step.getIndex() + "]" : step.getPropertyName())
                .collect(Collectors.joining("."))
                .replace(".[", "[");
    }

    private static String allowed(Class<?> type) {
        if (type == null) {
            return "of another form";
        }
        if (type.isEnum()) {
            return "one of "
                    + java.util.Arrays.stream(type.getEnumConstants())
                            .map(ProblemAdvice::jsonName)
                            .collect(Collectors.joining(", "));
        }
        if (Number.class.isAssignableFrom(type) || (type.isPrimitive() && type != boolean.class)) {
            return "a number";
        }
        return switch (type.getSimpleName()) {
            case "boolean", "Boolean" -> "true or false";
            case "String" -> "text";
            case "LocalTime" -> "a time such as 10:30";
            case "LocalDate" -> "a date such as 2026-11-12";
            case "Instant" -> "a time such as 2026-11-12T09:55:00Z";
            default -> type.getSimpleName().toLowerCase(Locale.ROOT).contains("list") ? "a list" : "an object";
        };
    }

    private static String jsonName(Object constant) {
        String name = ((Enum<?>) constant).name();
        try {
            var renamed = constant.getClass()
                    .getField(name)
                    .getAnnotation(com.fasterxml.jackson.annotation.JsonProperty.class);
            return renamed == null ? name : renamed.value();
        } catch (NoSuchFieldException e) {
            return name;
        }
    }

    private static String shortened(Object value) {
        String text = String.valueOf(value);
        return text.length() > 80 ? text.substring(0, 80) + "…" : text;
    }

    private static ResponseEntity<ProblemDetail> answer(Problem problem) {
        return ResponseEntity.status(problem.detail().getStatus())
                .headers(problem.headers())
                .body(problem.detail());
    }

    private static ResponseEntity<Object> anyBody(Problem problem) {
        return ResponseEntity.status(problem.detail().getStatus())
                .headers(problem.headers())
                .body(problem.detail());
    }
}
