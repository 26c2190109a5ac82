package jollytide.server.tank;

import java.util.LinkedHashMap;
import java.util.Map;
import jollytide.core.exchange.SkimmerAssumptions;
import jollytide.core.outage.OutageAssumptions;
import jollytide.core.staircase.Assumptions;
import org.jspecify.annotations.Nullable;

/** The keeper's own values in place of assumed ones; null keeps the default. Units as in {@link
 * Assumptions}, {@link SkimmerAssumptions} and {@link OutageAssumptions}. */
public record OwnAssumptions(
        @Nullable Double settlingHours,
        @Nullable Double outdoorPpm,
        @Nullable Double probeErrorPh,
        @Nullable Double alkalinityErrorDkh,
        @Nullable Double co2MeterErrorPpm,
        @Nullable Double lowAlkalinityDkh,
        @Nullable Double normalAlkalinityDkh,
        @Nullable Double skimmerWaterPerAir,
        @Nullable Double skimmerTransferUnits,
        @Nullable Double skimmerResidenceS,
        @Nullable Double skimmerSuctionPa,
        @Nullable Double outageDemandDoubt,
        @Nullable Double outageStillCmPerH,
        @Nullable Double outageStartDoubtMgPerL,
        @Nullable Double outageFishActivity) {

    public static final OwnAssumptions NONE = from(Map.of());

    static OwnAssumptions from(Map<String, Double> stored) {
        return new OwnAssumptions(
                stored.get("settlingHours"),
                stored.get("outdoorPpm"),
                stored.get("probeErrorPh"),
                stored.get("alkalinityErrorDkh"),
                stored.get("co2MeterErrorPpm"),
                stored.get("lowAlkalinityDkh"),
                stored.get("normalAlkalinityDkh"),
                stored.get("skimmerWaterPerAir"),
                stored.get("skimmerTransferUnits"),
                stored.get("skimmerResidenceS"),
                stored.get("skimmerSuctionPa"),
                stored.get("outageDemandDoubt"),
                stored.get("outageStillCmPerH"),
                stored.get("outageStartDoubtMgPerL"),
                stored.get("outageFishActivity"));
    }

    Map<String, Double> toStored() {
        Map<String, Double> stored = new LinkedHashMap<>();
        stored.put("settlingHours", settlingHours);
        stored.put("outdoorPpm", outdoorPpm);
        stored.put("probeErrorPh", probeErrorPh);
        stored.put("alkalinityErrorDkh", alkalinityErrorDkh);
        stored.put("co2MeterErrorPpm", co2MeterErrorPpm);
        stored.put("lowAlkalinityDkh", lowAlkalinityDkh);
        stored.put("normalAlkalinityDkh", normalAlkalinityDkh);
        stored.put("skimmerWaterPerAir", skimmerWaterPerAir);
        stored.put("skimmerTransferUnits", skimmerTransferUnits);
        stored.put("skimmerResidenceS", skimmerResidenceS);
        stored.put("skimmerSuctionPa", skimmerSuctionPa);
        stored.put("outageDemandDoubt", outageDemandDoubt);
        stored.put("outageStillCmPerH", outageStillCmPerH);
        stored.put("outageStartDoubtMgPerL", outageStartDoubtMgPerL);
        stored.put("outageFishActivity", outageFishActivity);
        stored.values().removeIf(value -> value == null);
        return stored;
    }

    /** The defaults with these values in their places. */
    Assumptions toCore() {
        Assumptions d = Assumptions.DEFAULT;
        return new Assumptions(
                or(settlingHours, d.settlingHours()),
                or(outdoorPpm, d.outdoorPpm()),
                d.outdoorErrorPpm(),
                or(probeErrorPh, d.probeErrorPh()),
                d.checkedProbeErrorPh(),
                d.colourKitErrorPh(),
                or(alkalinityErrorDkh, d.alkalinityErrorDkh()),
                d.alkalinityDriftDkhPerDay(),
                or(co2MeterErrorPpm, d.co2MeterErrorPpm()),
                d.temperatureC(),
                d.salinityPsu(),
                or(lowAlkalinityDkh, d.lowAlkalinityDkh()),
                or(normalAlkalinityDkh, d.normalAlkalinityDkh()));
    }

    SkimmerAssumptions skimmer() {
        SkimmerAssumptions d = SkimmerAssumptions.DEFAULT;
        return new SkimmerAssumptions(
                or(skimmerWaterPerAir, d.waterPerAir()),
                or(skimmerTransferUnits, d.transferUnits()),
                or(skimmerResidenceS, d.residenceS()),
                or(skimmerSuctionPa, d.suctionPa()));
    }

    OutageAssumptions withoutMains() {
        OutageAssumptions d = OutageAssumptions.DEFAULT;
        return new OutageAssumptions(
                or(outageDemandDoubt, d.demandDoubt()),
                or(outageStillCmPerH, d.stillCmPerH()),
                or(outageStartDoubtMgPerL, d.startDoubtMgPerL()),
                or(outageFishActivity, d.fishActivity()));
    }

    private static double or(@Nullable Double own, double instead) {
        return own == null ? instead : own;
    }
}
