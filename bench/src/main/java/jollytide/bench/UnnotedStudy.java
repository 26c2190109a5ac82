package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import java.util.stream.IntStream;
import jollytide.bench.SimulatedProbe.Today;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Priors;
import jollytide.core.fit.Reading;
import jollytide.core.fit.TwinFit;
import jollytide.core.measure.MeasureSet;
import jollytide.core.units.InputException;
import jollytide.core.unnoted.Cause;
import jollytide.core.unnoted.ChangeSearch;
import jollytide.core.unnoted.Unnoted;
import org.jspecify.annotations.Nullable;

/**
 * Whether changes that nobody noted are found in logs of thirty days, and none where there was none. The tanks, their
 * sensors and rooms are those of {@link FitStudy}; a change begins on the seventeenth to the twenty-fourth day.
 */
public final class UnnotedStudy {
    private static final int FURTHER_DAYS = 14;
    private static final int DAYS = SimulatedTank.DAYS + FURTHER_DAYS;
    private static final int NEAR_DAYS = 3;
    private static final TankParameters AN_HOUR_LATE = new TankParameters(1, 1, 0, 0, 0, 0, 1, 1, 1, 1, 1);

    private UnnotedStudy() {}

    /** What happens, with the cause that should be named. */
    private enum Change {
        NOTHING(null, 1, 1),
        SKIMMER_CARRIES_70_PERCENT_WITHIN_FOUR_DAYS(Cause.SKIMMER, 0.7, 4),
        SKIMMER_CARRIES_20_PERCENT_WITHIN_FOUR_DAYS(Cause.SKIMMER, 0.2, 4),
        SURFACES_MOVE_40_PERCENT(Cause.SURFACES, 0.4, 1),
        REEF_BREATHES_HALF_AS_MUCH_AGAIN(Cause.RESPIRATION, 1.5, 1),
        LIGHT_MAKES_70_PERCENT(Cause.PHOTOSYNTHESIS, 0.7, 1),
        LAMPS_AN_HOUR_LATER(Cause.LAMPS, 1, 1),
        PROBE_READS_A_TENTH_MORE(Cause.LEVEL, 0.1, 1);

        private final @Nullable Cause cause;
        private final double size;
        private final int overDays;

        Change(@Nullable Cause cause, double size, int overDays) {
            this.cause = cause;
            this.size = size;
            this.overDays = overDays;
        }
    }

    public static void main(String[] args) {
        int logs = args.length > 0 ? Integer.parseInt(args[0]) : 100;
        long seed = args.length > 1 ? Long.parseLong(args[1]) : 1;
        System.out.printf(Locale.ROOT, "%d logs of %d days of each, seed %d%n", logs, DAYS, seed);
        System.out.println(
                "                                            any  near  named  among  size held  width  evidence");
        for (Change change : Change.values()) {
            if (args.length <= 2 || change.name().startsWith(args[2])) {
                print(change, cases(change, logs, seed));
            }
        }
    }

    private static List<Case> cases(Change change, int logs, long seed) {
        return IntStream.range(0, logs)
                .parallel()
                .mapToObj(i -> Case.of(
                        change,
                        new SplittableRandom(
                                new SplittableRandom((seed * 31 + change.ordinal()) * 1_000_003 + i).nextLong()),
                        i % 5 == 4))
                .toList();
    }

    private static void print(Change change, List<Case> cases) {
        List<Unnoted> near =
                cases.stream().flatMap(c -> c.near(change).stream()).toList();
        double[] evidence = cases.stream()
                .mapToDouble(c ->
                        c.found.stream().mapToDouble(Unnoted::evidence).max().orElse(0))
                .sorted()
                .toArray();
        System.out.printf(
                Locale.ROOT,
                "%-42s %5.1f %5.1f %5.1f %5.1f %8.1f %9.2f   %.0f %.0f %.0f%n",
                change.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                percent(cases.stream().filter(c -> !c.found.isEmpty()).count(), cases.size()),
                percent(near.size(), cases.size()),
                percent(near.stream().filter(u -> u.cause() == change.cause).count(), near.size()),
                percent(
                        near.stream()
                                .filter(u ->
                                        u.cause() == change.cause || u.asWell().contains(change.cause))
                                .count(),
                        near.size()),
                percent(
                        near.stream()
                                .filter(u -> u.cause() == change.cause)
                                .filter(u -> u.size().holds(change.size))
                                .count(),
                        near.stream().filter(u -> u.cause() == change.cause).count()),
                near.stream()
                        .filter(u -> u.cause() == change.cause)
                        .mapToDouble(u -> u.size().high() - u.size().low())
                        .sorted()
                        .skip(near.size() / 2)
                        .findFirst()
                        .orElse(Double.NaN),
                evidence[evidence.length / 2],
                evidence[evidence.length * 9 / 10],
                evidence[evidence.length - 1]);
    }

