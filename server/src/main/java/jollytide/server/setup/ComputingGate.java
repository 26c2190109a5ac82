package jollytide.server.setup;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import jollytide.server.problem.Problem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Lets as many sums run at once as there are cores; the others wait in line, without a database connection. Whoever asks
 * for many at once waits alone: beyond a few in line, they are told to come again.
 */
@Component
class ComputingGate implements HandlerInterceptor, WebMvcConfigurer {
    /** A browser opens six connections to a server; a script of the same keeper may run beside it. */
    private static final int IN_LINE_EACH = 8;

    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final String ENTERED = ComputingGate.class.getName();

    private final Semaphore cores =
            new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);
    private final Map<String, Integer> inLine = new HashMap<>();

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws InterruptedException {
        if (!computes(handler)) {
            return true;
        }
        String caller = caller(request);
        synchronized (inLine) {
            if (inLine.getOrDefault(caller, 0) >= IN_LINE_EACH) {
                throw Problem.of(
                                HttpStatus.TOO_MANY_REQUESTS,
                                "Too many at once",
                                "You asked for " + (IN_LINE_EACH + 1) + " sums at once; " + IN_LINE_EACH
                                        + " are computed. Ask again in a second.")
                        .retryAfter(1);
            }
            inLine.merge(caller, 1, Integer::sum);
        }
        boolean entered = false;
        try {
            entered = cores.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } finally {
            if (!entered) {
                leave(caller);
            }
        }
        if (!entered) {
            throw Problem.of(
                            HttpStatus.SERVICE_UNAVAILABLE,
                            "Too many at once",
                            "Others compute at this moment. Ask again in a few seconds.")
                    .retryAfter(3);
        }
        request.setAttribute(ENTERED, caller);
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception e) {
        if (request.getAttribute(ENTERED) instanceof String caller) {
            request.removeAttribute(ENTERED);
            cores.release();
            leave(caller);
        }
    }

    private void leave(String caller) {
        synchronized (inLine) {
            inLine.computeIfPresent(caller, (who, n) -> n <= 1 ? null : n - 1);
        }
    }

    private static boolean computes(Object handler) {
        return handler instanceof HandlerMethod method
                && (method.hasMethodAnnotation(Computes.class)
                        || method.getBeanType().isAnnotationPresent(Computes.class));
    }

    private static String caller(HttpServletRequest request) {
        Principal who = request.getUserPrincipal();
        return who == null ? "address " + request.getRemoteAddr() : who.getName();
    }
}
