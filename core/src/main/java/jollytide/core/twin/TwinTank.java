package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import jollytide.core.exchange.Conductance;

/**
 * What does not change from hour to hour.
 *
 * @param netVolumeL litres of water
 * @param salinityPsu practical salinity
 * @param roomVolumeM3 air of the room
 * @param openToRoom surfaces, falls and stones that breathe the room's air
 * @param skimmer at its full draw; {@link Conductance#NONE} without one
 * @param skimmerAir what the skimmer's air stream can carry, mol/(h·atm)
 * @param respirationMmolPerLPerH community respiration, mmol C/(L·h), at {@link Twin#REFERENCE_C}
 * @param photosynthesisMmolPerLPerH gross photosynthesis at full light, mmol C/(L·h)
 */
public record TwinTank(
        double netVolumeL,
        double salinityPsu,
        double roomVolumeM3,
        Conductance openToRoom,
        Conductance skimmer,
        double skimmerAir,
        double respirationMmolPerLPerH,
        double photosynthesisMmolPerLPerH,
        double pressureHpa) {

    public TwinTank {
        within("netVolumeL", netVolumeL, 1, 100_000, "L");
        within("salinityPsu", salinityPsu, 0, 45, "psu");
        within("roomVolumeM3", roomVolumeM3, 1, 100_000, "m³");
        within("openToRoom.co2", openToRoom.co2(), 0, 1e6, "mol/(h·atm)");
        within("openToRoom.oxygen", openToRoom.oxygen(), 0, 1e6, "mol/(h·atm)");
        within("skimmer.co2", skimmer.co2(), 0, 1e6, "mol/(h·atm)");
        within("skimmer.oxygen", skimmer.oxygen(), 0, 1e6, "mol/(h·atm)");
        within("skimmerAir", skimmerAir, Math.max(skimmer.co2(), skimmer.oxygen()), 1e6, "mol/(h·atm)");
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 5, "mmol/(L·h)");
    }
}
