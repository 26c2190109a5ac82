package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.exchange.Gas;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * The air shut in with the water of a bag. Its volume stays; what the animals use of it is gone.
 *
 * @param litres of air
 * @param oxygenShare of that air
 * @param co2Share likewise
 * @param celsius when it was shut in
 * @param perH turnover of the water by its surface: still water follows slowly unless the road moves it
 */
public record Headspace(double litres, double oxygenShare, double co2Share, double celsius, double perH)
        implements Part {
    private static final int CO2 = 0;
    private static final int OXYGEN = 1;

    public Headspace {
        within("headspaceL", litres, 0.01, 2000, "L");
        within("oxygenShare", oxygenShare, 0, 1, "");
        within("co2Share", co2Share, 0, 0.1, "");
    }

    @Override
    public List<Stock> stocks() {
        double mol = litres / (Gases.R_L_ATM * (celsius + Seawater.ZERO_CELSIUS_K));
        return List.of(
                new Stock("headspace.co2", co2Share * mol, 1e-7, 1e-5),
                new Stock("headspace.oxygen", oxygenShare * mol, 1e-6, 1e-5));
    }

    @Override
    public List<Channel> channels() {
        return List.of(new Channel(Channel.Kind.SURFACE, "headspace"));
    }

    /** mol that an atm of it is, then that an atm in a litre of the water is, of CO2 and of oxygen. */
    @Override
    public double[] warm(Seawater water) {
        return new double[] {
            litres / (Gases.R_L_ATM * water.temperatureK()), Gas.CO2.solubility(water), Gas.OXYGEN.solubility(water)
        };
    }

    @Override
    public void acts(Moment now) {
        double co2 = crossing(now, Gas.CO2, CO2);
        double oxygen = crossing(now, Gas.OXYGEN, OXYGEN);
        now.gain(0, co2, oxygen);
        now.change(CO2, -co2);
        now.change(OXYGEN, -oxygen);
    }

    /** Into the water, mol/h: by the water's film, whose turnover {@code perH} is its transfer velocity over its depth. */
    private double crossing(Moment now, Gas gas, int held) {
        double perAtm = now.warm(0);
        double inWater = now.warm(1 + held) * now.litres();
        return perH * inWater * (now.held(held) / perAtm - now.inWater(gas));
    }
}
