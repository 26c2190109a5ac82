package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import org.jspecify.annotations.Nullable;

/**
 * What drives a backup, and for how long. Run time is not linear in watts: electronics take some for themselves, cells
 * give less the harder they are pressed, and all of them age. Only a tested run counts as known.
 */
public sealed interface Energy {

    /**
     * Hours on a load.
     *
     * @param tested whether they were measured
     */
    record RunTime(double early, double likely, double late, boolean tested) {}

    RunTime hours(double loadW);

    /**
     * A run that was measured at the real load.
     *
     * @param hours until it stopped, or as long as it was watched
     * @param yearsAgo since then
     */
    record Tested(double hours, double yearsAgo) implements Energy {
        /** A battery a year on, or a colder night. From memory. */
        private static final double A_YEAR_LATER = 0.8;

        public Tested {
            within("testedHours", hours, 0.01, 2000, "h");
            within("testedYearsAgo", yearsAgo, 0, 100, "years");
        }

        /** Within the last year. */
        public Tested(double hours) {
            this(hours, 0);
        }

        @Override
        public RunTime hours(double loadW) {
            return new RunTime(hours * Math.pow(A_YEAR_LATER, Math.max(1, yearsAgo)), hours, hours, true);
        }
    }

    /**
     * What is left of another after some hours of use that nobody made good for.
     *
     * @param usedH on the same load
     */
    record PartlyUsed(Energy of, double usedH) implements Energy {
        public PartlyUsed {
            within("usedH", usedH, 0, 10_000, "h");
        }

        @Override
        public RunTime hours(double loadW) {
            RunTime full = of.hours(loadW);
            return new RunTime(
                    Math.max(0, full.early() - usedH),
                    Math.max(0, full.likely() - usedH),
                    Math.max(0, full.late() - usedH),
                    full.tested());
        }
    }

    /**
     * What its maker says, nobody having tried it. Shares of the claim that are counted on are from memory.
     *
     * @param hours on the packaging
     */
    record Claimed(double hours) implements Energy {
        private static final double LEAST = 0.5;
        private static final double LIKELY = 0.75;

        public Claimed {
            within("makerHours", hours, 0.1, 2000, "h");
        }

        @Override
        public RunTime hours(double loadW) {
            return new RunTime(hours * LEAST, hours * LIKELY, hours, false);
        }
    }

    /** Alkaline cells by size: energy at a trickle, and the load in W at which half of it is left. From memory. */
    enum CellSize {
        D(20, 1.6),
        C(10, 0.8),
        AA(3.6, 0.4);

        private final double wh;
        private final double halfW;

        CellSize(double wh, double halfW) {
            this.wh = wh;
            this.halfW = halfW;
        }
    }

    /**
     * Dry cells.
     *
     * @param yearsOld since they were made
     */
    record DryCells(CellSize size, int count, double yearsOld) implements Energy {
        /** From making to the date on them. From memory. */
        public static final double YEARS_TO_DATE = 7;

        /** Of cells that nobody dated: as old as their date allows. */
        public static final double YEARS_ASSUMED = YEARS_TO_DATE;

        private static final double LEFT_A_YEAR = 0.97;

        public DryCells {
            within("cells", count, 0, 200, "");
            within("cellYearsOld", yearsOld, 0, 20, "years");
        }

        @Override
        public RunTime hours(double loadW) {
            if (count == 0) {
                return new RunTime(0, 0, 0, false);
            }
            double perCell = loadW / count;
            double wh = count * size.wh / (1 + perCell / size.halfW) * Math.pow(LEFT_A_YEAR, yearsOld);
            double hours = wh / loadW;
            return new RunTime(0.6 * hours, hours, 1.3 * hours, false);
        }
    }

    /**
     * A computer's UPS, known by what its maker says it carries for how long.
     *
     * @param ratedW such as 100 W
     * @param ratedMinutes such as 23 minutes
     */
    record Ups(double ratedW, double ratedMinutes, double yearsOld) implements Energy {
        /** Its inverter's own draw, W, and how its lead cells reward a lower load (Peukert's exponent). From memory. */
        private static final double LEAST_IDLE_W = 5;

        private static final double LIKELY_IDLE_W = 6.5;
        private static final double MOST_IDLE_W = 8;
        private static final double LIKELY_EXPONENT = 1.15;
        private static final double MOST_EXPONENT = 1.25;

        /** Of one that nobody dated: its cells at the end of their usual life. From memory. */
        public static final double YEARS_ASSUMED = 4;

        public Ups {
            within("upsRatedW", ratedW, 5, 10_000, "W");
            within("upsRatedMinutes", ratedMinutes, 0.5, 6000, "min");
            within("upsYearsOld", yearsOld, 0, 30, "years");
        }

