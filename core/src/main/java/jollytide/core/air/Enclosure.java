package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * The air in a sump cabinet or under a canopy: a small box between the room and the water in which CO2 collects. It
 * follows within minutes what the tank does in hours, so it is taken as settled at every moment.
 *
 * @param exchangeLPerH air that passes between the box and the room, 1 to 1 000 000 L/h
 */
public record Enclosure(double exchangeLPerH) {

    public Enclosure {
        within("exchangeLPerH", exchangeLPerH, 1, 1_000_000, "L/h");
    }

    /** How a door stands. Exchange from memory. */
    public enum Door {
        SHUT(400),
        AJAR(3000),
        OPEN(20_000),
        FAN(30_000);

        private final double exchangeLPerH;

        Door(double exchangeLPerH) {
            this.exchangeLPerH = exchangeLPerH;
        }

        public double exchangeLPerH() {
            return exchangeLPerH;
        }
    }

    /** What its air exchange carries of a gas, mol/(h·atm). */
    public double conductance(Seawater water) {
        return exchangeLPerH / (Gases.R_L_ATM * water.temperatureK());
    }
}
