package jollytide.core.staircase;

import static jollytide.core.units.Quantities.within;

import jollytide.core.evidence.Method;

/**
 * What the staircase takes for granted until the keeper replaces it. The defaults are common practice or from memory,
 * without a published source, and are shown as assumed wherever they are used.
 *
 * @param settlingHours time constant with which the water follows the room air; 5 to 30 h are usual
 * @param outdoorPpm outdoor CO2 when none was measured
 * @param outdoorErrorPpm how far that may be off
 * @param probeErrorPh a probe that was not checked lately
 * @param checkedProbeErrorPh a probe that read two buffers right
 * @param colourKitErrorPh a colour kit, or an estimate
 * @param alkalinityErrorDkh a titration kit
 * @param alkalinityDriftDkhPerDay how fast an old alkalinity reading loses its worth
 * @param co2MeterErrorPpm a household CO2 meter
 * @param temperatureC temperature when none was measured
 * @param salinityPsu salinity when none was measured
 * @param lowAlkalinityDkh below this alkalinity itself is suspected
 * @param normalAlkalinityDkh the alkalinity that a low one is compared with
 */
public record Assumptions(
        double settlingHours,
        double outdoorPpm,
        double outdoorErrorPpm,
        double probeErrorPh,
        double checkedProbeErrorPh,
        double colourKitErrorPh,
        double alkalinityErrorDkh,
        double alkalinityDriftDkhPerDay,
        double co2MeterErrorPpm,
        double temperatureC,
        double salinityPsu,
        double lowAlkalinityDkh,
        double normalAlkalinityDkh) {

    public static final double LEAST_SETTLING_H = 0.5;
    public static final double MOST_SETTLING_H = 200;

    public static final Assumptions DEFAULT =
            new Assumptions(12, 420, 20, 0.1, 0.03, 0.2, 0.3, 0.1, 50, 25.5, 35, 7, 8);

    /** How far an assumed temperature (°C) and salinity (psu) may be off. */
    static final double TEMPERATURE_ERROR_ASSUMED_C = 1.5;

    static final double SALINITY_ERROR_ASSUMED = 1.5;
    static final double TEMPERATURE_ERROR_MEASURED_C = 0.3;
    static final double SALINITY_ERROR_MEASURED = 0.7;
    /**
     * An old reading of air says less and less of the air since: the doubt that grows towards this, ppm, and how fast. A
     * room swings with its people within hours, the outdoor air with weather and traffic within days. From memory.
     */
    static final double ROOM_SWING_PPM = 300;

    static final double ROOM_FORGETS_H = 24;
    static final double OUTDOOR_SWING_PPM = 40;
    static final double OUTDOOR_FORGETS_H = 96;

    /** Estimates entered by hand are this many times worse than a meter. */
    static final double ESTIMATE_FACTOR = 3;

    public Assumptions {
        within("settlingHours", settlingHours, LEAST_SETTLING_H, MOST_SETTLING_H, "h");
        within("outdoorPpm", outdoorPpm, 250, 5000, "ppm");
        within("outdoorErrorPpm", outdoorErrorPpm, 0, 1000, "ppm");
        within("probeErrorPh", probeErrorPh, 0.01, 1, "pH");
        within("checkedProbeErrorPh", checkedProbeErrorPh, 0.005, 0.5, "pH");
        within("colourKitErrorPh", colourKitErrorPh, 0.01, 1, "pH");
        within("alkalinityErrorDkh", alkalinityErrorDkh, 0.01, 5, "dKH");
        within("alkalinityDriftDkhPerDay", alkalinityDriftDkhPerDay, 0, 5, "dKH/day");
        within("co2MeterErrorPpm", co2MeterErrorPpm, 1, 1000, "ppm");
        within("temperatureC", temperatureC, 0, 40, "°C");
        within("salinityPsu", salinityPsu, 0, 45, "psu");
        within("lowAlkalinityDkh", lowAlkalinityDkh, 1, 15, "dKH");
        within("normalAlkalinityDkh", normalAlkalinityDkh, lowAlkalinityDkh, 20, "dKH");
    }

    /** With the ± of a probe whose calibrations are known. */
    public Assumptions withProbeError(double ph) {
        return new Assumptions(
                settlingHours,
                outdoorPpm,
                outdoorErrorPpm,
                ph,
                checkedProbeErrorPh,
                colourKitErrorPh,
                alkalinityErrorDkh,
                alkalinityDriftDkhPerDay,
                co2MeterErrorPpm,
                temperatureC,
                salinityPsu,
                lowAlkalinityDkh,
                normalAlkalinityDkh);
    }

    double phError(Method method) {
        return switch (method) {
            case PROBE, METER -> probeErrorPh;
            case PROBE_CHECKED -> checkedProbeErrorPh;
            default -> colourKitErrorPh;
        };
    }

    /** Standard error of an alkalinity reading so many days after it was taken, dKH. */
    public double alkalinityErrorDkh(Method method, double ageDays) {
        double kit = method == Method.ESTIMATE ? ESTIMATE_FACTOR * alkalinityErrorDkh : alkalinityErrorDkh;
        return kit + alkalinityDriftDkhPerDay * ageDays;
    }

    double co2ErrorPpm(Method method) {
        return method == Method.ESTIMATE ? ESTIMATE_FACTOR * co2MeterErrorPpm : co2MeterErrorPpm;
    }

    double roomErrorPpm(Method method, double ageH) {
        return aged(co2ErrorPpm(method), ROOM_SWING_PPM, ageH / ROOM_FORGETS_H);
    }

    double outdoorErrorPpm(Method method, double ageH) {
        return aged(co2ErrorPpm(method), OUTDOOR_SWING_PPM, ageH / OUTDOOR_FORGETS_H);
    }

    private static double aged(double meter, double swing, double age) {
        return Math.hypot(meter, swing * (1 - Math.exp(-Math.max(0, age))));
    }
}