        /** What its label lets one hope: constant energy, no draw of its own. Wrong, and shown as wrong. */
        public double naiveHours(double loadW) {
            return ratedW * ratedMinutes / 60 / loadW;
        }

        /** Whether a load is more than it is known to carry: then it switches off. */
        public boolean overloaded(double loadW) {
            return loadW > ratedW;
        }

        @Override
        public RunTime hours(double loadW) {
            if (overloaded(loadW)) {
                return new RunTime(0, 0, 0, false);
            }
            double left = leadLeft(yearsOld);
            double early = ratedW * ratedMinutes / 60 / (loadW + MOST_IDLE_W);
            return new RunTime(
                    early * left,
                    hours(loadW, LIKELY_IDLE_W, LIKELY_EXPONENT) * left,
                    hours(loadW, LEAST_IDLE_W, MOST_EXPONENT) * left,
                    false);
        }

        private double hours(double loadW, double idleW, double exponent) {
            return ratedMinutes / 60 * Math.pow((ratedW + idleW) / (loadW + idleW), exponent);
        }
    }

    /**
     * A battery, with an inverter or straight.
     *
     * @param wattHours on its label
     * @param lead whether of lead, else of lithium
     * @param idleW what the inverter takes; 0 for a pump that runs on the battery itself, by direct current
     * @param efficiency of the inverter; 1 without
     * @param restW loads below which the inverter switches itself off; null when it does not
     * @param usableShare of what the label says, that may be taken without harm
     */
    record Battery(
            double wattHours,
            boolean lead,
            double idleW,
            double efficiency,
            @Nullable Double restW,
            double yearsOld,
            double usableShare)
            implements Energy {
        /** An inverter of which nothing is known. From memory. */
        public static final double ASSUMED_IDLE_W = 8;

        public static final double ASSUMED_EFFICIENCY = 0.85;

        /** Of one that nobody dated. From memory. */
        public static final double LEAD_YEARS_ASSUMED = 4;

        public static final double LITHIUM_YEARS_ASSUMED = 6;

        private static final double LEAD_HOURS = 20;
        private static final double LEAD_EXPONENT = 1.15;
        /** Of lead only half may be taken without harm; of lithium most. From memory. */
        public static final double ASSUMED_LEAD_USABLE = 0.5;

        public static final double ASSUMED_LITHIUM_USABLE = 0.85;
        private static final double LITHIUM_LEFT_A_YEAR = 0.97;

        public Battery {
            within("batteryWh", wattHours, 1, 200_000, "Wh");
            within("idleW", idleW, 0, 200, "W");
            within("inverterEfficiency", efficiency, 0.3, 1, "");
            within("batteryYearsOld", yearsOld, 0, 30, "years");
            within("usableShare", usableShare, 0.05, 1, "");
        }

        /** With the share that is assumed of its kind. */
        public Battery(
                double wattHours,
                boolean lead,
                double idleW,
                double efficiency,
                @Nullable Double restW,
                double yearsOld) {
            this(wattHours, lead, idleW, efficiency, restW, yearsOld, assumedUsable(lead));
        }

        public static double assumedUsable(boolean lead) {
            return lead ? ASSUMED_LEAD_USABLE : ASSUMED_LITHIUM_USABLE;
        }

        @Override
        public RunTime hours(double loadW) {
            if (restW != null && loadW < restW) {
                return new RunTime(0, 0, 0, false);
            }
            double taken = loadW / efficiency + idleW;
            double left = lead ? leadLeft(yearsOld) : Math.pow(LITHIUM_LEFT_A_YEAR, yearsOld);
            double even = wattHours * usableShare * left / taken;
            // Peukert: below the twenty-hour rate lead gives more than its label, above it less.
            double rated = wattHours / LEAD_HOURS;
            double likely = lead ? even * Math.pow(rated / taken, LEAD_EXPONENT - 1) : even;
            return new RunTime(
                    0.75 * Math.min(even, likely), likely, Math.max(even, likely) * (lead ? 1.6 : 1.1), false);
        }
    }

    /**
     * A generator.
     *
     * @param fuelL in tank and safe cans
     * @param idleLPerH what it burns without load; half a litre for each kWh comes on top (from memory)
     */
    record Generator(double fuelL, double idleLPerH) implements Energy {
        private static final double L_PER_KWH = 0.5;

        public Generator {
            within("fuelL", fuelL, 0, 1000, "L");
            within("idleLPerH", idleLPerH, 0.05, 10, "L/h");
        }

        @Override
        public RunTime hours(double loadW) {
            double hours = fuelL / (idleLPerH + L_PER_KWH * loadW / 1000);
            return new RunTime(0.7 * hours, hours, 1.2 * hours, false);
        }
    }

    /** Lead cells lose about a sixth a year after the first. From memory. */
    private static double leadLeft(double yearsOld) {
        return Math.max(0.25, 1 - 0.16 * Math.max(0, yearsOld - 1));
    }
}
