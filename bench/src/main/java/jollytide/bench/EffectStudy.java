package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import jollytide.core.air.AirLine;
import jollytide.core.description.DailyAir;
import jollytide.core.description.TankParameters;
import jollytide.core.effects.Comparison;
import jollytide.core.effects.DayOfWater;
import jollytide.core.effects.Doubt;
import jollytide.core.effects.Effect;
import jollytide.core.effects.Trial;
import jollytide.core.effects.Windows;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TwinFit;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.OutdoorLine;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;

/**
 * Whether cards claim what is there: logs in which nothing changed but the room's ordinary life and a drifting probe,
 * logs in which an outdoor line lifts the trough, and logs in which the room changed on the same day. The tanks, their
 * sensors and rooms are those of {@link FitStudy}.
 */
public final class EffectStudy {
    private static final double LIFT = 0.08;
    private static final int SETTLING_DAYS = 2;
    private static final int CHANGED_AT_H = 18;
    private static final AirLine HOSE = new AirLine(6, 12.7, AirLine.ASSUMED_LOSS);
    private static final double CLEANEST = 420;
    private static final double FOULEST = 2500;

    private EffectStudy() {}

    public static void main(String[] args) {
        int logs = args.length > 0 ? Integer.parseInt(args[0]) : 400;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        System.out.printf(Locale.ROOT, "%d logs of each, seed %d%n", logs, seed);
        if (args.length < 3 || !args[2].equals("hours")) {
            byDays(logs, seed);
        }
        byHours(logs, seed);
    }

    private static void byDays(int logs, long seed) {
        print("nothing changed, 14 days after", cases(logs, seed, 14, false, false));
        print("nothing changed, 2 days after", cases(logs / 2, seed + 3, 2, false, false));
        print("a line of +0.08, 10 days after", cases(logs, seed + 1, 10, true, false));
        print(
                "a line of +0.08, and the room holds half or twice as much from that day on",
                cases(logs / 4, seed + 2, 10, true, true));
    }

    private static void byHours(int logs, long seed) {
        printTrials("nothing changed, 26 hours", trials(logs / 2, seed + 4, 26, false));
        printTrials("a line of +0.08, 26 hours", trials(logs / 2, seed + 5, 26, true));
        printTrials("a line of +0.08, 48 hours", trials(logs / 2, seed + 6, 48, true));
    }

    private static void printTrials(String what, List<TrialCase> cases) {
        System.out.printf(
                Locale.ROOT,
                "%s: %d of them, claimed %.1f %%, held %.1f %%, width %.3f, off by %+.4f%n",
                what,
                cases.size(),
                100.0 * cases.stream().filter(c -> c.trial.left().claimed()).count() / cases.size(),
                100.0
                        * cases.stream()
                                .filter(c -> c.trial.left().band().holds(c.truth))
                                .count()
                        / cases.size(),
                cases.stream()
                        .mapToDouble(c -> c.trial.left().band().high()
                                - c.trial.left().band().low())
                        .sorted()
                        .toArray()[cases.size() / 2],
                cases.stream()
                        .mapToDouble(c -> c.trial.left().value() - c.truth)
                        .average()
                        .orElseThrow());
    }

    private static List<TrialCase> trials(int logs, long seed, int hours, boolean line) {
        return IntStream.range(0, logs)
                .parallel()
                .mapToObj(i -> TrialCase.of(
                        new SplittableRandom(new SplittableRandom(seed * 1_000_003 + i).nextLong()),
                        i % 5 == 4,
                        Duration.ofHours(hours),
                        line))
                .filter(Objects::nonNull)
                .toList();
    }

    /** @param truth where the line would end in these very hours, by the tank as it is */
    private record TrialCase(Trial trial, double truth) {
        static @Nullable TrialCase of(RandomGenerator random, boolean wrong, Duration length, boolean line) {
            int more = 2 + (int) length.toDays();
            Instant end = SimulatedTank.START.plus(Duration.ofDays(SimulatedTank.DAYS));
            Instant at = end.plus(Duration.ofHours(CHANGED_AT_H));
            SimulatedTank world = SimulatedTank.livable(random, wrong, SimulatedTank.Kind.PLAIN, more, 1);
            MeasureSet measures = line ? Case.lifting(world, end) : MeasureSet.NONE;
            while (measures == null) {
                world = SimulatedTank.livable(random, wrong, SimulatedTank.Kind.PLAIN, more, 1);
                measures = Case.lifting(world, end);
            }
            List<Reading> all = world.probe().changed(world, measures, at, at.plus(length));
            Instant first = SimulatedTank.START.plus(Duration.ofDays(2));
            FittedTank fitted = TwinFit.of(
                    world.described(),
                    TankParameters.ORDINARY,
                    world.log(Case.within(all, first, end)),
                    Priors.ASSUMED,
                    TwinFit.Progress.NONE);
            List<TankParameters> tanks = fitted.apart();
            Trial trial = Trial.of(
                    world.log(Case.within(all, first, at.plus(length))),
                    world.described(),
                    tanks,
                    null,
                    List.of(),
                    at,
                    at.plus(length),
                    day -> false,
                    Doubt.of(8, false, 0, 0, world.described().alkalinityMeqPerL(), Priors.ASSUMED),
                    SimulatedTank.ZONE);
            return trial == null ? null : new TrialCase(trial, line ? truth(world, measures, at, length) : 0);
        }

