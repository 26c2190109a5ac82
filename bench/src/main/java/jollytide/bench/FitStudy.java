package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import jollytide.core.description.TankParameters;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Trace;
import jollytide.core.fit.DayAhead;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Edges;
import jollytide.core.fit.Experiment;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.Score;
import jollytide.core.fit.TwinFit;
import jollytide.core.fit.Unknown;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.scenario.OrdinaryDays.SettledDay;
import jollytide.core.twin.TwinState;

/**
 * Whether the fit's bands hold the truth: simulated tanks whose true exchange, metabolism, sensors and rooms nobody
 * knows, every fifth of them described wrongly, fitted to sixteen days of their logs. Prints for each decision how many of
 * the 90 % bands hold it and how wide they are.
 */
public final class FitStudy {
    private FitStudy() {}

    public static void main(String[] args) {
        int tanks = args.length > 0 ? Integer.parseInt(args[0]) : 200;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 11;
        SimulatedTank.Kind kind = SimulatedTank.Kind.of(args.length > 2 ? args[2] : "");
        long began = System.nanoTime();
        List<Case> cases = IntStream.range(0, tanks)
                .parallel()
                .mapToObj(i -> Case.of(Studies.random(seed, i), i % 5 == 4, kind))
                .toList();
        double seconds = (System.nanoTime() - began) / 1e9;
        System.out.printf(Locale.ROOT, "%d tanks, seed %d, %.0f s%n", tanks, seed, seconds);
        bands(cases);
        byDescription(cases);
        speed(cases);
        ahead(cases);
        experiments(cases);
        narrowed(cases);
    }

    /** How often each band held the truth, how wide it was, and how far off in its own deviations. */
    private static void bands(List<Case> cases) {
        System.out.println("what                                        of   held   width   off/sd");
        for (String what : names()) {
            List<Answer> answers = cases.stream()
                    .flatMap(c -> c.answers.stream())
                    .filter(a -> a.what.equals(what) && !Double.isNaN(a.truth))
                    .toList();
            System.out.printf(
                    Locale.ROOT,
                    "%-42s %4d %5.1f %%  %6.3f   %5.2f%n",
                    what,
                    answers.size(),
                    100.0 * answers.stream().filter(Answer::held).count() / answers.size(),
                    Studies.median(answers.stream().mapToDouble(a -> a.high - a.low)),
                    Studies.median(answers.stream()
                            .mapToDouble(a -> Math.abs(a.truth - a.likely) / Math.max(1e-9, (a.high - a.low) / 3.29))));
        }
    }

    /** The same where a part was described wrongly, and where none was. */
    private static void byDescription(List<Case> cases) {
        for (boolean wrong : new boolean[] {false, true}) {
            List<Answer> answers = cases.stream()
                    .filter(c -> c.wrong == wrong)
                    .flatMap(c -> c.answers.stream())
                    .toList();
            System.out.printf(
                    Locale.ROOT,
                    "%s: %.1f %% of %d held%n",
                    wrong ? "described wrongly" : "described rightly",
                    100.0 * answers.stream().filter(Answer::held).count() / answers.size(),
                    answers.size());
        }
    }

    /** What is left over, and what it takes. */
    private static void speed(List<Case> cases) {
        System.out.printf(
                Locale.ROOT,
                "persistence %.2f, what is new each half hour %.4f, dispersion %.2f, fit %.2f s, edges %.2f s (medians)%n",
                Studies.median(cases.stream().mapToDouble(c -> c.fitted.persistence())),
                Studies.median(cases.stream().mapToDouble(c -> c.fitted.freshPh())),
                Studies.median(cases.stream().mapToDouble(c -> c.fitted.dispersion())),
                Studies.median(cases.stream().mapToDouble(c -> c.fitSeconds)),
                Studies.median(cases.stream().mapToDouble(c -> c.edgeSeconds)));
    }

