package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.Setup;
import jollytide.core.measure.MeasureSet;
import jollytide.core.reef.MetabolicParameters;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * Finds the respiration and photosynthesis of a tank from its logged days: such that its pH before lights-on and before
 * lights-off on these days, each in its own room's air, is the measured one. Two numbers cannot tell a weak skimmer from a quiet reef, nor a
 * probe that is off from either, so the fit is made for several exchanges and probes, and all of these tanks agree with
 * the log within its errors.
 */
public final class LogFit {
    private static final int ITERATIONS = 12;
    private static final double CLOSE_ENOUGH_PH = 0.002;
    private static final double STEP = 0.03;
    private static final double LARGEST_STRIDE = 0.6;
    private static final int MOST_DAYS = 6;
    /** How far skimmer and surfaces may be from what is expected of them, as factors. From memory. */
    private static final double SKIMMER_FACTOR = 1.5;

    private static final double SURFACE_FACTOR = 1.7;
    /** Probe (0.04), room meter (25 ppm) and alkalinity test (0.2 dKH) together, in pH. From memory. */
    private static final double LOG_ERROR_PH = 0.045;
    /** A reef that makes more than this of what it breathes would soon have no CO2 left. From memory. */
    private static final double MOST_PRODUCTION = 1.4;

    private final Setup setup;
    private final List<LoggedDay> days;
    private final RoomCourse room;

    private LogFit(Setup setup, List<LoggedDay> days, RoomCourse room) {
        this.setup = setup;
        this.days = days.subList(Math.max(0, days.size() - MOST_DAYS), days.size());
        this.room = room;
    }

    /** A stretch of a day and the mean pH in it, NBS scale. */
    public record Window(Instant from, Instant to, double ph) {
        boolean holds(Instant t) {
            return !t.isBefore(from) && t.isBefore(to);
        }
    }

    /**
     * A whole local day, NBS scale.
     *
     * @param dark the hours before the lamps go on: they tell what the reef breathes, whoever fills the room by day
     * @param lit the hours before they go off
     */
    public record LoggedDay(Instant start, Instant end, double troughPh, double peakPh, Window dark, Window lit) {}

    /**
     * The tanks that could be behind the log.
     *
     * @param tanks the likeliest first; empty when none is plausible
     * @param problem what is wrong with log or description, in words; null when nothing
     */
    public record Fit(
            List<MetabolicParameters> tanks, @Nullable String problem) {}

    /** @param days in their order, at least one; the last few are used */
    public static Fit of(Setup setup, List<LoggedDay> days, RoomCourse room) {
        return new LogFit(setup, days, room).fit();
    }

    private Fit fit() {
        MetabolicParameters likely = fit(1, 1, 0);
        if (likely == null) {
            return new Fit(
                    List.of(),
                    "No plausible reef gives these days of pH in this air: check the probe, the room meter, the alkalinity"
                            + " test, and what is described of surfaces and skimmer.");
        }
        double made = likely.photosynthesisMmolPerLPerH() * setup.light().litHours();
        double breathed = likely.respirationMmolPerLPerH() * 24
                + setup.life().fish().oxygenMmolPerH(setup.water().temperatureC()) / setup.netVolumeL() * 24;
        if (made > MOST_PRODUCTION * breathed) {
            return new Fit(
                    List.of(),
                    String.format(
                            Locale.ROOT,
                            "The log would have this tank's photosynthesis at %.1f times its respiration, which no reef keeps"
                                    + " up: check the room meter and the probe.",
                            made / breathed));
        }
        List<MetabolicParameters> tanks = new ArrayList<>(List.of(likely));
        int tried = 0;
        for (double[] other : others()) {
            tried++;
            MetabolicParameters tank = fit(other[0], other[1], other[2]);
            if (tank != null) {
                tanks.add(tank);
            }
        }
        int missing = tried - (tanks.size() - 1);
        return new Fit(
                tanks,
                missing == 0
                        ? null
                        : missing + " of " + tried
                                + " other tanks that were tried fit no plausible reef: the band may be"
                                + " too narrow on that side.");
    }

