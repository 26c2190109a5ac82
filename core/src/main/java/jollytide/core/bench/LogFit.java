package jollytide.core.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import jollytide.core.bench.Forecast.SettledDay;
import jollytide.core.twin.TwinState;
import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * Finds the breath of a tank from what its log shows: respiration and photosynthesis such that the settled day has the
 * measured trough and peak. Two numbers cannot tell a weak skimmer from a quiet reef, so the fit is made for several
 * skimmers, and all of these tanks agree with the log.
 */
public final class LogFit {
    private static final int ITERATIONS = 12;
    private static final double CLOSE_ENOUGH_PH = 0.002;
    private static final double STEP = 0.03;
    private static final double LARGEST_STRIDE = 0.6;

    private LogFit() {}

    /** Tanks that have this trough and peak; empty when no plausible breath gives them. */
    public static List<Living> tanks(Setup setup, Instant at, double troughPh, double peakPh) {
        List<Living> tanks = new ArrayList<>();
        for (double factor : Living.SKIMMER_FACTORS) {
            Living fitted;
            try {
                fitted = fit(setup, at, troughPh, peakPh, factor);
            } catch (InputException leftWhatWaterCanBe) {
                fitted = null;
            }
            if (fitted != null) {
                tanks.add(fitted);
            }
            if (setup.skimmer() == null) {
                break;
            }
        }
        return tanks;
    }

    /** Newton's method in the logarithms of both rates. */
    private static @Nullable Living fit(Setup setup, Instant at, double troughPh, double peakPh, double factor) {
        double respiration = Math.log(Living.ORDINARY.respirationMmolPerLPerH());
        double production = Math.log(Living.ORDINARY.photosynthesisMmolPerLPerH());
        for (int i = 0; i < ITERATIONS; i++) {
            double[] miss = miss(setup, at, factor, respiration, production, troughPh, peakPh);
            if (Math.max(Math.abs(miss[0]), Math.abs(miss[1])) < CLOSE_ENOUGH_PH) {
                return living(factor, respiration, production);
            }
            double[] r = miss(setup, at, factor, respiration + STEP, production, troughPh, peakPh);
            double[] p = miss(setup, at, factor, respiration, production + STEP, troughPh, peakPh);
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
        return null;
    }

    private static double stride(double wanted) {
        return Math.max(-LARGEST_STRIDE, Math.min(LARGEST_STRIDE, wanted));
    }

    private static double[] miss(
            Setup setup, Instant at, double factor, double respiration, double production, double trough, double peak) {
        Forecast forecast = new Forecast(setup, living(factor, respiration, production));
        TwinState today = forecast.today(at);
        SettledDay day = Forecast.settled(forecast.run(today, Remedies.NONE, java.time.Duration.ofDays(1)));
        return new double[] {day.troughPh() - trough, day.peakPh() - peak};
    }

    private static Living living(double factor, double respiration, double production) {
        return new Living(factor, Math.exp(respiration), Math.exp(production));
    }
}
