package jollytide.server.setup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import jollytide.core.numerics.Stopped;
import jollytide.core.twin.Twin;
import jollytide.core.twin.TwinState;
import jollytide.core.twin.TwinTank;
import jollytide.core.twin.Water;
import jollytide.server.problem.Problem;
import jollytide.server.setup.Computes.Lane;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.web.method.HandlerMethod;

/** Sums wait for each other in their own line, and no longer than they may. */
class ComputingGateTest {
    static final class Doors {
        @Computes
        public void sum() {}

        @Computes(Lane.URGENT)
        public void outage() {}

        public void light() {}
    }

    private static HandlerMethod door(String name) throws NoSuchMethodException {
        return new HandlerMethod(new Doors(), name);
    }

    private final List<MockHttpServletRequest> inside = new CopyOnWriteArrayList<>();

    private void enter(ComputingGate gate, String door, String from) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setRemoteAddr(from);
        assertThat(gate.preHandle(request, new MockHttpServletResponse(), door(door)))
                .isTrue();
        inside.add(request);
    }

    /** All cores compute for others: an outage begins at once, a light sum is not even counted. */
    @Test
    void whatIsUrgentWaitsForNoOtherSum() throws Exception {
        ComputingGate gate = new ComputingGate(Duration.ofMinutes(1));
        int cores = Math.max(2, Runtime.getRuntime().availableProcessors());
        for (int i = 0; i < cores; i++) {
            enter(gate, "sum", "10.0.0." + i);
        }
        enter(gate, "outage", "10.0.1.1");
        for (int i = 0; i < 50; i++) {
            enter(gate, "light", "10.0.1.2");
        }
        ExecutorService others = Executors.newCachedThreadPool();
        CompletableFuture<Void> waits = CompletableFuture.runAsync(
                () -> {
                    try {
                        enter(gate, "sum", "10.0.2.1");
                    } catch (Exception e) {
                        throw new IllegalStateException(e);
                    }
                },
                others);
        assertThat(waits.isDone()).isFalse();
        gate.afterCompletion(inside.get(0), new MockHttpServletResponse(), door("sum"), null);
        waits.get(10, TimeUnit.SECONDS);
        others.shutdownNow();
    }

    /** Of twenty sums of one caller eight run or wait; the others are told so at once. */
    @Test
    void whoAsksForTooManyAtOnceIsToldSo() throws Exception {
        ComputingGate gate = new ComputingGate(Duration.ofMinutes(1));
        ExecutorService others = Executors.newCachedThreadPool();
        CountDownLatch told = new CountDownLatch(12);
        for (int i = 0; i < 20; i++) {
            Future<?> ignored = others.submit(() -> {
                try {
                    enter(gate, "sum", "10.0.0.1");
                } catch (Problem tooMany) {
                    assertThat(tooMany.getMessage()).contains("At most 8");
                    told.countDown();
                }
                return null;
            });
        }
        assertThat(told.await(15, TimeUnit.SECONDS)).isTrue();
        others.shutdownNow();
    }

    /** A sum whose time is up ends in words; the thread serves others afterwards. */
    @Test
    void aSumThatTakesTooLongIsStopped() throws Exception {
        ComputingGate gate = new ComputingGate(Duration.ofMillis(50));
        enter(gate, "sum", "10.0.0.1");
        Twin twin = new Twin(new TwinTank(new Water(400, 35, 1013, 25, false), List.of(), false));
        TwinState start = twin.start(Instant.EPOCH, 0, 0);
        assertThatThrownBy(() -> {
                    while (true) {
                        twin.run(start, Instant.EPOCH.plus(Duration.ofDays(1)), Duration.ofHours(1));
                    }
                })
                .isInstanceOf(Stopped.class);
        gate.afterCompletion(inside.get(0), new MockHttpServletResponse(), door("sum"), null);
        assertThat(Thread.currentThread().isInterrupted()).isFalse();
        assertThat(twin.run(start, Instant.EPOCH.plus(Duration.ofHours(2)), Duration.ofHours(1)))
                .hasSize(2);
    }
}
