package jollytide.server.twin;

import java.util.List;
import java.util.function.ToDoubleFunction;
import jollytide.core.evidence.Estimate;
import jollytide.core.scenario.OrdinaryDays;
import jollytide.core.twin.TwinState;

/** A quantity over time: value of the first tank, and the band between all of them. */
public record BandCourse(List<Double> value, List<Double> low, List<Double> high) {
    /** @param drawn which samples of the runs */
    public static BandCourse of(List<List<TwinState>> runs, List<Integer> drawn, ToDoubleFunction<TwinState> quantity) {
        List<Estimate> bands = drawn.stream()
                .map(i -> OrdinaryDays.band(runs.stream()
                        .map(run -> quantity.applyAsDouble(run.get(i)))
                        .toList()))
                .toList();
        return new BandCourse(
                bands.stream().map(e -> rounded(e.value())).toList(),
                bands.stream().map(e -> rounded(e.low())).toList(),
                bands.stream().map(e -> rounded(e.high())).toList());
    }

    static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }
}