    /** How the next day's forecasts did, as the server makes and scores them. */
    private static void ahead(List<Case> cases) {
        for (boolean trough : new boolean[] {true, false}) {
            Score score = Score.of(
                            cases.stream().map(c -> trough ? c.trough : c.peak).toList())
                    .orElseThrow();
            System.out.printf(
                    Locale.ROOT,
                    "a day ahead, %s: %d of %d inside the band, off by %.3f on average, too high by %+.3f%n",
                    trough ? "trough" : "peak",
                    score.inside(),
                    score.n(),
                    score.off(),
                    score.tooHigh());
        }
    }

    /** What each experiment promised and brought. */
    private static void experiments(List<Case> cases) {
        for (Experiment experiment : Experiment.values()) {
            for (boolean allowed : new boolean[] {true, false}) {
                List<Made> made = cases.stream()
                        .flatMap(c -> c.made.stream())
                        .filter(m -> m.experiment == experiment && m.allowed == allowed)
                        .toList();
                if (!made.isEmpty()) {
                    System.out.printf(
                            Locale.ROOT,
                            "%s, %s: %d tanks; the trough with the skimmer off narrowed by %.0f %% promised, %.0f %%"
                                    + " achieved (medians); halved in %.0f %%; as promised in %.0f %%%n",
                            experiment,
                            allowed ? "allowed" : "not allowed",
                            made.size(),
                            100 * Studies.median(made.stream().mapToDouble(Made::promised)),
                            100 * Studies.median(made.stream().mapToDouble(Made::achieved)),
                            100.0 * made.stream().filter(m -> m.achieved >= 0.5).count() / made.size(),
                            100.0 * made.stream().filter(Made::asPromised).count() / made.size());
                }
            }
        }
    }

    /** How much of each unknown the log leaves open. */
    private static void narrowed(List<Case> cases) {
        for (Unknown unknown : Unknown.values()) {
            double[] narrowed = cases.stream()
                    .flatMap(c -> c.fitted.learned().stream())
                    .filter(l -> l.unknown() == unknown)
                    .mapToDouble(l -> l.deviation() / l.before())
                    .toArray();
            if (narrowed.length > 0) {
                System.out.printf(
                        Locale.ROOT,
                        "  %-28s deviation after over before %.2f%n",
                        unknown.label(),
                        Studies.median(DoubleStream.of(narrowed)));
            }
        }
    }

    private static List<String> names() {
        List<String> names = new ArrayList<>(List.of("respiration, mmol/(L·h)"));
        Arrays.stream(Decision.values()).map(Decision::label).forEach(names::add);
        return names;
    }

    private record Answer(String what, double truth, double likely, double low, double high) {
        boolean held() {
            return truth >= low && truth <= high;
        }
    }

    /**
     * An experiment that was made.
     *
     * @param promised narrowing of the trough with the skimmer off
     * @param achieved by the fit to the longer log
     */
    private record Made(Experiment experiment, boolean allowed, double promised, double achieved) {
        static Made of(
                SimulatedTank world,
                Experiment.Promise promise,
                Instant from,
                Instant until,
                List<double[]> before,
                Instant at) {
            int which = Decision.of(world.described()).indexOf(Decision.TROUGH_WITHOUT_SKIMMER);
            FittedTank after = TwinFit.of(
                    world.described(),
                    TankParameters.ORDINARY,
                    world.with(promise.experiment().during(), from, until),
                    Priors.ASSUMED,
                    TwinFit.Progress.NONE);
            List<double[]> then = Edges.of(world.described(), after, at).stream()
                    .map(tank -> Decision.values(world.described(), tank, at))
                    .toList();
            return new Made(
                    promise.experiment(),
                    promise.allowed(),
                    promise.narrowing().get(which),
                    1 - width(then, which) / width(before, which));
        }

        private static double width(List<double[]> forecast, int which) {
            DoubleSummaryStatistics all = forecast.stream()
                    .mapToDouble(f -> f[which])
                    .filter(v -> !Double.isNaN(v))
                    .summaryStatistics();
            return all.getMax() - all.getMin();
        }

        /** Whether what is left of the band is as promised, within a factor of 1.5. */
        boolean asPromised() {
            double ratio = (1 - achieved) / (1 - promised);
            return ratio < 1.5 && ratio > 1 / 1.5;
        }
    }

