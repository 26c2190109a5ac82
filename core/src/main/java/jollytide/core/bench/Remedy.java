package jollytide.core.bench;

import static jollytide.core.units.Quantities.within;

import jollytide.core.air.AirLine;
import jollytide.core.air.Enclosure;
import jollytide.core.dosing.AlkalinitySource;
import jollytide.core.media.Media;
import jollytide.core.reef.LightClock;
import org.jspecify.annotations.Nullable;

/** One thing that is changed on the bench. */
public sealed interface Remedy {

    /** Whether the CO2 or the lack of oxygen goes at its root, or is made up for. */
    enum Way {
        REMOVES_THE_SOURCE,
        OFFSETS,
        A_FAULT
    }

    Way way();

    /**
     * Another ventilation of the room.
     *
     * @param times today's air changes: 3 for a window ajar
     * @param extraPerH air changes that a ventilator adds
     */
    record Ventilation(double times, double extraPerH) implements Remedy {
        public Ventilation {
            within("ventilationTimes", times, 0.1, 50, "");
            within("extraAirChangesPerH", extraPerH, 0, 50, "1/h");
        }

        @Override
        public Way way() {
            return times < 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
        }
    }

    /**
     * Other people in the room.
     *
     * @param times today's breath: 0 with nobody home
     * @param extraPpmPerH what guests add
     */
    record Company(double times, double extraPpmPerH) implements Remedy {
        public Company {
            within("peopleTimes", times, 0, 20, "");
            within("extraPpmPerH", extraPpmPerH, 0, 100_000, "ppm/h");
        }

        @Override
        public Way way() {
            return extraPpmPerH > 0 || times > 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
        }
    }

    /**
     * A hose from outdoors to the skimmer.
     *
     * @param mouth air at its mouth; null for ordinary outdoor air
     * @param leakMm width of another inlet left open; 0 when all are plugged
     */
    record OutdoorLine(AirLine line, @Nullable DailyAir mouth, double leakMm) implements Remedy {
        public OutdoorLine {
            within("leakMm", leakMm, 0, 50, "mm");
        }

        @Override
        public Way way() {
            return Way.REMOVES_THE_SOURCE;
        }
    }

    /** When media are in use. */
    enum MediaHours {
        ALWAYS,
        LAMPS_OFF,
        LAMPS_ON,
        BELOW_PH
    }

    /**
     * Scrubber media before the skimmer.
     *
     * @param freshShare of the air while in use; the rest is the skimmer's exhaust led back
     * @param gatePh they are switched in below this, NBS scale, and out 0.05 above it; read with BELOW_PH only
     * @param driesBetween whether fresh air passes them when they are not in use, else it goes around them
     */
    record Scrubber(Media media, double freshShare, MediaHours hours, double gatePh, boolean driesBetween)
            implements Remedy {
        static final double HYSTERESIS_PH = 0.05;

        public Scrubber {
            within("freshShare", freshShare, 0, 1, "");
            within("gatePh", gatePh, 7, 9, "pH");
        }

        @Override
        public Way way() {
            return Way.OFFSETS;
        }
    }

    /** What the skimmer draws, over today: below 1 for a clogged venturi, 0 when it stands still. */
    record SkimmerDraw(double times) implements Remedy {
        public SkimmerDraw {
            within("skimmerShare", times, 0, 5, "");
        }

        @Override
        public Way way() {
            return times < 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
        }
    }

    /** Exchange through the surfaces, over today: outlets tilted up, lids off. */
    record Agitation(double times) implements Remedy {
        public Agitation {
            within("surfaceTimes", times, 0, 10, "");
        }

        @Override
        public Way way() {
            return times < 1 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
        }
    }

    /** Another door or a fan at the cabinet. */
    record CabinetAir(Enclosure cabinet) implements Remedy {
        @Override
        public Way way() {
            return Way.REMOVES_THE_SOURCE;
        }
    }

    /** A lid lifted or a fan under the canopy. */
    record CanopyAir(Enclosure canopy) implements Remedy {
        @Override
        public Way way() {
            return Way.REMOVES_THE_SOURCE;
        }
    }

    /** A stone in room air. What its bubbles transfer lies between a rigid and a mobile skin. */
    record Stone(double airLPerH, double diameterMm, double depthM) implements Remedy {
        public Stone {
            within("stone.airLPerH", airLPerH, 0, 20_000, "L/h");
            within("stone.diameterMm", diameterMm, 0.2, 20, "mm");
            within("stone.depthM", depthM, 0.01, 5, "m");
        }

        @Override
        public Way way() {
            return Way.REMOVES_THE_SOURCE;
        }
    }

    /**
     * So much of the day's alkalinity from another source than today's.
     *
     * @param litresPerDay of a solution, where it is dosed as one; null for a dry amount
     */
    record OtherSource(
            AlkalinitySource source,
            double meqPerLPerDay,
            @Nullable Double litresPerDay) implements Remedy {
        public OtherSource {
            within("meqPerLPerDay", meqPerLPerDay, 0, 50, "meq/(L·day)");
        }

        /** A dry amount. */
        public OtherSource(AlkalinitySource source, double meqPerLPerDay) {
            this(source, meqPerLPerDay, null);
        }

        /** The same solution, more or less of it. */
        OtherSource withMeqPerLPerDay(double meq) {
            Double litres = litresPerDay;
            return new OtherSource(
                    source,
                    meq,
                    litres == null || meqPerLPerDay == 0 ? litres : Double.valueOf(litres * meq / meqPerLPerDay));
        }

        @Override
        public Way way() {
            return Way.OFFSETS;
        }
    }

    /** A higher or lower alkalinity, brought there with soda ash and kept. */
    record AlkalinityChange(double meqPerL) implements Remedy {
        public AlkalinityChange {
            within("alkalinityChangeMeqPerL", meqPerL, -2, 2, "meq/L");
        }

        @Override
        public Way way() {
            return Way.OFFSETS;
        }
    }

    /**
     * Algae under their own lamp.
     *
     * @param mmolPerH gross photosynthesis while lit
     */
    record Refugium(double mmolPerH, LightClock light) implements Remedy {
        public Refugium {
            within("refugiumMmolPerH", mmolPerH, 0, 1000, "mmol/h");
        }

        @Override
        public Way way() {
            return Way.OFFSETS;
        }
    }

    /** A second chamber or an aerated drip cup on the calcium reactor. */
    record ReactorAfterCare(double secondChamberShare, double dripShare) implements Remedy {
        @Override
        public Way way() {
            return Way.REMOVES_THE_SOURCE;
        }
    }

    /** Warmer or cooler water. */
    record Warmth(double kelvin) implements Remedy {
        public Warmth {
            within("warmerByK", kelvin, -8, 8, "K");
        }

        @Override
        public Way way() {
            return kelvin > 0 ? Way.A_FAULT : Way.REMOVES_THE_SOURCE;
        }
    }

    /** Pumps and lamps off: surfaces lie still, falls run dry, nothing is lit. */
    record PowerOff() implements Remedy {
        @Override
        public Way way() {
            return Way.A_FAULT;
        }
    }
}
