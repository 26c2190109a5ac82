package jollytide.core.seawater;

/**
 * A carbonate system at rest. Concentrations in mol/kg of seawater.
 *
 * @param pco2Uatm partial pressure of CO2 in the water, µatm; fugacity is taken as equal to it (0.3 % off at one
 *     atmosphere, a thousandth of a pH unit)
 * @param omegaAragonite calcium × carbonate over the solubility product of aragonite
 */
public record CarbonateState(
        Seawater water,
        double phTotal,
        double phNbs,
        double alkalinity,
        double dic,
        double co2,
        double bicarbonate,
        double carbonate,
        double pco2Uatm,
        double omegaAragonite) {}
