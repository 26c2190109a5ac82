package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.reef.CalciumReactor;

/**
 * A second chamber or an aerated drip cup on the calcium reactor.
 *
 * @param secondChamberShare of the spare CO2 that the chamber binds
 * @param dripShare of the rest that the cup drives off
 */
public record ReactorCare(double secondChamberShare, double dripShare) implements Measure {
    static final MeasureKind KIND = MeasureKind.of("reactor", "Second chamber and drip cup for the reactor")
            .shortly("reactor, second chamber")
            .needs(MeasureKind.Needs.REACTOR)
            .parameters(known -> List.of(
                    Parameter.number(
                                    "secondChamber",
                                    "of the excess CO2 bound by the chamber (assumed)",
                                    Parameter.Unit.SHARE)
                            .range(0, 1, 0.1)
                            .at(0.5),
                    Parameter.number("drip", "of the rest released in the cup (assumed)", Parameter.Unit.SHARE)
                            .range(0, 1, 0.1)
                            .at(0.3)))
            .makes((values, known) -> new ReactorCare(values.number("secondChamber"), values.number("drip")));

    public ReactorCare {
        within("secondChamberShare", secondChamberShare, 0, 1, "");
        within("dripShare", dripShare, 0, 1, "");
    }

    @Override
    public Way way() {
        return Way.REMOVES_THE_SOURCE;
    }

    @Override
    public void on(Rig rig) {
        rig.reactorCare = today -> new CalciumReactor(
                today.effluentLPerH(), today.effluentPhNbs(), today.effluentMeqPerL(), secondChamberShare, dripShare);
    }

    @Override
    public Cost cost(CostBasis basis) {
        return new Cost(basis.prices().reactorChamber(), 0, Cost.Effort.AN_EVENING);
    }

    @Override
    public List<Caution> cautions() {
        return List.of(Caution.people("Secure the CO2 cylinder upright in a ventilated room: the gas is "
                + "heavier than air and gives no warning."));
    }
}
