package jollytide.core.scenario;

import java.time.Duration;
import java.util.Locale;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.measure.Dose;
import jollytide.core.measure.MeasureSet;
import jollytide.core.measure.Setup;
import jollytide.core.twin.TwinState;
import jollytide.core.units.AlkalinityUnit;
import org.hipparchus.analysis.solvers.AllowedSolution;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.jspecify.annotations.Nullable;

/**
 * Why a dose is stopped, and the most that is allowed instead. Limewater is water: more of it than evaporates makes the
 * tank fresher. Alkalinity may climb by 1 dKH a day, and pH up to 8.5. Common practice; the job's own limits.
 *
 * @param allowedMeqPerLPerDay of the same source
 * @param because one sentence, with the numbers
 */
public record DoseLimit(double allowedMeqPerLPerDay, String because) {
    /** Alkalinity may climb so much in a day. */
    public static final double MOST_DKH_PER_DAY = 1;
    /** Above this animals are in danger. */
    public static final double HIGHEST_PH = 8.5;

    private static final Duration LOOKED_AHEAD = Duration.ofDays(7);
    /** No dose is metered closer than this, meq/(L·day). */
    private static final double ACCURACY = 0.005;

    private static final int MOST_TRIES = 30;

    /**
     * The limit that a set's dose passes; null when it passes none.
     *
     * @param today settled state of the tank
     * @param evaporationLPerDay of the tank
     */
    public static @Nullable DoseLimit of(
            OrdinaryDays days, Setup setup, MeasureSet measures, TwinState today, double evaporationLPerDay) {
        Dose dose = measures.dose().orElse(null);
        if (dose == null || dose.meqPerLPerDay() == 0) {
            return null;
        }
        DoseLimit limit = null;
        Double litres = dose.litresPerDay();
        if (dose.source() == AlkalinitySource.LIMEWATER && litres != null && litres > evaporationLPerDay) {
            limit = new DoseLimit(
                    dose.meqPerLPerDay() * evaporationLPerDay / litres,
                    text(
                            "%.1f L of limewater a day is more than evaporates here, about %.1f L. Salinity "
                                    + "would fall.",
                            litres, evaporationLPerDay));
        }
        double use = setup.useMeqPerLPerDay();
        double most = use + AlkalinityUnit.DKH.toMeqPerL(MOST_DKH_PER_DAY);
        if (dose.meqPerLPerDay() > most && (limit == null || most < limit.allowedMeqPerLPerDay())) {
            limit = new DoseLimit(
                    most,
                    use == 0
                            ? "Describe how much alkalinity your animals use. Without that we don’t try more "
                                    + "than 1 dKH a day."
                            : text(
                                    "More than 1 dKH a day above the %.2f dKH that the animals use. Alkalinity "
                                            + "would rise too fast.",
                                    AlkalinityUnit.DKH.fromMeqPerL(use)));
        }
        double asked = limit == null ? dose.meqPerLPerDay() : limit.allowedMeqPerLPerDay();
        if (highestPh(days, measures, today, asked) <= HIGHEST_PH) {
            return limit;
        }
        double passes = highestPh(days, measures, today, 0) >= HIGHEST_PH
                ? 0
                : new BracketingNthOrderBrentSolver(ACCURACY, 5)
                        .solve(
                                MOST_TRIES,
                                tried -> highestPh(days, measures, today, tried) - HIGHEST_PH,
                                0,
                                asked,
                                AllowedSolution.BELOW_SIDE);
        return new DoseLimit(passes, "pH would pass 8.5 on the way.");
    }

    private static double highestPh(OrdinaryDays days, MeasureSet measures, TwinState today, double meqPerLPerDay) {
        return days.run(today, measures.withDose(meqPerLPerDay), LOOKED_AHEAD).stream()
                .mapToDouble(TwinState::phNbs)
                .max()
                .orElseThrow();
    }

    /** Days that a rise of alkalinity takes at the most that is allowed. */
    public static double daysFor(double riseDkh) {
        return riseDkh / MOST_DKH_PER_DAY;
    }

    /** The same set with no more than is allowed. */
    public MeasureSet within(MeasureSet measures) {
        return measures.withDose(allowedMeqPerLPerDay);
    }

    private static String text(String format, Object... args) {
        return String.format(Locale.ROOT, format, args);
    }
}
