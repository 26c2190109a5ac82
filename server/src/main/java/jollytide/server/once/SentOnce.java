package jollytide.server.once;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import jollytide.server.account.ShownOnce;
import jollytide.server.account.SignedIn;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.http.server.ServletServerHttpRequest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;
import tools.jackson.databind.json.JsonMapper;

/**
 * A request that makes something and names itself makes it once: sent again, because its answer was lost or a button was
 * pressed twice, it is answered as before. By the IETF's draft of an Idempotency-Key header (httpapi working group);
 * remembered for a day.
 */
@ControllerAdvice
class SentOnce implements HandlerInterceptor, WebMvcConfigurer, ResponseBodyAdvice<Object> {
    static final String HEADER = "Idempotency-Key";

    private static final String ASKED = SentOnce.class.getName();
    private static final String ANSWER = ASKED + ".answer";
    private static final Duration REMEMBERED = Duration.ofDays(1);
    private static final int FORGOTTEN_AT_ONCE = 100;
    /** The first of two that are sent at once has so long to end. */
    private static final int LOOKS = 20;

    private static final Duration BETWEEN = Duration.ofMillis(100);
    private static final int LONGEST_PATH = 200;

    private final JdbcTemplate jdbc;
    private final JsonMapper json;
    private final Clock clock;

    SentOnce(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.clock = clock;
    }

    /** Who asked for what by which name. */
    private record Asked(UUID keeperId, String by, UUID id, String path) {}

    /** @param status null while nobody knows what became of it */
    private record Before(
            String path, @Nullable Integer status, @Nullable String answer) {}

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Asked asked = asked(request, handler);
        if (asked == null || first(asked)) {
            request.setAttribute(ASKED, asked);
            return true;
        }
        Before before = waitFor(asked);
        if (before == null) {
            // The first was refused meanwhile: this one is judged anew.
            if (first(asked)) {
                request.setAttribute(ASKED, asked);
                return true;
            }
            throw unknown();
        }
        if (!before.path().equals(asked.path())) {
            throw Problem.refused(new FieldError(
                    HEADER,
                    asked.id().toString(),
                    "a new UUID for each request",
                    HEADER + " belongs to another request."));
        }
        if (before.status() == null) {
            throw unknown();
        }
        response.setStatus(before.status());
        if (before.answer() != null) {
            response.setContentType(MediaType.APPLICATION_JSON_VALUE);
            response.getOutputStream().write(before.answer().getBytes(StandardCharsets.UTF_8));
        }
        return false;
    }

    private static Problem unknown() {
        return Problem.of(
                HttpStatus.CONFLICT,
                "Sent before",
                "You sent this before and the answer got lost. Check whether it was saved before you send it again.");
    }

    private static @Nullable Asked asked(HttpServletRequest request, Object handler) {
        String id = request.getHeader(HEADER);
        if (id == null || !(handler instanceof HandlerMethod method) || !makes(method)) {
            return null;
        }
        var signedIn = SecurityContextHolder.getContext().getAuthentication();
        if (signedIn == null || !(signedIn.getPrincipal() instanceof SignedIn who)) {
            return null;
        }
        try {
            String path = request.getRequestURI();
            return new Asked(
                    who.keeperId(),
                    who.getName(),
                    UUID.fromString(id),
                    path.substring(0, Math.min(LONGEST_PATH, path.length())));
        } catch (IllegalArgumentException e) {
            throw Problem.refused(new FieldError(HEADER, id, "a UUID (RFC 9562)", HEADER + " must be a UUID."));
        }
    }

    private static boolean makes(HandlerMethod method) {
        ResponseStatus answers = method.getMethodAnnotation(ResponseStatus.class);
        return answers != null
                && answers.value() == HttpStatus.CREATED
                && !ShownOnce.class.isAssignableFrom(method.getReturnType().getParameterType());
    }

    /** Whether nobody asked for it by this name yet. */
    private boolean first(Asked asked) {
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
        jdbc.update("delete from sent_once where at < ? limit " + FORGOTTEN_AT_ONCE, now.minus(REMEMBERED));
        try {
            jdbc.update(
                    "insert into sent_once (keeper_id, sent_by, request_id, path, at) values (?, ?, ?, ?, ?)",
                    asked.keeperId(),
                    asked.by(),
                    asked.id(),
                    asked.path(),
                    now);
            return true;
        } catch (DuplicateKeyException e) {
            return false;
        }
    }

    /** What became of the one before; null when it was refused. */
    private @Nullable Before waitFor(Asked asked) {
        Before before = before(asked);
        try {
            for (int look = 0; look < LOOKS && before != null && before.status() == null; look++) {
                Thread.sleep(BETWEEN.toMillis());
                before = before(asked);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        return before;
    }

    private @Nullable Before before(Asked asked) {
        List<Before> found = jdbc.query(
                "select path, status, answer from sent_once where keeper_id = ? and sent_by = ? and request_id = ?",
                (row, i) -> new Before(row.getString(1), row.getObject(2, Integer.class), row.getString(3)),
                asked.keeperId(),
                asked.by(),
                asked.id());
        return found.isEmpty() ? null : found.get(0);
    }

    @Override
    public boolean supports(MethodParameter returns, Class<? extends HttpMessageConverter<?>> converter) {
        return true;
    }

    @Override
    public @Nullable Object beforeBodyWrite(
            @Nullable Object body,
            MethodParameter returns,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        if (request instanceof ServletServerHttpRequest servlet
                && servlet.getServletRequest().getAttribute(ASKED) != null
                && body != null) {
            servlet.getServletRequest().setAttribute(ANSWER, json.writeValueAsString(body));
        }
        return body;
    }

    /** What was refused may be sent again, mended or not. */
    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failed) {
        if (!(request.getAttribute(ASKED) instanceof Asked asked)) {
            return;
        }
        try {
            if (HttpStatus.valueOf(response.getStatus()).is2xxSuccessful()) {
                jdbc.update(
                        "update sent_once set status = ?, answer = ? where keeper_id = ? and sent_by = ? and "
                                + "request_id = ?",
                        response.getStatus(),
                        request.getAttribute(ANSWER),
                        asked.keeperId(),
                        asked.by(),
                        asked.id());
            } else {
                jdbc.update(
                        "delete from sent_once where keeper_id = ? and sent_by = ? and request_id = ?",
                        asked.keeperId(),
                        asked.by(),
                        asked.id());
            }
        } catch (DataAccessException e) {
            // Nobody knows then what became of it, which a second one is told.
        }
    }
}
