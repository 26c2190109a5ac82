package jollytide.core.measure;

import static jollytide.core.units.Quantities.within;

import org.jspecify.annotations.Nullable;

/** Prices that stand until a keeper says otherwise: round figures in euros, from memory. */
public record Prices(
        double electricityPerKWh,
        double heatPerKWh,
        double hosePerM,
        double filterAndFittings,
        double canister,
        double mediaPerKg,
        double airPump,
        double smallPump,
        double fan,
        double ventilator,
        double refugiumLamp,
        double reactorChamber,
        double skimmer) {
    public static final Prices ASSUMED = new Prices(0.35, 0.12, 2.5, 15, 45, 16, 35, 70, 15, 600, 120, 80, 220);

    public Prices withElectricity(@Nullable Double perKWh) {
        return perKWh == null
                ? this
                : new Prices(
                        within("tariffPerKWh", perKWh, 0, 1e6, "per kWh"),
                        heatPerKWh,
                        hosePerM,
                        filterAndFittings,
                        canister,
                        mediaPerKg,
                        airPump,
                        smallPump,
                        fan,
                        ventilator,
                        refugiumLamp,
                        reactorChamber,
                        skimmer);
    }
}
