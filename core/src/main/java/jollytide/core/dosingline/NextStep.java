package jollytide.core.dosingline;

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
     * @param use of alkalinity, meq/L a day
     * @param arriving of it from all dosing lines as they are planned now, meq/L a day
     * @param rules beside the other lines
     * @return null where the use may be what arrives, or the line brings no alkalinity
     */
    public static @Nullable NextStep of(Use use, double arriving, LineRules.Planned line, LineRules rules) {
        double perMl = line.solution().meqPerMl() / rules.litres();
        Estimate missing = missing(use, arriving);
        if (perMl <= 0 || line.mlPerDay() <= 0 || missing.holds(0)) {
            return null;
        }
        double wanted = Math.max(0, line.mlPerDay() + AT_A_TIME * missing.value() / perMl);
        double allowed = wanted <= line.mlPerDay() ? wanted : rules.most(line, wanted);
        return new NextStep(allowed, missing, allowed < wanted);
    }

    /** A share that is off is off in what arrives now, too: it makes doubtful only by how much that differs from then. */
    private static Estimate missing(Use use, double arriving) {
        Estimate then = use.arrivedPerDay();
        Estimate tested = use.changedPerDay();
        double off = then.value() <= 0
                ? 0
                : (then.high() - then.low()) / 2 / then.value() * Math.abs(then.value() - arriving);
        double half = Math.hypot((tested.high() - tested.low()) / 2, off);
        double missing = use.perDay().value() - arriving;
        return new Estimate(missing, missing - half, missing + half);
    }
}
