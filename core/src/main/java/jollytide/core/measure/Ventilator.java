package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;

/**
 * A ventilator with heat recovery.
 *
 * @param airChangesPerH that it adds to the room's
 */
public record Ventilator(double airChangesPerH) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("ventilator", "Heat-recovery ventilator")
            .shortly("ventilator")
            .forGood()
            .needs(MeasureKind.Needs.ROOM_VOLUME)
            .parameters(known -> List.of(Parameter.number("m3PerH", "outdoor air", Parameter.Unit.CUBIC_METRES_PER_H)
                    .range(10, 400, 10)
                    .at(60)
                    .telling()))
            .makes((values, known) -> new Ventilator(
                    within("ventilator.m3PerH", values.number("m3PerH"), 0, 5000, "m³/h") / known.room("ventilator")));

    private static final double WATTS = 8;
    /** Share of its heat that it loses. From memory. */
    private static final double HEAT_LOST = 0.2;

    public Ventilator {
        within("extraAirChangesPerH", airChangesPerH, 0, 50, "1/h");
    }

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public ShownBy shownBy() {
        return ShownBy.THE_ROOM_METER;
    }

    @Override
    public void on(Rig rig) {
        rig.extraAirChangesPerH += airChangesPerH;
    }

    @Override
    public boolean inSteps() {
        return false;
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(
                basis.prices().ventilator(),
                basis.power(WATTS) + HEAT_LOST * basis.heat(airChangesPerH),
                Cost.Effort.A_WEEKEND);
    }

    @Override
    public List<Caution> cautions() {
        return List.of(Caution.people("Let a licensed person balance supply and exhaust if you have a fire or boiler. "
                + "An exhaust fan can pull flue gas into the house."));
    }
}
