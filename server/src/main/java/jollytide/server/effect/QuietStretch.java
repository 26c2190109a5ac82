package jollytide.server.effect;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import jollytide.server.effect.EffectViews.Trough;

/**
 * Whole days in which nothing is noted that moves pH.
 *
 * @param until the first that no longer is
 */
record QuietStretch(LocalDate from, LocalDate until) {
    /** Longer ones are searched in pieces, so that what was found long ago is not looked for anew each day. */
    private static final int MOST_DAYS = 42;
    /** By which pieces overlap: a change near the end of one is in the middle of the next. */
    private static final int OVERLAP_DAYS = 14;
    /** The first day of a run tells nothing; then three on each side of a change. */
    private static final int LEAST_DAYS = 7;

    /** Those of a log in which enough whole days were logged, in their order. */
    static List<QuietStretch> of(TankHistory history) {
        List<QuietStretch> all = new ArrayList<>();
        List<Trough> logged = history.logged();
        if (logged.isEmpty()) {
            return all;
        }
        LocalDate from = logged.get(0).day();
        for (Step step : history.steps()) {
            if (step.moves()) {
                add(all, logged, from, LocalDate.ofInstant(step.at(), history.zone()));
                LocalDate settled = LocalDate.ofInstant(step.over().plus(history.settling()), history.zone())
                        .plusDays(1);
                from = settled.isAfter(from) ? settled : from;
            }
        }
        add(all, logged, from, history.today());
        return all;
    }

    private static void add(List<QuietStretch> all, List<Trough> logged, LocalDate from, LocalDate until) {
        for (LocalDate day = from; ; day = day.plusDays(MOST_DAYS - OVERLAP_DAYS)) {
            LocalDate end = day.plusDays(MOST_DAYS);
            QuietStretch piece = new QuietStretch(day, end.isBefore(until) ? end : until);
            if (logged.stream().filter(t -> piece.holds(t.day())).count() >= LEAST_DAYS) {
                all.add(piece);
            }
            if (!end.isBefore(until)) {
                return;
            }
        }
    }

    private boolean holds(LocalDate day) {
        return !day.isBefore(from) && day.isBefore(until);
    }

    /** The days of which this stretch knows better than those that overlap with it, and than a note at its edge. */
    QuietStretch middle(LocalDate today) {
        return new QuietStretch(
                from.plusDays(OVERLAP_DAYS / 2), until.equals(today) ? until : until.minusDays(OVERLAP_DAYS / 2));
    }

    Instant start(TankHistory history) {
        return history.start(from);
    }

    Instant end(TankHistory history) {
        return history.start(until);
    }
}
