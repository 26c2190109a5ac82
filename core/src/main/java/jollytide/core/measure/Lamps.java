package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/** What the display lamps give, over today: 0 when they stay off. */
public record Lamps(double times) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("lamps", "Brighter or dimmer lamps")
            .shortly("lamps")
            .parameters(known -> List.of(Parameter.number("times", "times today’s light (0: off)", Parameter.Unit.TIMES)
                    .range(0, 1.5, 0.1)
                    .at(0.8)
                    .telling()))
            .makes((values, known) -> new Lamps(values.number("times")));

    public Lamps {
        within("lampsTimes", times, 0, 3, "");
    }

    @Override
    public Way way() {
        return times < 1 ? Way.A_FAULT : Way.OFFSETS;
    }

    @Override
    public void on(Rig rig) {
        rig.lampsTimes = times;
    }

    @Override
    public List<Caution> cautions() {
        return times > 1
                ? List.of(new Caution(
                        Caution.Concern.ANIMALS,
                        "Raise light by at most a twentieth a week: corals bleach otherwise. Go slower if they "
                                + "turn pale."))
                : List.of();
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(0, 0, Cost.Effort.MINUTES);
    }
}
