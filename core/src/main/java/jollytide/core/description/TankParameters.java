package jollytide.core.description;

import static jollytide.core.units.Quantities.within;

import jollytide.core.reef.Livestock;

/**
 * What no description of a tank tells exactly: one tank that could be behind the log.
 *
 * @param skimmerFactor what the skimmer carries, over what its physics lets expect
 * @param surfaceFactor likewise of the surfaces
 * @param respirationMmolPerLPerH at 25 °C, without the fish
 * @param photosynthesisMmolPerLPerH gross, at full light and 25 °C
 * @param alkalinityOffMeqPerL by how much the water holds more than its tests say
 * @param roomOffPpm by how much the room holds more CO2 than was measured, dry ppm
 * @param roomExcessFactor of what the room holds more than outdoors, over what was estimated
 * @param airChangesFactor of the room, over those that are described or assumed
 * @param lampsLateH by how much the lamps go on and off later than described, h
 * @param useFactor of the alkalinity that the animals use, over what is described
 * @param intakeOddsFactor of the odds that a hose's skimmer breathes what comes through the hose, over those expected
 */
public record TankParameters(
        double skimmerFactor,
        double surfaceFactor,
        double respirationMmolPerLPerH,
        double photosynthesisMmolPerLPerH,
        double alkalinityOffMeqPerL,
        double roomOffPpm,
        double roomExcessFactor,
        double airChangesFactor,
        double lampsLateH,
        double useFactor,
        double intakeOddsFactor) {

    /** An ordinary mixed reef, everything else as described. From memory; a log corrects it. */
    public static final TankParameters ORDINARY = new TankParameters(1, 0.018, 0.034);

    public TankParameters {
        within("skimmerFactor", skimmerFactor, 0.05, 20, "");
        within("surfaceFactor", surfaceFactor, 0.05, 20, "");
        within("respirationMmolPerLPerH", respirationMmolPerLPerH, 0, 2, "mmol/(L·h)");
        within("photosynthesisMmolPerLPerH", photosynthesisMmolPerLPerH, 0, 2, "mmol/(L·h)");
        within("alkalinityOffMeqPerL", alkalinityOffMeqPerL, -1.5, 1.5, "meq/L");
        within("roomOffPpm", roomOffPpm, -5000, 5000, "ppm");
        within("roomExcessFactor", roomExcessFactor, 0.01, 50, "");
        within("airChangesFactor", airChangesFactor, 0.05, 20, "");
        within("lampsLateH", lampsLateH, -6, 6, "h");
        within("useFactor", useFactor, 0.05, 20, "");
        within("intakeOddsFactor", intakeOddsFactor, 1e-5, 1e5, "");
    }

    /** Alkalinity, room and lamps as they are described. */
    public TankParameters(double skimmerFactor, double surfaceFactor, double respiration, double photosynthesis) {
        this(skimmerFactor, surfaceFactor, respiration, photosynthesis, 0, 0, 1, 1, 0, 1, 1);
    }

    /** With surfaces as their physics lets expect, too. */
    public TankParameters(double skimmerFactor, double respiration, double photosynthesis) {
        this(skimmerFactor, 1, respiration, photosynthesis);
    }

    /** The same with another share of outdoor air through its hose. */
    public TankParameters withIntakeOdds(double factor) {
        return new TankParameters(
                skimmerFactor,
                surfaceFactor,
                respirationMmolPerLPerH,
                photosynthesisMmolPerLPerH,
                alkalinityOffMeqPerL,
                roomOffPpm,
                roomExcessFactor,
                airChangesFactor,
                lampsLateH,
                useFactor,
                factor);
    }

    public boolean correctsRoom() {
        return roomOffPpm != 0 || roomExcessFactor != 1;
    }

    /** What the room really holds, where its meter or estimate says so much; dry ppm. */
    double roomPpm(double said, double outdoorPpm) {
        return Math.max(DailyAir.LEAST_PPM, outdoorPpm + (said - outdoorPpm) * roomExcessFactor + roomOffPpm);
    }

    /** A tank of which only its kind is known. */
    public static TankParameters of(Livestock kind) {
        return new TankParameters(
                1,
                kind.respiration() * ORDINARY.respirationMmolPerLPerH,
                kind.photosynthesis() * ORDINARY.photosynthesisMmolPerLPerH);
    }
}
