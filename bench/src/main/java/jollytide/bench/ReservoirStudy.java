package jollytide.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import jollytide.core.dosingline.Delivered;
import jollytide.core.dosingline.DosePlan;
import jollytide.core.dosingline.LineHistory;
import jollytide.core.dosingline.LineHistory.Seen;
import jollytide.core.dosingline.LineHistory.What;
import jollytide.core.dosingline.ReservoirLevel;
import jollytide.core.dosingline.Solution;

/**
 * Whether a line that falls short is called in time, and a healthy one never: fills of 1600 mL at 60 mL a day, of which
 * the fill is known and levels are read to 15 mL. Each day's dose scatters by a twentieth.
 */
public final class ReservoirStudy {
    private static final double FILL_ML = 1600;
    private static final double FILL_DEVIATION_ML = 1;
    private static final double ML_PER_DAY = 60;
    private static final double DAY_SCATTER = 0.05;
    private static final double LEAST_ML = 60;
    private static final Instant FILLED = Instant.parse("2026-03-01T08:00:00Z");
    private static final Solution LIMEWATER = new Solution(Solution.Solute.LIMEWATER, 0.0203);
    private static final DosePlan PLAN = new DosePlan(List.of(new DosePlan.DailyDose(FILLED, ML_PER_DAY)));

    private ReservoirStudy() {}

    public static void main(String[] args) {
        int n = Integer.parseInt(args[0]);
        long seed = Long.parseLong(args[1]);
        System.out.printf(Locale.ROOT, "%d fills each, seed %d%n", n, seed);
        System.out.printf(
                "%-28s %-10s %8s %8s %8s %10s%n", "delivers", "levels", "by day 5", "by day 7", "ever", "band holds");
        for (int every : new int[] {1, 3}) {
            fills("97 to 103 %", n, seed, every, u -> 0.97 + 0.06 * u);
            fills("75 %", n, seed + 1, every, u -> 0.75);
            fills("85 %", n, seed + 2, every, u -> 0.85);
            fills("125 %", n, seed + 3, every, u -> 1.25);
        }
        System.out.printf("%-28s %-10s %8s %8s %8s%n", "delivers", "fills", "after 1", "after 3", "after 10");
        shortFills("97 to 103 %", n, seed + 4, u -> 0.97 + 0.06 * u);
        shortFills("75 %", n, seed + 5, u -> 0.75);
        shortFills("85 %", n, seed + 6, u -> 0.85);
        shortFills("90 %", n, seed + 7, u -> 0.9);
        shortFills("125 %", n, seed + 8, u -> 1.25);
    }

    private static final int SHORT_FILLS = 10;
    private static final int FILL_DAYS = 3;
    private static final double SHORT_FILL_ML = 300;

