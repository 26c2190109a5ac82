package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.units.AlkalinityUnit;

/** A higher or lower alkalinity, brought there with soda ash and kept: pH rises, the CO2 stays. */
public record AlkalinityChange(double meqPerL) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("alkalinity", "Alkalinity higher or lower")
            .shortly("alkalinity")
            .parameters(known -> List.of(Parameter.number("dkh", "raised with soda ash, and kept", Parameter.Unit.DKH)
                    .range(-3, 3, 0.25)
                    .at(1)
                    .telling()))
            .makes((values, known) -> new AlkalinityChange(AlkalinityUnit.DKH.toMeqPerL(values.number("dkh"))));

    public AlkalinityChange {
        within("alkalinityChangeMeqPerL", meqPerL, -2, 2, "meq/L");
    }

    @Override
    public Way way() {
        return Way.MASKS;
    }

    @Override
    public ShownBy shownBy() {
        return ShownBy.READINGS;
    }

    @Override
    public void on(Rig rig) {
        rig.alkalinityChangeMeqPerL = meqPerL;
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(0, 0, Cost.Effort.MINUTES);
    }

    @Override
    public List<Caution> cautions() {
        return List.of(new Caution(
                Caution.Concern.EQUIPMENT_AND_PEOPLE,
                "Change alkalinity by at most 1 dKH a day. Test again 24 h after each dose."));
    }
}
