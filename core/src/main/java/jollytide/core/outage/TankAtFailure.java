package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.exchange.Gas;
import jollytide.core.reef.Fish;
import jollytide.core.reef.Life;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Gases;
import jollytide.core.seawater.Seawater;

/**
 * A tank at the moment its mains fail.
 *
 * @param litres net water
 * @param surfaceM2 open water that lies still then
 * @param reefMmolPerLPerH respiration of everything but the fish, mmol O2/(L·h) at 25 °C
 * @param startMgPerL oxygen at that moment, from the log or the twin, never taken as saturation
 * @param startMeasured whether it was measured: then it is not guessed at
 * @param startC water
 * @param room air around it
 * @param coolingPerH share of the gap to the room that is lost in an hour through glass and by dry air; 0.03 is a bare
 *     400 L tank (from memory). With 0 the temperature stays: nothing evaporates either
 * @param fedWithinHours since the last feeding; 24 and more is fasted, below 0 is that long after the failure
 * @param assumed what nobody measures of a tank without mains
 * @param warmingW heat that is put to the outside of its glass
 * @param respirationLnSd how little is known of the reef's respiration: one standard deviation of its logarithm; 0 where a
 *     log or a sum gives it
 * @param stillCool how much colder than that water it may be, from an outage before
 */
