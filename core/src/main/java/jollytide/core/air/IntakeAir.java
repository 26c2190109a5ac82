package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** Where the air comes from that is breathed at an intake: a mixture of the room's and of outdoor air. */
public final class IntakeAir {
    /** Room and outdoors closer than this do not tell what an intake breathes. From memory. */
    public static final double LEAST_GAP_PPM = 100;

    /** Two readings by meters that stand off by 25 ppm each. From memory. */
    public static final double TWO_READINGS_PPM = 25 * Math.sqrt(2);
    /** No meter tells a share that is closer to none or all. */
    private static final double CLOSEST = 0.02;

    private IntakeAir() {}

    /**
     * How much of what is breathed comes through a hose.
     *
     * @param outdoors 0 to 1
     * @param lnOddsDeviation how far it may be off: one standard deviation of the logarithm of its odds
     */
    public record Share(double outdoors, double lnOddsDeviation) {
        /**
         * Of a hose whose intake nobody measured: most are tight, some leave a second inlet open; two thirds to nearly
         * all in nine of ten. From memory.
         */
        public static final Share ASSUMED = new Share(0.95, 1.5);

        public Share {
            within("outdoorShare", outdoors, 0, 1, "");
            within("lnOddsDeviation", lnOddsDeviation, 0.01, 3, "");
        }

        /** As assumed, but never more than a described leak leaves. */
        public static Share atMost(double outdoors) {
            return new Share(Math.min(ASSUMED.outdoors, outdoors), ASSUMED.lnOddsDeviation);
        }
    }

    /** What {@link #outdoorShare} tells, and how well two meters tell it; null when it tells nothing. */
    public static @Nullable Share share(double roomPpm, double intakePpm, double outdoorPpm) {
        OptionalDouble measured = outdoorShare(roomPpm, intakePpm, outdoorPpm);
        if (measured.isEmpty()) {
            return null;
        }
        double share = Math.max(CLOSEST, Math.min(1 - CLOSEST, measured.getAsDouble()));
        double deviation = TWO_READINGS_PPM / (roomPpm - outdoorPpm) / (share * (1 - share));
        return new Share(share, Math.min(Share.ASSUMED.lnOddsDeviation, deviation));
    }

    /** A share whose odds, outdoors to indoors, are so many times those that were expected. */
    public static double withOdds(double share, double times) {
        return share * times / (1 - share + share * times);
    }

    /**
     * How much of it comes from outdoors, 0 to 1: (room − intake) ÷ (room − outdoors), the balance of two airs mixed.
     * Empty when room and outdoors are too alike to tell.
     */
    public static OptionalDouble outdoorShare(double roomPpm, double intakePpm, double outdoorPpm) {
        double gap = roomPpm - outdoorPpm;
        return gap < LEAST_GAP_PPM
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.max(0, Math.min(1, (roomPpm - intakePpm) / gap)));
    }
}
