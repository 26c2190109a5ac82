package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;

/**
 * The tank's room, well mixed: as it was measured, or filled by who breathes in it and aired (ASTM D6245). The tank's
 * own respiration is left out of it, a hundredth of a person's.
 *
 * @param startPpm where a computed room begins, dry ppm
 * @param second the room next door; null without
 */
public record RoomSpace(
        double startPpm, Hours hours, @Nullable Second second) implements Part.Governing {

    /** Of the room next door, dry ppm. */
    public static final Stock SECOND_CO2 = new Stock("second-room.co2", 0, 1e-1, 1e-5);

    /** What acts on the room hour by hour; continuous between the tank's switches. */
    public interface Hours {
        /** The room's air where it is known rather than computed, dry ppm; else NaN. */
        default double knownPpm(Instant t) {
            return Double.NaN;
        }

        /** What people add. */
        default double sourcePpmPerH(Instant t) {
            return 0;
        }

        /** With outdoors. */
        default double airChangesPerH(Instant t) {
            return 0;
        }

        /** Air that ventilation brings, dry ppm. */
        default double outdoorPpm(Instant t) {
            return 0;
        }

        /** As it was measured, or does not matter. */
        static Hours known(ToDoubleFunction<Instant> ppm) {
            return new Hours() {
                @Override
                public double knownPpm(Instant t) {
                    return ppm.applyAsDouble(t);
                }
            };
        }

        static Hours known(double ppm) {
            return known(t -> ppm);
        }

        /** Filled by people and aired. */
        static Hours breathed(ToDoubleFunction<Instant> sourcePpmPerH, double airChangesPerH, double outdoorPpm) {
            return new Hours() {
                @Override
                public double sourcePpmPerH(Instant t) {
                    return sourcePpmPerH.applyAsDouble(t);
                }

                @Override
                public double airChangesPerH(Instant t) {
                    return airChangesPerH;
                }

                @Override
                public double outdoorPpm(Instant t) {
                    return outdoorPpm;
                }
            };
        }
    }

    /** What a respiration of so many L/s adds to a room, ppm/h. */
    public static double ppmPerH(double generationLPerS, double volumeM3) {
        return generationLPerS * 3.6 / within("roomVolumeM3", volumeM3, 1, 100_000, "m³") * 1e6;
    }

    /**
     * A room behind a door.
     *
     * @param startPpm where it begins, dry ppm
     * @param throughDoorPerH air through the door, over the volume of the tank's room
     * @param volumeRatio its volume over that of the tank's room
     */
    public record Second(
            double startPpm,
            double sourcePpmPerH,
            double airChangesPerH,
            double outdoorPpm,
            double throughDoorPerH,
            double volumeRatio) {
        public Second {
            within("volumeRatio", volumeRatio, 0.01, 100, "");
        }
    }

    public RoomSpace(double startPpm, Hours hours) {
        this(startPpm, hours, null);
    }

    @Override
    public List<Stock> stocks() {
        Stock own = new Stock("room.co2", startPpm, 1e-1, 1e-5);
        return second == null ? List.of(own) : List.of(own, SECOND_CO2.startingAt(second.startPpm()));
    }

    /** Notes its air. */
    @Override
    public void governs(Moment now) {
        double known = hours.knownPpm(now.at());
        now.note(0, Double.isNaN(known) ? now.held(0) : known);
        now.govern(Air.ROOM, now.noted(0));
    }

    @Override
    public void acts(Moment now) {
        double gap = second == null ? 0 : now.held(1) - now.noted(0);
        if (Double.isNaN(hours.knownPpm(now.at()))) {
            now.change(
                    0,
                    hours.airChangesPerH(now.at()) * (hours.outdoorPpm(now.at()) - now.held(0))
                            + hours.sourcePpmPerH(now.at())
                            + (second == null ? 0 : second.throughDoorPerH() * gap));
        }
        if (second != null) {
            now.change(
                    1,
                    second.airChangesPerH() * (second.outdoorPpm() - now.held(1))
                            + second.sourcePpmPerH()
                            - second.throughDoorPerH() / second.volumeRatio() * gap);
        }
    }

    /** Where the air is known the stock follows the hour, so that another tank can go on from it. */
    @Override
    public void shows(Moment now) {
        double known = hours.knownPpm(now.at());
        if (!Double.isNaN(known)) {
            now.set(0, known);
        }
    }
}
