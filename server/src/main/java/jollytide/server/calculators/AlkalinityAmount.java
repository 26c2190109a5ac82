package jollytide.server.calculators;

import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.validation.constraints.NotNull;
import jollytide.core.seawater.Seawater;
import jollytide.core.units.AlkalinityUnit;
import jollytide.core.units.Quantities;

/** Alkalinity with its unit. */
record AlkalinityAmount(@NotNull Double value, @NotNull Unit unit) {
    private static final double MAX_DKH = 60;

    enum Unit {
        @JsonProperty("dKH")
        DKH(AlkalinityUnit.DKH),
        @JsonProperty("meqPerL")
        MEQ_PER_L(AlkalinityUnit.MEQ_PER_L),
        @JsonProperty("ppmCaCO3")
        PPM_CACO3(AlkalinityUnit.PPM_CACO3);

        private final AlkalinityUnit core;

        Unit(AlkalinityUnit core) {
            this.core = core;
        }
    }

    /**
     * The amount in mol/kg of {@code water}.
     *
     * @throws jollytide.core.units.InputException outside 0.01 to 60 dKH
     */
    double molPerKg(Seawater water) {
        double max = Math.floor(unit.core.fromMeqPerL(AlkalinityUnit.DKH.toMeqPerL(MAX_DKH)) * 10) / 10;
        Quantities.within("alkalinity.value", value, 0, max, unit.core.symbol());
        return unit.core.toMeqPerL(value) / 1000 / water.densityKgPerL();
    }

    /** {@code molPerKg} in this amount's unit. */
    double inOwnUnit(double molPerKg, Seawater water) {
        return unit.core.fromMeqPerL(molPerKg * 1000 * water.densityKgPerL());
    }

    String symbol() {
        return unit.core.symbol();
    }
}
