package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/** What the skimmer draws, over today: below 1 for a clogged venturi, 0 when it stands still. */
public record SkimmerDraw(double times) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("skimmer-draw", "Skimmer air draw")
            .shortly("skimmer draw")
            .needs(MeasureKind.Needs.SKIMMER)
            .parameters(known -> List.of(Parameter.number(
                            "times", "times today (below 1: clogged venturi, 0: pump stopped)", Parameter.Unit.TIMES)
                    .range(0, 2.5, 0.1)
                    .at(1.5)
                    .telling()))
            .whenLess("a venturi crusting again: measure air draw with a flow meter or a bag and a watch")
            .makes((values, known) -> new SkimmerDraw(values.number("times")));

    public SkimmerDraw {
        within("skimmerShare", times, 0, 5, "");
    }

    @Override
    public Way way() {
        return times < 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.skimmer().drawTimes = times;
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(0, 0, Cost.Effort.MINUTES);
    }
}
