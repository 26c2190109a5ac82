package jollytide.core.doses;

import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/**
 * By how much a line is changed next, so that what arrives keeps up with what is used: half of what is missing, then tests
 * again. Alkalinity that reads the same a day later is the end. Common practice.
 *
 * @param mlPerDay to plan from now on
 * @param missing that is used and does not arrive, meq/L a day; below 0 where too much arrives
 * @param limited whether a rule allows less than half of what is missing
 */
public record NextStep(double mlPerDay, Estimate missing, boolean limited) {
    private static final double AT_A_TIME = 0.5;

    /**
     * @param use of alkalinity, and {@code arrived} of it from all lines, meq/L a day
     * @param rules beside the other lines
     * @return null where the use may be what arrives, or the line brings no alkalinity
     */
    public static @Nullable NextStep of(
            Use use, Estimate arrived, LineRules.Planned line, double vesselMl, LineRules rules) {
        double perMl = line.solution().meqPerMl() / rules.litres();
        if (perMl <= 0 || line.mlPerDay() <= 0 || use.changedPerDay().holds(0)) {
            return null;
        }
        Estimate missing = new Estimate(
                use.perDay().value() - arrived.value(),
                use.perDay().low() - arrived.value(),
                use.perDay().high() - arrived.value());
        double wanted = Math.max(0, line.mlPerDay() + AT_A_TIME * missing.value() / perMl);
        double allowed = wanted <= line.mlPerDay() ? wanted : rules.most(line, vesselMl, wanted);
        return new NextStep(allowed, missing, allowed < wanted);
    }
}
