package jollytide.core.staircase;

import java.time.Instant;
import java.util.List;
import jollytide.core.evidence.Estimate;
import org.jspecify.annotations.Nullable;

/**
 * Outdoors, room, water: three levels of CO2 and the two risers between them.
 *
 * <p>All levels are dry ppm, the unit of a CO2 meter, so that a water in balance with the room stands exactly at the
 * room's level. The water's level is the ppm of the air it would be in balance with; its partial pressure in µatm is
 * lower by the share of water vapour (3 % at 25 °C).
 *
 * @param outdoor what the outdoor air holds
 * @param intake what the skimmer or air pump breathes, when measured
 * @param room what the room's air held, weighted over the settling time; null when not measured
 * @param water null when pH or alkalinity is missing or they have no solution together
 * @param waterUatm partial pressure in the water
 * @param ventilation room − outdoors
 * @param tank water − room
 * @param tankMoreThanVentilation the difference of the two risers; the verdict hangs on its sign
 * @param settlingHours how long the water takes to follow the room
 * @param roomExpectedPpm what the room's size and people let expect with the windows shut
 * @param omegaAragonite saturation of aragonite; null as for water
 * @param phAtNormalAlkalinity pH at the same CO2 with alkalinity at the normal value, when it is below that
 * @param doubts what each input's error alone does to the difference of the risers, largest first
 */
public record Staircase(
        Instant at,
        boolean dark,
        Level outdoor,
        @Nullable Level intake,
        @Nullable Level room,
        @Nullable Level water,
        @Nullable Estimate waterUatm,
        @Nullable Riser ventilation,
        @Nullable Riser tank,
        @Nullable Estimate tankMoreThanVentilation,
        Estimate settlingHours,
        @Nullable Estimate roomExpectedPpm,
        @Nullable Double omegaAragonite,
        @Nullable Double phAtNormalAlkalinity,
        List<InputUse> inputs,
        List<InputName> missing,
        List<Doubt> doubts,
        Verdict verdict,
        List<Working> working,
        boolean extrapolated) {

    /**
     * One step.
     *
     * @param ppm CO2, dry ppm
     * @param balancePhNbs the pH at which this tank's water would settle in such air; null without alkalinity
     */
    public record Level(Estimate ppm, @Nullable Double balancePhNbs) {}

    /**
     * One rise between two steps.
     *
     * @param phNbsWithout the pH of the water if this riser alone were gone and the other stayed, since fluxes are
     *     linear in CO2; null when nothing would be left
     * @param phGain that pH less the one measured
     */
    public record Riser(
            Estimate ppm,
            @Nullable Double phNbsWithout,
            @Nullable Double phGain) {}

    /** Half the spread in ppm that one input's error causes in the difference of the risers. */
    public record Doubt(InputName input, double error, double ppm) {}

    /** One line of the sum: what, by which formula, with which numbers, from which source. */
    public record Working(String what, String formula, String numbers, String source) {}
}