    private static double percent(long some, long all) {
        return all == 0 ? Double.NaN : 100.0 * some / all;
    }

    private record Case(LocalDate truth, List<Unnoted> found) {
        /** A tank that bears the change: no keeper logs another. */
        static Case of(Change change, RandomGenerator random, boolean wrong) {
            while (true) {
                try {
                    return of(change, world(change, random, wrong), random);
                } catch (InputException cannotBe) {
                    random.nextInt();
                }
            }
        }

        private static Case of(Change change, SimulatedTank world, RandomGenerator random) {
            int first = SimulatedTank.DAYS + random.nextInt(FURTHER_DAYS - 5 - change.overDays);
            List<Reading> ph = read(world, change, first);
            return new Case(
                    LocalDate.ofInstant(SimulatedTank.START.plus(Duration.ofDays(first)), SimulatedTank.ZONE),
                    Objects.requireNonNullElse(
                            ChangeSearch.of(
                                    world.log(ph),
                                    world.described(),
                                    then -> fitted(world, ph, then),
                                    d -> false,
                                    SimulatedTank.ZONE),
                            List.of()));
        }

        private static SimulatedTank world(Change change, RandomGenerator random, boolean wrong) {
            while (true) {
                SimulatedTank world =
                        SimulatedTank.livable(random, wrong, SimulatedTank.Kind.PLAIN, FURTHER_DAYS + 1, 1);
                if (change.cause != Cause.SKIMMER || world.real().skimmer() != null) {
                    return world;
                }
            }
        }

        /** Null where no plausible tank is behind the log, as the application has it. */
        private static @Nullable FittedTank fitted(SimulatedTank world, List<Reading> ph, Instant then) {
            Instant from = then.minus(Duration.ofDays(14));
            FittedTank fitted = TwinFit.of(
                    world.described(),
                    TankParameters.ORDINARY,
                    world.log(ph.stream()
                            .filter(r -> r.at().isAfter(from) && r.at().isBefore(then))
                            .toList()),
                    Priors.ASSUMED,
                    TwinFit.Progress.NONE);
            return fitted.implausible(world.described()) == null ? fitted : null;
        }

        Optional<Unnoted> near(Change change) {
            return found.stream()
                    .filter(u -> Math.abs(ChronoUnit.DAYS.between(truth, u.from())) <= NEAR_DAYS)
                    .findFirst();
        }

        private static List<Reading> read(SimulatedTank world, Change change, int first) {
            List<Today> days = new ArrayList<>();
            for (int d = SimulatedTank.DAYS; d < DAYS; d++) {
                double share = Math.max(0, Math.min(1, (d - first + 1.0) / change.overDays));
                days.add(today(world, change, share));
            }
            List<Reading> ph = world.probe().further(days);
            Instant from = SimulatedTank.START.plus(Duration.ofDays(first));
            return change.cause != Cause.LEVEL
                    ? ph
                    : ph.stream()
                            .map(r -> r.at().isBefore(from) ? r : new Reading(r.at(), r.value() + change.size))
                            .toList();
        }

        private static Today today(SimulatedTank world, Change change, double share) {
            double factor = 1 + share * (change.size - 1);
            TankParameters t = world.truth();
            Today as = new Today(t, world.real(), world.trueRoom(), MeasureSet.NONE, 0);
            return switch (change) {
                case NOTHING, PROBE_READS_A_TENTH_MORE -> as;
                case SKIMMER_CARRIES_70_PERCENT_WITHIN_FOUR_DAYS, SKIMMER_CARRIES_20_PERCENT_WITHIN_FOUR_DAYS ->
                    truth(as, factor, 1, 1, 1);
                case SURFACES_MOVE_40_PERCENT -> truth(as, 1, factor, 1, 1);
                case REEF_BREATHES_HALF_AS_MUCH_AGAIN -> truth(as, 1, 1, factor, 1);
                case LIGHT_MAKES_70_PERCENT -> truth(as, 1, 1, 1, factor);
                case LAMPS_AN_HOUR_LATER ->
                    new Today(
                            t,
                            share == 0 ? world.real() : world.real().corrected(AN_HOUR_LATE),
                            world.trueRoom(),
                            MeasureSet.NONE,
                            0);
            };
        }

        private static Today truth(
                Today as, double skimmer, double surface, double respiration, double photosynthesis) {
            TankParameters t = as.truth();
            return new Today(
                    new TankParameters(
                            t.skimmerFactor() * skimmer,
                            t.surfaceFactor() * surface,
                            t.respirationMmolPerLPerH() * respiration,
                            t.photosynthesisMmolPerLPerH() * photosynthesis),
                    as.real(),
                    as.room(),
                    as.measures(),
                    as.gainsMeqPerL());
        }
    }
}