    /** Ten fills of three days, each read once at its end: what is said after each of them. */
    private static void shortFills(String name, int n, long seed, DoubleUnaryOperator share) {
        SplittableRandom random = new SplittableRandom(seed);
        int[] called = new int[SHORT_FILLS];
        int[] asPlanned = new int[SHORT_FILLS];
        for (int k = 0; k < n; k++) {
            double truth = share.applyAsDouble(random.nextDouble());
            List<Seen> seen = new ArrayList<>();
            boolean ever = false;
            for (int fill = 0; fill < SHORT_FILLS; fill++) {
                seen.add(new Seen(
                        at(fill * FILL_DAYS),
                        What.FILLED,
                        level(at(fill * FILL_DAYS), SHORT_FILL_ML, FILL_DEVIATION_ML)));
                double holds = SHORT_FILL_ML;
                for (int day = 0; day < FILL_DAYS; day++) {
                    holds -= ML_PER_DAY * truth * (1 + DAY_SCATTER * random.nextGaussian());
                }
                Instant end = at((fill + 1) * FILL_DAYS).minusSeconds(60);
                double read = holds + ReservoirLevel.AT_MARKS_ML * random.nextGaussian();
                seen.add(new Seen(end, What.LEVEL, level(end, read, ReservoirLevel.AT_MARKS_ML)));
                LineHistory history = new LineHistory(seen);
                LineHistory.State state = history.state(history.dosed(LIMEWATER, PLAN, null));
                ever |= state == LineHistory.State.SHORT || state == LineHistory.State.TOO_MUCH;
                called[fill] += ever ? 1 : 0;
                asPlanned[fill] += state == LineHistory.State.AS_PLANNED ? 1 : 0;
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%-28s %-10s %7.1f%% %7.1f%% %7.1f%%   as planned after 1, 3, 10: %.1f%% %.1f%% %.1f%%%n",
                name,
                "3-d fills",
                100.0 * called[0] / n,
                100.0 * called[2] / n,
                100.0 * called[SHORT_FILLS - 1] / n,
                100.0 * asPlanned[0] / n,
                100.0 * asPlanned[2] / n,
                100.0 * asPlanned[SHORT_FILLS - 1] / n);
    }

    private static Instant at(int day) {
        return FILLED.plus(Duration.ofDays(day));
    }

    private static ReservoirLevel level(Instant at, double ml, double deviation) {
        return new ReservoirLevel(at, Math.max(0, ml), deviation);
    }

    private static void fills(String name, int n, long seed, int every, DoubleUnaryOperator share) {
        SplittableRandom random = new SplittableRandom(seed);
        int byFive = 0;
        int bySeven = 0;
        int ever = 0;
        int held = 0;
        for (int k = 0; k < n; k++) {
            double truth = share.applyAsDouble(random.nextDouble());
            int day = called(random, truth, every);
            byFive += day <= 5 ? 1 : 0;
            bySeven += day <= 7 ? 1 : 0;
            ever += day < Integer.MAX_VALUE ? 1 : 0;
            held += held(random, truth, every) ? 1 : 0;
        }
        System.out.printf(
                Locale.ROOT,
                "%-28s %-10s %7.1f%% %7.1f%% %7.1f%% %9.1f%%%n",
                name,
                every == 1 ? "daily" : "every " + every + " d",
                100.0 * byFive / n,
                100.0 * bySeven / n,
                100.0 * ever / n,
                100.0 * held / n);
    }

    /** On which day it is called, short or too much; never is {@link Integer#MAX_VALUE}. */
    private static int called(SplittableRandom random, double truth, int every) {
        List<ReservoirLevel> levels = new ArrayList<>(List.of(new ReservoirLevel(FILLED, FILL_ML, FILL_DEVIATION_ML)));
        double holds = FILL_ML;
        for (int day = 1; holds > LEAST_ML; day++) {
            holds -= ML_PER_DAY * truth * (1 + DAY_SCATTER * random.nextGaussian());
            if (day % every == 0) {
                levels.add(read(random, holds, day));
                Delivered found = Delivered.of(levels, PLAN);
                if (found != null && (found.fallsShort() || found.tooMuch())) {
                    return day;
                }
            }
        }
        return Integer.MAX_VALUE;
    }

    /** After three weeks, whether it was called or not. */
    private static boolean held(SplittableRandom random, double truth, int every) {
        List<ReservoirLevel> levels = new ArrayList<>(List.of(new ReservoirLevel(FILLED, FILL_ML, FILL_DEVIATION_ML)));
        double holds = FILL_ML;
        for (int day = 1; day <= 21 && holds > LEAST_ML; day++) {
            holds -= ML_PER_DAY * truth * (1 + DAY_SCATTER * random.nextGaussian());
            if (day % every == 0) {
                levels.add(read(random, holds, day));
            }
        }
        Delivered found = Delivered.of(levels, PLAN);
        return found != null && found.share().holds(truth);
    }

    private static ReservoirLevel read(SplittableRandom random, double holds, int day) {
        return new ReservoirLevel(
                FILLED.plus(Duration.ofDays(day)),
                Math.max(0, holds + ReservoirLevel.AT_MARKS_ML * random.nextGaussian()),
                ReservoirLevel.AT_MARKS_ML);
    }
}