public record TankAtFailure(
        double litres,
        double salinity,
        double pressureHpa,
        double surfaceM2,
        double reefMmolPerLPerH,
        Fish fish,
        double startMgPerL,
        boolean startMeasured,
        double startC,
        RoomAround room,
        double coolingPerH,
        double fedWithinHours,
        OutageAssumptions assumed,
        double warmingW,
        double respirationLnSd,
        StillCool stillCool) {
    /** Loss of heat of a tank of ordinary shape, without covers: grows with surface over volume. From memory. */
    public static double ordinaryCoolingPerH(double litres) {
        return 0.03 * Math.cbrt(400 / litres);
    }

    /** A meal raises what fish breathe for hours. From memory. */
    private static final double FED_H = 6;

    static final double FED_OVER_ACTIVE = Fish.FED / Fish.ACTIVE;

    public TankAtFailure {
        within("litres", litres, 1, 100_000, "L");
        within("surfaceM2", surfaceM2, 0, 200, "m²");
        within("reefMmolPerLPerH", reefMmolPerLPerH, 0, 5, "mmol/(L·h)");
        within("startMgPerL", startMgPerL, 0, 20, "mg/L");
        within("startC", startC, 5, 38, "°C");
        within("coolingPerH", coolingPerH, 0, 1, "1/h");
        within("fedWithinHours", fedWithinHours, -240, 1000, "h");
        within("warmingW", warmingW, 0, 2000, "W");
        within("respirationLnSd", respirationLnSd, 0, 2, "");
    }

    /** With water of its usual temperature. */
    public TankAtFailure(
            double litres,
            double salinity,
            double pressureHpa,
            double surfaceM2,
            double reefMmolPerLPerH,
            Fish fish,
            double startMgPerL,
            boolean startMeasured,
            double startC,
            RoomAround room,
            double coolingPerH,
            double fedWithinHours,
            OutageAssumptions assumed,
            double warmingW,
            double respirationLnSd) {
        this(
                litres,
                salinity,
                pressureHpa,
                surfaceM2,
                reefMmolPerLPerH,
                fish,
                startMgPerL,
                startMeasured,
                startC,
                room,
                coolingPerH,
                fedWithinHours,
                assumed,
                warmingW,
                respirationLnSd,
                StillCool.NONE);
    }

    /** With what is assumed of any tank. */
    public TankAtFailure(
            double litres,
            double salinity,
            double pressureHpa,
            double surfaceM2,
            double reefMmolPerLPerH,
            Fish fish,
            double startMgPerL,
            boolean startMeasured,
            double startC,
            double roomC,
            double coolingPerH,
            double fedWithinHours) {
        this(
                litres,
                salinity,
                pressureHpa,
                surfaceM2,
                reefMmolPerLPerH,
                fish,
                startMgPerL,
                startMeasured,
                startC,
                RoomAround.known(roomC),
                coolingPerH,
                fedWithinHours,
                OutageAssumptions.DEFAULT,
                0,
                0);
    }

    /** The same with so much oxygen, which is known, and a temperature that stays. */
    TankAtFailure at(double mgPerL) {
        return with(mgPerL, true, 0, 0, StillCool.NONE);
    }

    private TankAtFailure with(double mgPerL, boolean measured, double losesPerH, double warmedByW, StillCool cool) {
        return new TankAtFailure(
                litres,
                salinity,
                pressureHpa,
                surfaceM2,
                reefMmolPerLPerH,
                fish,
                mgPerL,
                measured,
                startC,
                room,
                losesPerH,
                fedWithinHours,
                assumed,
                warmedByW,
                respirationLnSd,
                cool);
    }

    /** Of the heat that leaves through glass, so much still does through blankets around it. From memory. */
    private static final double WRAPPED_SHARE = 0.5;

    /** Of a heat pack on the glass, so much reaches the water, W. From memory. */
    public static final double HEAT_PACK_W = 5;

    /**
     * The same, kept warm from outside.
     *
     * @param wrapped whether blankets are around it
     * @param heatPacks on its glass
     */
    public TankAtFailure keptWarm(boolean wrapped, int heatPacks) {
        double losesPerH = wrapped ? WRAPPED_SHARE * coolingPerH : coolingPerH;
        return with(startMgPerL, startMeasured, losesPerH, heatPacks * HEAT_PACK_W, stillCool);
    }

    /** The same after an outage from which it has not warmed up yet. */
    public TankAtFailure after(StillCool before) {
        return with(startMgPerL, startMeasured, coolingPerH, warmingW, before);
    }

    /**
     * On the side on which danger comes first: what is assumed, each at its own edge; where the respiration is not known,
     * the joint edge of all ({@link JointEdge}).
     *
     * @param running what aerates from the first minute
     */
    public Guess early(List<Backup> running) {
        return respirationLnSd == 0 ? assumed.early() : new JointEdge(this, running).early();
    }

    public Guess likely() {
        return assumed.likely();
    }

    /** On the side on which danger comes last. */
    public Guess late(List<Backup> running) {
        return respirationLnSd == 0 ? assumed.late() : new JointEdge(this, running).late();
    }

    Seawater water(double celsius) {
        return new Seawater(salinity, Math.max(0, Math.min(Seawater.MAX_TEMPERATURE_C, celsius)));
    }

    double saturationMgPerL(double celsius) {
        return Gases.oxygenSaturationMgPerL(water(celsius), pressureHpa);
    }

    /** What everything uses, mg/(L·h). */
    public double demandMgPerLPerH(double celsius, double hours, Guess guess) {
        double reef = reefMmolPerLPerH * Life.metabolism(celsius) * Gases.OXYGEN_G_PER_MOL;
        return (reef + fishMgPerLPerH(celsius, hours, guess)) * guess.demandTimes();
    }

    private double fishMgPerLPerH(double celsius, double hours, Guess guess) {
        double fed = hours < digestsForH() ? FED_OVER_ACTIVE : 1;
        return fish.oxygenMgPerH(Math.max(0, Math.min(40, celsius))) * guess.fishActivity() * fed / litres;
    }

    /** Hours from the failure on in which the last meal still makes the fish breathe more. */
    double digestsForH() {
        return Math.max(0, FED_H - fedWithinHours);
    }

    /**
     * Whether a sum, not a reading, says that the animals were suffocating before the power failed: they live, so
     * something else brings them air, and the sum is no ground for alarm.
     */
    public boolean contradictedByItsAnimals() {
        return !startMeasured && startMgPerL < Fish.UNLIKELY_MG_PER_L;
    }

    /** Oxygen that backups bring into water held at {@code OxygenLines.DANGER}, mg/(L·h), on the careful side. */
    public double broughtMgPerLPerH(List<Backup> running) {
        Seawater water = water(startC);
        double solubility = Gas.OXYGEN.solubility(water);
        double conductance =
                running.stream().mapToDouble(b -> b.way().least(water)).sum();
        return conductance / (solubility * litres) * Math.max(0, saturationMgPerL(startC) - OxygenLines.DANGER);
    }
}
