package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.air.Enclosure;

/**
 * A fan that blows over the water: it sweeps away the air that lies under a canopy and cools by evaporation, so that
 * animals breathe less and water holds more.
 *
 * @param coolsK by how much; 1 to 3 K is common practice, no source
 */
public record SurfaceFan(double coolsK) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("surface-fan", "Fan at the surface")
            .parameters(known -> List.of(Parameter.number("coolsK", "cooling of the water", Parameter.Unit.KELVIN)
                    .range(0, 4, 0.5)
                    .at(1.5)
                    .telling()))
            .whenLess("lid or canopy in the way: CO2 just above the water should equal the room’s")
            .makes((values, known) -> new SurfaceFan(values.number("coolsK")));

    private static final double WATTS = 3;

    public SurfaceFan {
        within("surface-fan.coolsK", coolsK, 0, 8, "K");
    }

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.warmerByK -= coolsK;
        if (rig.canopy != null) {
            rig.canopy = new Enclosure(Enclosure.Door.FAN.exchangeLPerH());
        }
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(basis.prices().fan(), basis.power(WATTS), Cost.Effort.MINUTES);
    }

    @Override
    public List<Caution> cautions() {
        return List.of(
                new Caution(
                        Caution.Concern.WATER,
                        "Watch top-off and salinity: more water evaporates. Cool by at most one or two degrees "
                                + "a day."),
                Caution.people("Use a low-voltage fan, fixed so it can’t fall in, with drip loop and residual-current "
                        + "protection."));
    }
}
