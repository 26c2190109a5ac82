package jollytide.core.twin;

import java.time.Instant;
import jollytide.core.media.Media;
import org.jspecify.annotations.Nullable;

/**
 * The tank at one moment.
 *
 * @param dicMolPerKg dissolved inorganic carbon
 * @param alkalinityMolPerKg total alkalinity
 * @param calciumMolPerKg calcium
 * @param potassiumGainMolPerKg potassium above that of the start
 * @param oxygenMgPerL dissolved oxygen
 * @param roomPpm CO2 of the tank's room, dry ppm
 * @param secondPpm CO2 of the room next door, dry ppm; that of the tank's room without one
 * @param phNbs pH on the NBS scale
 * @param co2Uatm pressure of CO2 in the water
 * @param omegaAragonite saturation state
 * @param temperatureC the water's temperature
 * @param media what they hold; null without media
 * @param flows what crossed into the water since the run began, mol
 */
public record TwinState(
        Instant at,
        double dicMolPerKg,
        double alkalinityMolPerKg,
        double calciumMolPerKg,
        double potassiumGainMolPerKg,
        double oxygenMgPerL,
        double roomPpm,
        double secondPpm,
        double phNbs,
        double co2Uatm,
        double omegaAragonite,
        double temperatureC,
        Media.@Nullable State media,
        Ledger flows) {

    /** The same with other carbon and alkalinity; {@link Twin#carriedOver} makes its pH anew. */
    public TwinState withCarbonate(double dic, double alkalinity) {
        return new TwinState(
                at,
                dic,
                alkalinity,
                calciumMolPerKg,
                potassiumGainMolPerKg,
                oxygenMgPerL,
                roomPpm,
                secondPpm,
                phNbs,
                co2Uatm,
                omegaAragonite,
                temperatureC,
                media,
                flows);
    }
}