    private record Case(
            boolean wrong,
            FittedTank fitted,
            List<Answer> answers,
            List<Made> made,
            Score.Pair trough,
            Score.Pair peak,
            double fitSeconds,
            double edgeSeconds) {
        static Case of(RandomGenerator random, boolean wrong, SimulatedTank.Kind kind) {
            SimulatedTank world = SimulatedTank.livable(random, wrong, kind);
            long began = System.nanoTime();
            FittedTank fitted = TwinFit.of(
                    world.described(), TankParameters.ORDINARY, world.log(), Priors.ASSUMED, TwinFit.Progress.NONE);
            double fitSeconds = (System.nanoTime() - began) / 1e9;
            began = System.nanoTime();
            Instant at = SimulatedTank.START.plus(Duration.ofDays(SimulatedTank.DAYS));
            List<TankParameters> tanks = Edges.of(world.described(), fitted, at);
            double edgeSeconds = (System.nanoTime() - began) / 1e9;
            List<double[]> forecast = tanks.stream()
                    .map(tank -> Decision.values(world.described(), tank, at))
                    .toList();
            double[] truth = Decision.values(world.real(), world.truth(), at);
            List<Answer> answers = new ArrayList<>();
            FittedTank.Learned respiration = fitted.learned().get(0);
            double likely = fitted.likely().respirationMmolPerLPerH();
            answers.add(new Answer(
                    names().get(0),
                    world.truth().respirationMmolPerLPerH(),
                    likely,
                    likely * Math.exp(-1.645 * respiration.deviation()),
                    likely * Math.exp(1.645 * respiration.deviation())));
            List<Decision> decisions = Decision.of(world.described());
            for (int i = 0; i < truth.length; i++) {
                int which = i;
                answers.add(new Answer(
                        decisions.get(i).label(),
                        truth[i],
                        forecast.get(0)[i],
                        forecast.stream().mapToDouble(f -> f[which]).min().orElseThrow(),
                        forecast.stream().mapToDouble(f -> f[which]).max().orElseThrow()));
            }
            List<Made> made = new ArrayList<>();
            for (Experiment.Promise promise : Experiment.ranked(world.described(), fitted, tanks, at)) {
                // What is narrowed is that of the trough with the skimmer off: of tanks that have one.
                if (promise.from() != null
                        && promise.until() != null
                        && promise.lowestOxygenMgPerL() != null
                        && world.described().skimmer() != null) {
                    made.add(Made.of(world, promise, promise.from(), promise.until(), forecast, at));
                }
            }
            Trace.Extremes came = days(world.probe().dayAhead(world)).get(0);
            List<Trace.Extremes> were = days(world.log().ph());
            List<SettledDay> ordinary = tanks.stream()
                    .map(tank -> OrdinaryDays.settled(days(world.described(), tank, at)))
                    .toList();
            return new Case(
                    wrong,
                    fitted,
                    answers,
                    made,
                    ahead(ordinary, SettledDay::troughPh, were, came, Trace.Extremes::trough),
                    ahead(ordinary, SettledDay::peakPh, were, came, Trace.Extremes::peak),
                    fitSeconds,
                    edgeSeconds);
        }

        private static Score.Pair ahead(
                List<SettledDay> ordinary,
                ToDoubleFunction<SettledDay> of,
                List<Trace.Extremes> were,
                Trace.Extremes came,
                Function<Trace.Extremes, Observation> extreme) {
            Estimate band =
                    OrdinaryDays.band(ordinary.stream().map(of::applyAsDouble).toList());
            List<Double> days = were.stream().map(d -> extreme.apply(d).value()).toList();
            return new Score.Pair(DayAhead.of(band, days), extreme.apply(came).value());
        }

        /** Once it has settled. */
        private static List<TwinState> days(Setup setup, TankParameters tank, Instant at) {
            OrdinaryDays days = new OrdinaryDays(setup, tank);
            return days.run(days.today(at), MeasureSet.NONE, Duration.ofDays(7));
        }

        private static List<Trace.Extremes> days(List<Reading> ph) {
            return List.copyOf(Trace.days(
                            ph.stream()
                                    .map(r -> new Observation(r.value(), Method.PROBE, r.at()))
                                    .toList(),
                            SimulatedTank.ZONE)
                    .values());
        }
    }
}
