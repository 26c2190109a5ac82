package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

/**
 * What does not change from hour to hour.
 *
 * @param netVolumeL litres of water
 * @param salinityPsu practical salinity
 * @param roomVolumeM3 air of the room
 * @param surfaceConductance CO2 through surfaces open to the room, mol/(h·atm)
 * @param skimmerConductance CO2 through the skimmer at its full draw, mol/(h·atm)
 * @param oxygenExchangeLPerH litres of water a day's worth of paths bring to saturation each hour, per hour
 * @param respirationMmolPerLPerH community respiration, mmol C/(L·h)
 * @param photosynthesisMmolPerLPerH gross photosynthesis at full light, mmol C/(L·h)
 */
public record TwinTank(
        double netVolumeL,
        double salinityPsu,
        double roomVolumeM3,
        double surfaceConductance,
        double skimmerConductance,
        double oxygenExchangeLPerH,
        double respirationMmolPerLPerH,
        double photosynthesisMmolPerLPerH,
        double pressureHpa) {

    public TwinTank {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("salinityPsu", salinityPsu, 0, 45, "psu");
        within("roomVolumeM3", roomVolumeM3, 1, 100_000, "m³");
        within("surfaceConductance", surfaceConductance, 0, 1e6, "mol/(h·atm)");
        within("skimmerConductance", skimmerConductance, 0, 1e6, "mol/(h·atm)");
        within("oxygenExchangeLPerH", oxygenExchangeLPerH, 0, 1e7, "L/h");
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 5, "mmol/(L·h)");
    }
}