        private static double truth(SimulatedTank world, MeasureSet measures, Instant at, Duration length) {
            OrdinaryDays days = new OrdinaryDays(world.real(), world.truth(), world.trueRoom());
            TwinState first = days.today(SimulatedTank.START);
            List<TwinState> until = days.run(first, MeasureSet.NONE, Duration.between(SimulatedTank.START, at));
            TwinState began = until.get(until.size() - 1);
            List<TwinState> with = days.run(began, measures, length);
            List<TwinState> without = days.run(began, MeasureSet.NONE, length);
            return Trial.end(
                    IntStream.range(0, with.size())
                            .mapToObj(i -> new Reading(
                                    with.get(i).at(),
                                    with.get(i).phNbs() - without.get(i).phNbs()))
                            .toList(),
                    at,
                    days.timeConstantH(first, MeasureSet.NONE));
        }
    }

    private static List<Case> cases(int logs, long seed, int days, boolean line, boolean room) {
        return IntStream.range(0, logs)
                .parallel()
                .mapToObj(i -> Case.of(
                        new SplittableRandom(new SplittableRandom(seed * 1_000_003 + i).nextLong()),
                        i % 5 == 4,
                        days,
                        line,
                        room))
                .filter(Objects::nonNull)
                .toList();
    }

    private static void print(String what, List<Case> cases) {
        System.out.printf(Locale.ROOT, "%s: %d cards%n", what, cases.size());
        System.out.println("          claimed    held    width   off by   raw off by");
        print("trough", cases, DayOfWater::trough, c -> c.effect.trough());
        print("peak", cases, DayOfWater::peak, c -> c.effect.peak());
        print("mean", cases, DayOfWater::mean, c -> c.effect.mean());
    }

    private static void print(String what, List<Case> cases, ToDoubleFunction<DayOfWater> truth, Of of) {
        System.out.printf(
                Locale.ROOT,
                "  %-6s  %5.1f %%  %5.1f %%   %.3f   %+.4f   %+.4f%n",
                what,
                100.0 * cases.stream().filter(c -> of.of(c).left().claimed()).count() / cases.size(),
                100.0
                        * cases.stream()
                                .filter(c -> of.of(c).left().band().holds(truth.applyAsDouble(c.truth)))
                                .count()
                        / cases.size(),
                cases.stream()
                        .mapToDouble(c -> of.of(c).left().band().high()
                                - of.of(c).left().band().low())
                        .sorted()
                        .toArray()[cases.size() / 2],
                cases.stream()
                        .mapToDouble(c -> of.of(c).left().value() - truth.applyAsDouble(c.truth))
                        .average()
                        .orElseThrow(),
                cases.stream()
                        .mapToDouble(c -> of.of(c).raw() - truth.applyAsDouble(c.truth))
                        .average()
                        .orElseThrow());
    }

    private interface Of {
        Comparison of(Case c);
    }

