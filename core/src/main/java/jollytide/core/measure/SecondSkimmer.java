package jollytide.core.measure;

import java.util.List;
import jollytide.core.exchange.Skimmer;

/** One more skimmer, on room air. */
public record SecondSkimmer(Skimmer skimmer) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("second-skimmer", "Second skimmer")
            .parameters(known -> List.of(Parameter.number("airLPerH", "air draw", Parameter.Unit.LITRES_PER_H)
                    .range(50, 3000, 10)
                    .at(Math.max(50, Math.round(known.setup().netVolumeL() / 10) * 10.0))
                    .telling()))
            .whenLess("its air draw: measure with a flow meter or a bag and a watch")
            .makes((values, known) -> new SecondSkimmer(new Skimmer(values.number("airLPerH"))));

    /** What its pump draws for the air that it moves, W per L/h. From memory. */
    private static final double WATTS_PER_L_PER_H = 0.03;

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.skimmers.add(new SkimmerRig("second", skimmer, false, null, 1));
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(
                basis.prices().skimmer(),
                basis.power(WATTS_PER_L_PER_H * skimmer.airDrawLPerH()),
                Cost.Effort.AN_EVENING);
    }
}
