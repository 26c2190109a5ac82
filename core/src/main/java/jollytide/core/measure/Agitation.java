package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/** Exchange through the surfaces, over today: outlets tilted up, lids off. */
public record Agitation(double times) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("surface", "More surface movement")
            .shortly("surface")
            .parameters(known -> List.of(Parameter.number(
                            "times", "more surface gas exchange: outlets tilted up, lids off", Parameter.Unit.TIMES)
                    .range(0.2, 4, 0.1)
                    .at(1.5)
                    .telling()))
            .whenLess("a film on the water or an outlet pointing down again: ripples should cover the whole surface")
            .makes((values, known) -> new Agitation(values.number("times")));

    /** Beyond this a pump must be added. From memory. */
    private static final double BY_TILTING = 1.5;

    private static final double SMALL_PUMP_W = 8;

    public Agitation {
        within("surfaceTimes", times, 0, 10, "");
    }

    @Override
    public Way way() {
        return times < 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.surfaceTimes *= times;
    }

    @Override
    public Cost cost(CostBasis basis) {
        return times <= BY_TILTING
                ? new Cost(0, 0, Cost.Effort.MINUTES)
                : new Cost(basis.prices().smallPump(), basis.power(SMALL_PUMP_W), Cost.Effort.AN_EVENING);
    }
}