    /** @param truth what the line really added in those days and that room */
    private record Case(Effect effect, DayOfWater truth) {
        static @Nullable Case of(RandomGenerator random, boolean wrong, int days, boolean line, boolean room) {
            double times = room ? random.nextBoolean() ? 2 : 0.5 : 1;
            int more = 1 + SETTLING_DAYS + days;
            SimulatedTank world = SimulatedTank.livable(random, wrong, SimulatedTank.Kind.PLAIN, more, times);
            Instant end = SimulatedTank.START.plus(Duration.ofDays(SimulatedTank.DAYS));
            Instant at = end.plus(Duration.ofHours(CHANGED_AT_H));
            MeasureSet measures = MeasureSet.NONE;
            while (line) {
                measures = lifting(world, end);
                if (measures != null) {
                    break;
                }
                world = SimulatedTank.livable(random, wrong, SimulatedTank.Kind.PLAIN, more, times);
            }
            Instant last = end.plus(Duration.ofDays(more));
            List<Reading> all = world.probe().changed(world, Objects.requireNonNull(measures), at, last);
            Instant first = SimulatedTank.START.plus(Duration.ofDays(2));
            List<Reading> before = within(all, first, end);
            FittedTank fitted = TwinFit.of(
                    world.described(),
                    TankParameters.ORDINARY,
                    world.log(before),
                    Priors.ASSUMED,
                    TwinFit.Progress.NONE);
            Windows windows = Windows.of(
                    at,
                    at,
                    List.of(),
                    Duration.ofDays(SETTLING_DAYS),
                    LocalDate.ofInstant(last, SimulatedTank.ZONE),
                    SimulatedTank.ZONE);
            Effect effect = Effect.of(
                    List.of(world.log(within(all, first, last))),
                    world.described(),
                    fitted.apart(),
                    windows,
                    day -> false,
                    Doubt.of(
                            7 + 1 + SETTLING_DAYS + days / 2.0,
                            false,
                            2,
                            tests(world, end, last),
                            world.described().alkalinityMeqPerL(),
                            Priors.ASSUMED),
                    SimulatedTank.ZONE);
            return effect == null
                    ? null
                    : new Case(
                            effect,
                            truth(world, measures, room ? at : first, room ? windows::isAfter : d -> true, last));
        }

        private static int tests(SimulatedTank world, Instant from, Instant until) {
            return (int) world.tests().stream()
                    .filter(t -> !t.at().isBefore(from) && t.at().isBefore(until))
                    .count();
        }

        private static List<Reading> within(List<Reading> all, Instant from, Instant until) {
            return all.stream()
                    .filter(r -> !r.at().isBefore(from) && r.at().isBefore(until))
                    .toList();
        }

        /** A line whose mouth is so foul that it lifts the settled trough by just so much; null where none does. */
        private static @Nullable MeasureSet lifting(SimulatedTank world, Instant at) {
            if (world.real().skimmer() == null || gain(world, CLEANEST, at) < LIFT) {
                return null;
            }
            double low = CLEANEST;
            double high = FOULEST;
            for (int i = 0; i < 12; i++) {
                double middle = (low + high) / 2;
                if (gain(world, middle, at) > LIFT) {
                    low = middle;
                } else {
                    high = middle;
                }
            }
            return line(low);
        }

        private static MeasureSet line(double ppm) {
            return MeasureSet.of(new OutdoorLine(HOSE, DailyAir.constant(ppm), 0));
        }

        private static double gain(SimulatedTank world, double ppm, Instant at) {
            OrdinaryDays days = new OrdinaryDays(world.real(), world.truth());
            TwinState today = days.today(at);
            return days.settled(today, line(ppm)).troughPh()
                    - days.settled(today, MeasureSet.NONE).troughPh();
        }

        /**
         * Of the tank as it is, in its true room: what the line adds on the middle one of its days. Of all of them: a
         * card is about usual days, not about the few that came; but where the room changed, of those after it.
         */
        private static DayOfWater truth(
                SimulatedTank world, MeasureSet measures, Instant at, Predicate<LocalDate> which, Instant last) {
            OrdinaryDays days = new OrdinaryDays(world.real(), world.truth(), world.trueRoom());
            TwinState today = days.today(at);
            List<DayOfWater> without = days(days.run(today, MeasureSet.NONE, Duration.between(at, last)), which);
            List<DayOfWater> with = days(days.run(today, measures, Duration.between(at, last)), which);
            return new DayOfWater(
                    without.get(0).day(),
                    median(with, without, DayOfWater::trough),
                    median(with, without, DayOfWater::peak),
                    median(with, without, DayOfWater::mean));
        }

        private static List<DayOfWater> days(List<TwinState> run, Predicate<LocalDate> which) {
            List<Reading> halfHours = run.stream()
                    .filter(s -> s.at().getEpochSecond() % 1800 == 0)
                    .map(s -> new Reading(s.at(), s.phNbs()))
                    .toList();
            return DayOfWater.of(halfHours, SimulatedTank.ZONE).stream()
                    .filter(d -> which.test(d.day()))
                    .toList();
        }

        private static double median(
                List<DayOfWater> with, List<DayOfWater> without, ToDoubleFunction<DayOfWater> number) {
            double[] added = IntStream.range(0, with.size())
                    .mapToDouble(i -> number.applyAsDouble(with.get(i)) - number.applyAsDouble(without.get(i)))
                    .sorted()
                    .toArray();
            int middle = added.length / 2;
            return added.length % 2 == 1 ? added[middle] : (added[middle - 1] + added[middle]) / 2;
        }
    }
}
