package jollytide.core.staircase;

import java.util.ArrayList;
import java.util.List;
import jollytide.core.seawater.CarbonateState;
import jollytide.core.seawater.CarbonateSystem;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * Lines of equal CO2 over alkalinity and pH, for one salinity and temperature: moving along a line is a change of
 * alkalinity with the air as it is, moving across lines a change of the air or of the exchange with it.
 */
public record CarbonateMap(double salinityPsu, double temperatureC, List<Line> lines) {
    public static final double MIN_MEQ_PER_L = 1.4;
    public static final double MAX_MEQ_PER_L = 5.0;
    private static final double STEP_MEQ_PER_L = 0.15;
    private static final double[] DRY_PPM = {250, 420, 600, 1000, 1500, 2500, 4000};

    /** Water in balance with air of {@code ppm}, dry, at rising alkalinity. */
    public record Line(double ppm, List<Point> points) {}

    public record Point(double alkalinityMeqPerL, double phNbs) {}

    public static CarbonateMap of(Seawater water, double pressureHpa) {
        CarbonateSystem system = CarbonateSystem.of(water);
        List<Line> lines = new ArrayList<>();
        for (double ppm : DRY_PPM) {
            double uatm = Gases.uatmOverWater(ppm, pressureHpa, water);
            List<Point> points = new ArrayList<>();
            for (double meq = MIN_MEQ_PER_L; meq <= MAX_MEQ_PER_L + 1e-9; meq += STEP_MEQ_PER_L) {
                CarbonateState state = system.fromAlkalinityAndCo2(meq / 1000 / water.densityKgPerL(), uatm);
                points.add(new Point(meq, state.phNbs()));
            }
            lines.add(new Line(ppm, List.copyOf(points)));
        }
        return new CarbonateMap(water.salinity(), water.temperatureC(), List.copyOf(lines));
    }
}
