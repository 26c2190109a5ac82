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
 * @param usualOversaturation mean of Ω − 1 over the tank's ordinary day, at which its use of alkalinity was seen; carried
 *     along unchanged. NaN before that day is known: then use does not follow Ω
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
        double usualOversaturation,
        double temperatureC,
        Media.@Nullable State media,
        Ledger flows) {

    /** The same with other carbon and alkalinity; {@link Twin#carriedOver} makes its pH anew. */
    public TwinState withCarbonate(double dic, double alkalinity) {
        return withMinerals(dic, alkalinity, calciumMolPerKg);
    }

    /** The same with calcium, too. */
    public TwinState withMinerals(double dic, double alkalinity, double calcium) {
        return with(at, dic, alkalinity, calcium, usualOversaturation);
    }

    /** Ω − 1, or nothing below saturation. */
    public double oversaturation() {
        return Math.max(0, omegaAragonite - 1);
    }

    /** The same, once the ordinary day's mean is known. */
    public TwinState withUsualOversaturation(double mean) {
        return with(at, dicMolPerKg, alkalinityMolPerKg, calciumMolPerKg, mean);
    }

    /** The same water at another time: the beginning of the same day over again. */
    public TwinState again(Instant when) {
        return with(when, dicMolPerKg, alkalinityMolPerKg, calciumMolPerKg, usualOversaturation);
    }

    private TwinState with(Instant when, double dic, double alkalinity, double calcium, double usually) {
        return new TwinState(
                when,
                dic,
                alkalinity,
                calcium,
                potassiumGainMolPerKg,
                oxygenMgPerL,
                roomPpm,
                secondPpm,
                phNbs,
                co2Uatm,
                omegaAragonite,
                usually,
                temperatureC,
                media,
                flows);
    }
}
