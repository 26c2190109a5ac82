package jollytide.server.effect;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import jollytide.core.effects.Doubt;
import jollytide.core.effects.Effect;
import jollytide.core.effects.HalfHourOfDay;
import jollytide.core.effects.Trial;
import jollytide.core.effects.Windows;
import jollytide.core.evidence.Estimate;
import jollytide.core.fit.Priors;
import jollytide.core.fit.TankLog;
import jollytide.core.measure.Measures;
import jollytide.core.measure.Setup;
import jollytide.server.effect.EffectViews.Found;
import jollytide.server.effect.EffectViews.FoundTrial;
import jollytide.server.effect.EffectViews.Made;
import jollytide.server.twin.TwinBook;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Compares the days after a step with those before it: the tank as it was before, fitted to its fortnight then, is run
 * through both.
 */
@Component
class EffectMaker {
    /** What a keeper would want to see where nobody said what is possible. */
    private static final double WORTH_SEEING_PH = 0.05;

    private final TwinBook book;

    EffectMaker(TwinBook book) {
        this.book = book;
    }

    /** What there is to be compared: whole days, or else hours. */
    Made made(TankHistory history, Step step, Windows windows) {
        Instant until = history.hoursEnd(step, windows);
        return until == null
                ? new Made(history.hasDays(windows) ? days(history, step, windows) : null, null)
                : new Made(null, hours(history, step, windows, until));
    }

    private @Nullable Found days(TankHistory history, Step step, Windows windows) {
        Instant from = history.start(windows.before());
        Instant then = history.start(windows.change());
        Instant until = history.start(windows.end());
        TwinBook.Described was = book.describe(history.tank(), then);
        TankLog log = book.logged(history.tank(), was, from, until);
        Estimate possible = step.said() ? possible(history, was, then, step.over()) : null;
        double days = TankHistory.days(middle(from, then), middle(history.start(windows.after()), until));
        return found(history, windows, was, List.of(log), days, possible, lookFor(step));
    }

    /**
     * Any days beside any later ones, however far apart: each in a run of its own.
     *
     * @param said whether it is known in measures' terms what all changes between them did
     */
    @Nullable
    Found between(TankHistory history, Windows windows, boolean said) {
        Instant from = history.start(windows.before());
        Instant then = history.start(windows.change());
        Instant after = history.start(windows.after());
        Instant until = history.start(windows.end());
        TwinBook.Described was = book.describe(history.tank(), then);
        List<TankLog> logs = Stream.of(
                        book.logged(history.tank(), was, from, then), book.logged(history.tank(), was, after, until))
                .filter(log -> !log.ph().isEmpty())
                .toList();
        if (logs.size() < 2) {
            return null;
        }
        Estimate possible = said ? possible(history, was, then, after) : null;
        double days = history.daysOfDrift(middle(from, then), middle(after, until));
        return found(history, windows, was, logs, days, possible, List.of());
    }

    private static @Nullable Found found(
            TankHistory history,
            Windows windows,
            TwinBook.Described was,
            List<TankLog> logs,
            double daysOfDrift,
            @Nullable Estimate possible,
            List<String> lookFor) {
        Instant from = history.start(windows.before());
        Instant then = history.start(windows.change());
        Instant after = history.start(windows.after());
        Instant until = history.start(windows.end());
        boolean calibrated = history.calibratedBetween(middle(from, then), middle(after, until));
        TankLog first = logs.get(0);
        TankLog last = logs.get(logs.size() - 1);
        Doubt doubt = Doubt.of(
                daysOfDrift,
                calibrated,
                first.tests(from, then),
                last.tests(after, until),
                was.setup().alkalinityMeqPerL(),
                Priors.ASSUMED);
        Effect effect = Effect.of(logs, was.setup(), was.apart(), windows, history::leftOut, doubt, history.zone());
        if (effect == null) {
            return null;
        }
        return new Found(
                effect,
                effect.verdict(possible),
                possible,
                effect.moreDays(possible == null ? WORTH_SEEING_PH : Math.abs(possible.value())),
                lookFor,
                HalfHourOfDay.of(first.ph(), history.zone(), effect.daysBefore()::contains),
                HalfHourOfDay.of(last.ph(), history.zone(), effect.daysAfter()::contains),
                was.roomMeasured(),
                calibrated,
                was.problem());
    }

    /** Without a fit nobody knows how fast its water follows. */
    private @Nullable FoundTrial hours(TankHistory history, Step step, Windows windows, Instant until) {
        Instant then = history.start(windows.change());
        TwinBook.Described was = book.describe(history.tank(), then);
        if (!was.fitted()) {
            return null;
        }
        // A run's first day tells nothing: it is one that does not count yet.
        Instant from = history.start(windows.before().minusDays(1));
        TankLog log = book.logged(history.tank(), was, from, until);
        Setup since = step.said() ? book.changedSince(history.tank(), then, step.over()) : null;
        Trial trial = Trial.of(
                log,
                was.setup(),
                was.apart(),
                since,
                was.tanks(),
                step.at(),
                until,
                history::leftOut,
                ofProbe(history, was, middle(from, then), middle(step.at(), until)),
                history.zone());
        return trial == null
                ? null
                : new FoundTrial(
                        trial, Effect.Verdict.of(trial.left(), trial.possible()), lookFor(step), was.roomMeasured());
    }

    /** Hours have no tests of their own. */
    private static Doubt ofProbe(TankHistory history, TwinBook.Described was, Instant before, Instant during) {
        return Doubt.of(
                TankHistory.days(before, during),
                history.calibratedBetween(before, during),
                0,
                0,
                was.setup().alkalinityMeqPerL(),
                Priors.ASSUMED);
    }

    /** Of the trough; null without a fit, which says what could be behind the log. */
    private @Nullable Estimate possible(TankHistory history, TwinBook.Described was, Instant then, Instant over) {
        if (!was.fitted() || was.tanks().isEmpty()) {
            return null;
        }
        Setup since = book.changedSince(history.tank(), then, over);
        return since.equals(was.setup()) ? Estimate.exact(0) : Effect.possible(was.setup(), since, was.tanks(), then);
    }

    private static List<String> lookFor(Step step) {
        return step.changes().stream()
                .filter(c -> c.what() == Step.What.BEGAN)
                .flatMap(c -> Optional.ofNullable(c.measures()).stream().flatMap(List::stream))
                .map(put -> Measures.kind(put.kind()))
                .flatMap(kind -> kind.lookFor().stream())
                .distinct()
                .toList();
    }

    private static Instant middle(Instant from, Instant until) {
        return from.plus(Duration.between(from, until).dividedBy(2));
    }
}
