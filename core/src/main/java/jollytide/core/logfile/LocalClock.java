package jollytide.core.logfile;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.zone.ZoneOffsetTransition;
import java.time.zone.ZoneRules;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;

/**
 * Turns the local times of one channel into instants. The hour that a clock change repeats is told by order: where the
 * lines fall back by half an hour or more, the second pass begins. Lines wait until the hour is over; when their order
 * does not tell, they are refused.
 *
 * @param <T> what comes with each time
 */
final class LocalClock<T> {
    private static final Duration FALLS_BACK = Duration.ofMinutes(30);
    private static final int MAX_WAITING = 100_000;

    private final ZoneId zone;
    private final ZoneRules rules;
    private final BiConsumer<Instant, T> told;
    private final BiConsumer<String, T> refused;
    private final List<Waiting<T>> waiting = new ArrayList<>();
    private @Nullable LocalDateTime before;
    private boolean descending;

    private record Waiting<T>(LocalDateTime local, T with) {}

    LocalClock(ZoneId zone, BiConsumer<Instant, T> told, BiConsumer<String, T> refused) {
        this.zone = zone;
        this.rules = zone.getRules();
        this.told = told;
        this.refused = refused;
    }

    void accept(Stamp stamp, T with) {
        if (stamp.offset() != null) {
            told.accept(stamp.local().toInstant(stamp.offset()), with);
            return;
        }
        LocalDateTime local = stamp.local();
        ZoneOffsetTransition change = rules.getTransition(local);
        if (change == null || change.isGap()) {
            end();
            descending = before != null && local.isBefore(before);
            before = local;
        }
        if (change == null) {
            told.accept(local.toInstant(rules.getOffset(local)), with);
        } else if (change.isGap()) {
            refused.accept(
                    "the clocks in " + zone
                            + " skipped this time. If the logger uses winter time all year, choose that zone",
                    with);
        } else if (waiting.size() >= MAX_WAITING) {
            refused.accept("too many lines in the hour that the clocks repeated", with);
        } else {
            waiting.add(new Waiting<>(local, with));
        }
    }

    /** Lets the waiting lines go; to be called at the end of the file. */
    void end() {
        if (waiting.isEmpty()) {
            return;
        }
        int second = secondPass();
        ZoneOffsetTransition change = rules.getTransition(waiting.get(0).local());
        ZoneOffset early = descending ? change.getOffsetAfter() : change.getOffsetBefore();
        ZoneOffset late = descending ? change.getOffsetBefore() : change.getOffsetAfter();
        for (int i = 0; i < waiting.size(); i++) {
            Waiting<T> w = waiting.get(i);
            if (second < 0) {
                refused.accept(
                        "the clocks in " + zone + " repeated this hour, and the order of lines does not show "
                                + "which one is meant",
                        w.with());
            } else {
                told.accept(w.local().toInstant(i < second ? early : late), w.with());
            }
        }
        waiting.clear();
    }

    /** Where the second pass through the repeated hour begins; −1 when the order does not tell. */
    private int secondPass() {
        if (before == null && waiting.size() > 1) {
            descending = waiting.get(1).local().isBefore(waiting.get(0).local());
        } else if (before != null) {
            descending = waiting.get(0).local().isBefore(before);
        }
        int sign = descending ? -1 : 1;
        for (int i = 1; i < waiting.size(); i++) {
            Duration step =
                    Duration.between(waiting.get(i - 1).local(), waiting.get(i).local());
            if (step.multipliedBy(sign).plus(FALLS_BACK).compareTo(Duration.ZERO) <= 0) {
                return i;
            }
        }
        boolean hourly = waiting.size() == 2
                && waiting.get(0).local().equals(waiting.get(1).local());
        return hourly ? 1 : -1;
    }
}
