package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import jollytide.core.exchange.Bubbles;
import jollytide.core.exchange.Bubbles.Skin;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Skimmer;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.seawater.Seawater;
import org.jspecify.annotations.Nullable;

/**
 * A way to give oxygen without the mains.
 *
 * @param loadW what it takes; 0 by hand
 * @param energy null by hand: then it lasts as long as somebody does it
 * @param start who starts it
 */
public record Backup(
        String name, Way way, double loadW, @Nullable Energy energy, Start start) {

    /** What happens to it the moment the mains fail. */
    public enum Start {
        BY_HAND,
        /** It goes on, and can be switched off to be kept for later. */
        BY_ITSELF,
        /** It goes on until it is empty, such as a pump on a plugged-in UPS. */
        BY_ITSELF_TO_THE_END
    }

    /** One that somebody has to start. */
    public Backup(String name, Way way, double loadW, @Nullable Energy energy) {
        this(name, way, loadW, energy, Start.BY_HAND);
    }

    public boolean startsItself() {
        return start != Start.BY_HAND;
    }

    /** Whether it runs from the first minute whatever is planned. */
    boolean runsToTheEnd() {
        return start == Start.BY_ITSELF_TO_THE_END;
    }

    /** How it gives gas: mol O2/(h·atm) between the least and the most that it may. */
    public sealed interface Way {
        double least(Seawater water);

        double most(Seawater water);
    }

    /** Air through a stone. Safety holds to the rigid skin. */
    public record Stone(double airLPerH, double diameterMm, double depthM) implements Way {
        public Stone {
            within("backupAirLPerH", airLPerH, 1, 20_000, "L/h");
            within("bubbleMm", diameterMm, 0.2, 20, "mm");
            within("stoneDepthM", depthM, 0.01, 5, "m");
        }

        @Override
        public double least(Seawater water) {
            return new Bubbles(airLPerH, diameterMm, depthM, Skin.RIGID).conductance(Gas.OXYGEN, water);
        }

        @Override
        public double most(Seawater water) {
            return new Bubbles(airLPerH, diameterMm, depthM, Skin.MOBILE).conductance(Gas.OXYGEN, water);
        }
    }

    /**
     * A pump that moves the surface.
     *
     * @param surfaceM2 that it keeps rippled
     */
    public record Circulation(double surfaceM2) implements Way {
        public Circulation {
            within("movedM2", surfaceM2, 0.01, 200, "m²");
        }

        @Override
        public double least(Seawater water) {
            return new Surface(surfaceM2, SurfaceClass.RIPPLED).conductance(Gas.OXYGEN, water);
        }

        @Override
        public double most(Seawater water) {
            return new Surface(surfaceM2, SurfaceClass.ROLLING).conductance(Gas.OXYGEN, water);
        }
    }

    /**
     * The tank's own pumps go on: its surface moves as it was described, and its skimmer draws air. Two sources of power
     * for the same pumps are no more than one.
     *
     * @param surfaceM2 that they move
     * @param skimmerLPerH air that its skimmer draws; 0 where it stays off
     */
    public record OwnPumps(double surfaceM2, SurfaceClass motion, double skimmerLPerH) implements Way {
        /** How little is known of surfaces and skimmers. From memory. */
        private static final double DOUBT = 1.4;

        public OwnPumps {
            within("movedM2", surfaceM2, 0.01, 200, "m²");
            within("backupAirLPerH", skimmerLPerH, 0, 20_000, "L/h");
        }

        @Override
        public double least(Seawater water) {
            return likely(water) / DOUBT;
        }

        @Override
        public double most(Seawater water) {
            return likely(water) * DOUBT;
        }

        /** Beyond what the same surface carries while it lies still, which is counted anyway. */
        private double likely(Seawater water) {
            double still = new Surface(surfaceM2, SurfaceClass.STILL).conductance(Gas.OXYGEN, water);
            double skims = skimmerLPerH == 0 ? 0 : new Skimmer(skimmerLPerH).conductance(Gas.OXYGEN, water);
            return Math.max(0, new Surface(surfaceM2, motion).conductance(Gas.OXYGEN, water) - still) + skims;
        }
    }

    /** Water scooped out and poured back from half a metre. */
    public record Pouring(double litresPerH) implements Way {
        /** How far one fall brings the water towards the air. From memory. */
        public static final double EFFICIENCY = 0.5;

        private static final double LEAST_GAP_MG_PER_L = 0.1;

        public Pouring {
            within("pouredLPerH", litresPerH, 0, 20_000, "L/h");
        }

        @Override
        public double least(Seawater water) {
            return litresPerH * Gas.OXYGEN.solubility(water) * EFFICIENCY * 0.8;
        }

        @Override
        public double most(Seawater water) {
            return litresPerH * Gas.OXYGEN.solubility(water) * EFFICIENCY * 1.3;
        }

        /** The level that pouring is counted for, mg/L; where warm or thin air gives less, four fifths of what it gives. */
        private static final double HELD_MG_PER_L = 4;

        private static final double HELD_AT_MOST = 0.8;
        private static final double BUCKET_L = 10;

        /** Ten-litre buckets an hour that hold a tank out of danger. */
        public static double bucketsPerH(TankAtFailure tank) {
            double most = HELD_AT_MOST * tank.saturationMgPerL(tank.startC());
            return bucketsPerH(tank, Math.min(HELD_MG_PER_L, most), BUCKET_L);
        }

        /**
         * Buckets an hour that hold a tank at {@code holdMgPerL}.
         *
         * @param holdMgPerL below what air can give this water, by more than nothing: no pouring goes beyond
         * @param bucketL of each
         */
        public static double bucketsPerH(TankAtFailure tank, double holdMgPerL, double bucketL) {
            double saturation = tank.saturationMgPerL(tank.startC());
            double gap = saturation - within("holdMgPerL", holdMgPerL, 0, saturation - LEAST_GAP_MG_PER_L, "mg/L");
            double demand = tank.demandMgPerLPerH(tank.startC(), 0, tank.likely()) * tank.litres();
            double still =
                    new Surface(Math.max(0.001, tank.surfaceM2()), tank.likely().stillCmPerH(), 2.0 / 3)
                                    .conductance(Gas.OXYGEN, tank.water(tank.startC()))
                            / Gas.OXYGEN.solubility(tank.water(tank.startC()));
            return Math.max(0, demand / gap - still) / EFFICIENCY / within("bucketL", bucketL, 0.5, 50, "L");
        }
    }

    /** Hours that it runs: without end by hand. */
    public Energy.RunTime runTime() {
        return energy == null ? new Energy.RunTime(LONG, LONG, LONG, false) : energy.hours(loadW);
    }

    private static final double LONG = 1e6;
}
