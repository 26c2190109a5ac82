package jollytide.server.setup;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Computes.Lane;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Lets as many sums run at once as there are cores; the others wait in line, without a database connection. Whoever asks
 * for many at once waits alone: beyond a few in line, they are told to come again. What is urgent has a line of its own. A
 * sum that takes too long is stopped.
 */
@Component
class ComputingGate implements HandlerInterceptor, WebMvcConfigurer {
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final String ENTERED = ComputingGate.class.getName();

    private final Map<Lane, Line> lines = Map.of(
            // A browser opens six connections to a server; a script of the same keeper may run beside it.
            Lane.ORDINARY, new Line(8), Lane.URGENT, new Line(8));
    private final Duration longest;
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "longest-sums");
        thread.setDaemon(true);
        return thread;
    });

    ComputingGate(@Value("${jollytide.longest-sum:30s}") Duration longest) {
        this.longest = longest;
    }

    /** Those who wait for each other. */
    private static final class Line {
        private final Semaphore cores =
                new Semaphore(Math.max(2, Runtime.getRuntime().availableProcessors()), true);
        private final Map<String, Integer> inLine = new HashMap<>();
        private final int each;

        Line(int each) {
            this.each = each;
        }

        synchronized void join(String caller) {
            if (inLine.getOrDefault(caller, 0) >= each) {
                throw Problem.of(
                                HttpStatus.TOO_MANY_REQUESTS,
                                "Too many at once",
                                "You asked for " + (each + 1) + " calculations at once. At most " + each
                                        + " run at the same time. Try again in a second.")
                        .retryAfter(1);
            }
            inLine.merge(caller, 1, Integer::sum);
        }

        synchronized void leave(String caller) {
            inLine.computeIfPresent(caller, (who, n) -> n <= 1 ? null : n - 1);
        }
    }

    /** One sum that runs: it is interrupted when its time is up, and never after it has ended. */
    private static final class Running {
        private final Line line;
        private final String caller;
        private final Thread thread = Thread.currentThread();
        private @Nullable Future<?> atItsTime;
        private boolean over;
        private boolean stopped;

        Running(Line line, String caller) {
            this.line = line;
            this.caller = caller;
        }

        synchronized void stop() {
            if (!over) {
                stopped = true;
                thread.interrupt();
            }
        }

        synchronized void end() {
            over = true;
            if (atItsTime != null) {
                atItsTime.cancel(false);
            }
            if (stopped) {
                // The thread serves others next.
                Thread.interrupted();
            }
        }
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws InterruptedException {
        Lane lane = lane(handler);
        if (lane == null) {
            return true;
        }
        Line line = Objects.requireNonNull(lines.get(lane));
        String caller = caller(request);
        line.join(caller);
        boolean entered = false;
        try {
            entered = line.cores.tryAcquire(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } finally {
            if (!entered) {
                line.leave(caller);
            }
        }
        if (!entered) {
            throw Problem.of(
                            HttpStatus.SERVICE_UNAVAILABLE,
                            "Too many at once",
                            "The server is busy with other calculations. Try again in a few seconds.")
                    .retryAfter(3);
        }
        Running running = new Running(line, caller);
        request.setAttribute(ENTERED, running);
        running.atItsTime = clock.schedule(running::stop, longest.toMillis(), TimeUnit.MILLISECONDS);
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception e) {
        if (request.getAttribute(ENTERED) instanceof Running running) {
            request.removeAttribute(ENTERED);
            running.end();
            running.line.cores.release();
            running.line.leave(running.caller);
        }
    }

    private static @Nullable Lane lane(Object handler) {
        if (!(handler instanceof HandlerMethod method)) {
            return null;
        }
        Computes computes = method.getMethodAnnotation(Computes.class);
        if (computes == null) {
            computes = method.getBeanType().getAnnotation(Computes.class);
        }
        return computes == null ? null : computes.value();
    }

    private static String caller(HttpServletRequest request) {
        Principal who = request.getUserPrincipal();
        return who == null ? "address " + request.getRemoteAddr() : who.getName();
    }
}
