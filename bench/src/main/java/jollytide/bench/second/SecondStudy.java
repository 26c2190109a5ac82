package jollytide.bench.second;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import jollytide.bench.Studies;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.Decision;
import jollytide.core.fit.Edges;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.TwinFit;
import jollytide.core.measure.Setup;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * Whether the fit's bands hold what is so in a world that the model did not make. Prints for each of eight answers how many of
 * the 90 % bands hold it, how many lie below and above it, how wide they are and their interval score (Gneiting and Raftery
 * 2007: width, and twenty times what a miss is off by); a fit that is refused holds nothing.
 */
public final class SecondStudy {
    private static final String RESPIRATION = "respiration, mmol/(L·h)";
    private static final double TWO_OVER_ALPHA = 20;
    /** The model takes six metres of half-inch hose to keep about so much of a skimmer's draw. */
    private static final double DRAW_WITH_HOSE = 0.97;

    /** The fit takes none below it ({@code TwinFit}): one that stands there has noticed nothing. */
    private static final double LEAST_DISPERSION = 2.5;

    private SecondStudy() {}

    public static void main(String[] args) {
        int tanks = args.length > 0 ? Integer.parseInt(args[0]) : 400;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        long began = System.nanoTime();
        List<Case> cases = IntStream.range(0, tanks)
                .parallel()
                .mapToObj(i -> Case.of(Studies.random(seed, i)))
                .toList();
        System.out.printf(
                Locale.ROOT,
                "second world, %d tanks, seed %d, %.0f s; %d fits refused; dispersion at its least in %d%n",
                tanks,
                seed,
                (System.nanoTime() - began) / 1e9,
                cases.stream().filter(c -> c.refused != null).count(),
                cases.stream().filter(c -> c.dispersion <= LEAST_DISPERSION).count());
        System.out.println(
                "what                                        of   held  too high  too low   width   score  off by");
        print(cases, RESPIRATION);
        Arrays.stream(Decision.values()).map(Decision::label).forEach(what -> print(cases, what));
        cases.stream()
                .filter(c -> c.refused != null)
                .map(c -> "refused: " + c.refused)
                .sorted()
                .forEach(System.out::println);
    }

    private static void print(List<Case> cases, String what) {
        List<Answer> all = cases.stream()
                .flatMap(c -> c.answers.stream())
                .filter(a -> a.what.equals(what) && !Double.isNaN(a.truth))
                .toList();
        List<Answer> given = all.stream().filter(a -> !Double.isNaN(a.low)).toList();
        System.out.printf(
                Locale.ROOT,
                "%-42s %4d %5.1f %%  %5.1f %%  %5.1f %%  %6.3f  %6.3f  %+.3f%n",
                what,
                all.size(),
                100.0 * given.stream().filter(Answer::held).count() / all.size(),
                100.0 * given.stream().filter(a -> a.truth < a.low).count() / all.size(),
                100.0 * given.stream().filter(a -> a.truth > a.high).count() / all.size(),
                Studies.median(given.stream().mapToDouble(a -> a.high - a.low)),
                given.stream().mapToDouble(Answer::score).average().orElse(Double.NaN),
                given.stream().mapToDouble(a -> a.likely - a.truth).average().orElse(Double.NaN));
    }

    private record Answer(String what, double truth, double likely, double low, double high) {
        boolean held() {
            return truth >= low && truth <= high;
        }

        double score() {
            return high - low + TWO_OVER_ALPHA * Math.max(0, Math.max(low - truth, truth - high));
        }
    }

    /** @param refused why there is no fit; null where there is one */
    private record Case(@Nullable String refused, double dispersion, List<Answer> answers) {
        static Case of(RandomGenerator random) {
            Kept kept = Kept.livable(random);
            double[] truth = truth(kept);
            Setup described = kept.described();
            List<String> names = new ArrayList<>(List.of(RESPIRATION));
            Decision.of(described).forEach(d -> names.add(d.label()));
            try {
                FittedTank fitted = TwinFit.of(
                        described, TankParameters.ORDINARY, kept.log(), Priors.ASSUMED, TwinFit.Progress.NONE);
                String refused = fitted.implausible(described);
                if (refused == null) {
                    return new Case(null, fitted.dispersion(), answers(described, fitted, names, truth));
                }
                return none(refused, names, truth);
            } catch (InputException noSuchTank) {
                return none(noSuchTank.getMessage(), names, truth);
            }
        }

        private static Case none(String refused, List<String> names, double[] truth) {
            return new Case(
                    refused,
                    Double.NaN,
                    IntStream.range(0, truth.length)
                            .mapToObj(i -> new Answer(names.get(i), truth[i], Double.NaN, Double.NaN, Double.NaN))
                            .toList());
        }

        private static List<Answer> answers(Setup described, FittedTank fitted, List<String> names, double[] truth) {
            List<double[]> forecast = Edges.of(described, fitted, Kept.END).stream()
                    .map(tank -> Decision.values(described, tank, Kept.END))
                    .toList();
            double deviation = fitted.learned().get(0).deviation();
            double likely = fitted.likely().respirationMmolPerLPerH();
            List<Answer> answers = new ArrayList<>();
            answers.add(new Answer(
                    RESPIRATION,
                    truth[0],
                    likely,
                    likely * Math.exp(-1.645 * deviation),
                    likely * Math.exp(1.645 * deviation)));
            for (int i = 1; i < truth.length; i++) {
                int which = i - 1;
                answers.add(new Answer(
                        names.get(i),
                        truth[i],
                        forecast.get(0)[which],
                        forecast.stream().mapToDouble(f -> f[which]).min().orElseThrow(),
                        forecast.stream().mapToDouble(f -> f[which]).max().orElseThrow()));
            }
            return answers;
        }

        /** Respiration, then every decision that the tank has: means over the days that were logged. */
        private static double[] truth(Kept kept) {
            Tank tank = kept.tank();
            double low = mean(kept.asItIs(), true);
            Tank.Course still =
                    kept.described().skimmer() == null ? kept.asItIs() : tank.run(new Tank.Change(1, 1, 0, false, 0));
            List<Double> all = new ArrayList<>(List.of(tank.darkRespiration()));
            for (Decision decision : Decision.of(kept.described())) {
                all.add(
                        switch (decision) {
                            case TROUGH -> low;
                            case LINE_GAIN -> gain(tank, new Tank.Change(1, 1, 0, true, DRAW_WITH_HOSE), low);
                            case WINDOW_GAIN -> gain(tank, new Tank.Change(4, 1, 0, false, 1), low);
                            case SURFACE_GAIN -> gain(tank, new Tank.Change(1, 3, 0, false, 1), low);
                            case ALKALINITY_GAIN -> gain(tank, new Tank.Change(1, 1, 1 / 2.8, false, 1), low);
                            case TROUGH_WITHOUT_SKIMMER -> mean(still, true);
                            case OXYGEN_WITHOUT_SKIMMER -> mean(still, false);
                        });
            }
            return all.stream().mapToDouble(Double::doubleValue).toArray();
        }

        private static double gain(Tank tank, Tank.Change change, double low) {
            return mean(tank.run(change), true) - low;
        }

        private static double mean(Tank.Course course, boolean ph) {
            return IntStream.range(0, Kept.DAYS)
                    .mapToDouble(day -> ph ? course.lowestPh(day) : course.lowestOxygen(day))
                    .average()
                    .orElseThrow();
        }
    }
}
