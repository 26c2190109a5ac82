package jollytide.core.twin;

import java.time.Instant;

/**
 * The tank at one moment.
 *
 * @param dicMolPerKg dissolved inorganic carbon
 * @param alkalinityMolPerKg total alkalinity
 * @param oxygenMgPerL dissolved oxygen
 * @param roomPpm CO2 of the room's air, dry ppm
 * @param phNbs pH on the NBS scale
 * @param temperatureC the water's temperature
 * @param flows what crossed into the water since the run began
 */
public record TwinState(
        Instant at,
        double dicMolPerKg,
        double alkalinityMolPerKg,
        double oxygenMgPerL,
        double roomPpm,
        double phNbs,
        double temperatureC,
        Flows flows) {}
