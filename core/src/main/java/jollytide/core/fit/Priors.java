package jollytide.core.fit;

import static jollytide.core.units.Quantities.within;

import jollytide.core.measure.Setup;

/**
 * How far each unknown may be from what is expected of it before a log is looked at: one standard deviation. From
 * memory, all of them.
 *
 * @param metabolism ln, of respiration and of photosynthesis
 * @param surfaces ln
 * @param skimmer ln
 * @param alkalinityMeqPerL of one kit: 0.2 dKH
 * @param alkalinityUntestedMeqPerL where there was no test: 1.5 dKH
 * @param roomMeterPpm of one meter
 * @param roomUnmeasured ln, of what a room that nobody measured holds more than outdoors: its people and air changes
 * @param airChanges ln, of a room whose keeper does not know them
 * @param lampsH of a described light clock
 * @param use ln, of a described use of alkalinity
 * @param probePh of a probe whose calibration is not known
 * @param probePhPerDay its drift
 * @param oxygenMgPerL of an oxygen probe
 */
public record Priors(
        double metabolism,
        double surfaces,
        double skimmer,
        double alkalinityMeqPerL,
        double alkalinityUntestedMeqPerL,
        double roomMeterPpm,
        double roomUnmeasured,
        double airChanges,
        double lampsH,
        double use,
        double probePh,
        double probePhPerDay,
        double oxygenMgPerL) {
    public static final Priors ASSUMED =
            new Priors(0.5, 0.35, 0.3, 0.071, 0.535, 25, 0.57, 0.4, 0.25, 0.2, 0.04, 0.001, 0.3);

    public Priors {
        within("metabolism", metabolism, 0.01, 3, "");
        within("surfaces", surfaces, 0.01, 3, "");
        within("skimmer", skimmer, 0.01, 3, "");
        within("alkalinityMeqPerL", alkalinityMeqPerL, 0.001, 1, "meq/L");
        within("alkalinityUntestedMeqPerL", alkalinityUntestedMeqPerL, 0.001, 1, "meq/L");
        within("roomMeterPpm", roomMeterPpm, 1, 500, "ppm");
        within("roomUnmeasured", roomUnmeasured, 0.01, 3, "");
        within("airChanges", airChanges, 0.01, 3, "");
        within("lampsH", lampsH, 0.01, 3, "h");
        within("use", use, 0.01, 3, "");
        within("probePh", probePh, 0.002, 1, "pH");
        within("probePhPerDay", probePhPerDay, 1e-5, 0.1, "pH/day");
        within("oxygenMgPerL", oxygenMgPerL, 0.01, 3, "mg/L");
    }

    /** With a probe whose calibration is known. */
    public Priors withProbe(double ph, double phPerDay) {
        return with(airChanges, use, ph, phPerDay);
    }

    /** With a room whose air changes its keeper knows. */
    public Priors withAirChanges(double ln) {
        return with(ln, use, probePh, probePhPerDay);
    }

    /** With a use of alkalinity that doses and tests tell. */
    public Priors withUse(double ln) {
        return with(airChanges, ln, probePh, probePhPerDay);
    }

    private Priors with(double ofAirChanges, double ofUse, double ph, double phPerDay) {
        return new Priors(
                metabolism,
                surfaces,
                skimmer,
                alkalinityMeqPerL,
                alkalinityUntestedMeqPerL,
                roomMeterPpm,
                roomUnmeasured,
                ofAirChanges,
                lampsH,
                ofUse,
                ph,
                phPerDay,
                oxygenMgPerL);
    }

    double of(Unknown unknown, Setup setup, TankLog log) {
        return switch (unknown) {
            case RESPIRATION, PHOTOSYNTHESIS -> metabolism;
            case SURFACES -> surfaces;
            case SKIMMER -> skimmer;
            case ALKALINITY -> log.alkalinity().tested() ? alkalinityMeqPerL : alkalinityUntestedMeqPerL;
            case ROOM -> roomMeterPpm;
            case ROOM_EXCESS -> roomUnmeasured;
            case AIR_CHANGES -> airChanges;
            case LAMPS -> lampsH;
            case USE -> use;
            case INTAKE -> setup.intake().orElseThrow().lnOddsDeviation();
            case PROBE -> probePh;
            case DRIFT -> probePhPerDay;
            case OXYGEN_PROBE -> oxygenMgPerL;
        };
    }
}