    /** Skimmer, surfaces, and how far the log's pH is off. */
    private List<double[]> others() {
        if (setup.skimmer() == null) {
            return List.of(
                    new double[] {1, 1 / SURFACE_FACTOR, -LOG_ERROR_PH},
                    new double[] {1, SURFACE_FACTOR, LOG_ERROR_PH});
        }
        return List.of(
                new double[] {1 / SKIMMER_FACTOR, 1 / SURFACE_FACTOR, -LOG_ERROR_PH},
                new double[] {SKIMMER_FACTOR, SURFACE_FACTOR, LOG_ERROR_PH},
                new double[] {SKIMMER_FACTOR, 1 / SURFACE_FACTOR, 0},
                new double[] {1 / SKIMMER_FACTOR, SURFACE_FACTOR, 0});
    }

    /** Newton's method in the logarithms of both rates; null when it leads out of what a reef can be. */
    private @Nullable MetabolicParameters fit(double skimmer, double surface, double phError) {
        double respiration = Math.log(MetabolicParameters.ORDINARY.respirationMmolPerLPerH());
        double production = Math.log(MetabolicParameters.ORDINARY.photosynthesisMmolPerLPerH());
        try {
            for (int i = 0; i < ITERATIONS; i++) {
                double[] miss = miss(tank(skimmer, surface, respiration, production), phError);
                if (Math.max(Math.abs(miss[0]), Math.abs(miss[1])) < CLOSE_ENOUGH_PH) {
                    return tank(skimmer, surface, respiration, production);
                }
                double[] r = miss(tank(skimmer, surface, respiration + STEP, production), phError);
                double[] p = miss(tank(skimmer, surface, respiration, production + STEP), phError);
                double a = (r[0] - miss[0]) / STEP;
                double b = (p[0] - miss[0]) / STEP;
                double c = (r[1] - miss[1]) / STEP;
                double d = (p[1] - miss[1]) / STEP;
                double determinant = a * d - b * c;
                if (Math.abs(determinant) < 1e-9) {
                    return null;
                }
                respiration -= stride((d * miss[0] - b * miss[1]) / determinant);
                production -= stride((a * miss[1] - c * miss[0]) / determinant);
                if (Math.exp(respiration) > 0.5 || Math.exp(production) > 1 || Math.exp(respiration) < 1e-4) {
                    return null;
                }
            }
        } catch (InputException leftWhatWaterCanBe) {
            return null;
        }
        return null;
    }

    private static double stride(double wanted) {
        return Math.max(-LARGEST_STRIDE, Math.min(LARGEST_STRIDE, wanted));
    }

    /** Mean over the days of computed less measured pH, before lights-on and before lights-off. */
    private double[] miss(MetabolicParameters tried, double phError) {
        OrdinaryDays ordinary = new OrdinaryDays(setup, tried, room);
        Instant from = days.get(0).start();
        Instant to = days.get(days.size() - 1).end();
        List<TwinState> run = ordinary.run(ordinary.today(from), MeasureSet.NONE, Duration.between(from, to));
        double dark = 0;
        double lit = 0;
        for (LoggedDay day : days) {
            dark += (mean(run, day.dark()) - phError) / days.size();
            lit += (mean(run, day.lit()) - phError) / days.size();
        }
        return new double[] {dark, lit};
    }

    private static double mean(List<TwinState> run, Window window) {
        return run.stream()
                        .filter(state -> window.holds(state.at()))
                        .mapToDouble(TwinState::phNbs)
                        .average()
                        .orElse(window.ph())
                - window.ph();
    }

    private static MetabolicParameters tank(double skimmer, double surface, double respiration, double production) {
        return new MetabolicParameters(skimmer, Math.exp(respiration), Math.exp(production), surface);
    }
}
