package jollytide.core.dosingline;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.Quantity;
import org.jspecify.annotations.Nullable;

/**
 * What nothing in the tank uses up: potassium and magnesium. Counted from the newest test on, else from the first dose on
 * as the sea holds it: what lines brought as planned, and hands, less what water changes took along.
 *
 * @param usualMgPerL of the sea
 */
public record PiledUp(Quantity quantity, double usualMgPerL) {
    public static final PiledUp POTASSIUM = new PiledUp(Quantity.POTASSIUM, Creep.USUAL_POTASSIUM);
    public static final PiledUp MAGNESIUM = new PiledUp(Quantity.MAGNESIUM, Creep.USUAL_MAGNESIUM);

    /** A line as it was planned, those that have ended, too. */
    public record Line(Solution solution, DosePlan schedule) {}

    /**
     * @param hands what was put in or changed at once, in any order
     * @param test the newest; null without one
     * @return mg/L
     */
    public double mgPerL(
            List<Line> lines, List<SingleDose> hands, double litres, @Nullable Observation test, Instant now) {
        Instant then = test == null ? before(lines, hands, now) : test.at();
        double level = test == null ? usualMgPerL : test.value();
        for (SingleDose hand :
                hands.stream().sorted(Comparator.comparing(SingleDose::at)).toList()) {
            if (hand.at().isAfter(then) && !hand.at().isAfter(now)) {
                level += brought(lines, then, hand.at(), litres);
                level += hand.moves(quantity, level);
                then = hand.at();
            }
        }
        return level + (then.isBefore(now) ? brought(lines, then, now, litres) : 0);
    }

    /** Just before anything was dosed. */
    private static Instant before(List<Line> lines, List<SingleDose> hands, Instant now) {
        return Stream.concat(
                        lines.stream()
                                .flatMap(line -> line.schedule().plans().stream())
                                .map(DosePlan.DailyDose::since),
                        hands.stream().map(SingleDose::at))
                .min(Comparator.naturalOrder())
                .map(first -> first.minusMillis(1))
                .orElse(now);
    }

    private double brought(List<Line> lines, Instant from, Instant until, double litres) {
        return lines.stream()
                        .mapToDouble(line -> line.schedule().planned(from, until) * mgPerMl(line.solution()))
                        .sum()
                / litres;
    }

    private double mgPerMl(Solution solution) {
        return quantity == Quantity.POTASSIUM ? solution.potassiumMgPerMl() : solution.magnesiumMgPerMl();
    }
}
