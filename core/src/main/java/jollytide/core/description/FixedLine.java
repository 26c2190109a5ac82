package jollytide.core.description;

import static jollytide.core.units.Quantities.within;

import jollytide.core.air.AirLine;
import jollytide.core.air.IntakeAir;
import jollytide.core.exchange.Skimmer;
import org.jspecify.annotations.Nullable;

/**
 * A hose from outdoors to the skimmer that stays, and what was measured at it.
 *
 * @param drawnLPerH what the skimmer draws with the hose on; from length and bore when null
 * @param outdoorShare of what is breathed, from CO2 at the intake; assumed when null
 */
public record FixedLine(AirLine line, @Nullable Double drawnLPerH, IntakeAir.@Nullable Share outdoorShare) {
    public FixedLine {
        if (drawnLPerH != null) {
            within("drawnLPerH", drawnLPerH, 1, 20_000, "L/h");
        }
    }

    /** Share of the free draw that is kept, 0 to 1. */
    public double kept(Skimmer skimmer) {
        double free = skimmer.airDrawLPerH();
        return drawnLPerH == null ? line.kept(free, skimmer.assumed().suctionPa()) : Math.min(1, drawnLPerH / free);
    }

    /** Of what is breathed, what comes from outdoors: measured, else assumed. */
    public IntakeAir.Share fromOutdoors() {
        return outdoorShare == null ? IntakeAir.Share.ASSUMED : outdoorShare;
    }
}
