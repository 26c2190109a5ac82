package jollytide.core.description;

import static jollytide.core.units.Quantities.within;

import java.util.Arrays;
import jollytide.core.air.People;
import jollytide.core.air.RoomAir;

/**
 * The room through an ordinary day: its measured or assumed CO2, and how fast its air is changed. From both follows what
 * is breathed into it, so that another ventilation or other people can be tried.
 *
 * @param ppm by the hour
 * @param airChangesPerH with outdoors, windows as they are on such a day
 */
public record RoomDay(DailyAir ppm, double airChangesPerH) {
    public RoomDay {
        within("airChangesPerH", airChangesPerH, 0.02, 50, "1/h");
    }

    /**
     * With the air changes that a room of this day must at least have: CO2 cannot fall faster than the air is changed.
     *
     * @param assumed when the day itself does not ask for more
     */
    public static RoomDay of(DailyAir ppm, double outdoorPpm, double assumed) {
        double least = 0;
        for (int h = 0; h < 24; h++) {
            double now = ppm.hourlyPpm().get(h) - outdoorPpm;
            double next = ppm.hourlyPpm().get((h + 1) % 24) - outdoorPpm;
            if (next > 20 && now > next) {
                least = Math.max(least, Math.log(now / next));
            }
        }
        return new RoomDay(ppm, Math.max(assumed, Math.min(50, least)));
    }

    /** When everybody sleeps where nobody said: 23 to 7 h. From memory. */
    private static final int TO_BED = 23;

    private static final int UP = 7;
    private static final double MOST_PPM = 10_000;
    /** Days after which a room has forgotten where it began. */
    private static final int SETTLING_DAYS = 5;

    /**
     * The day of a room whose CO2 nobody measured, from who lives in it: asleep by night, awake by day, all at home. Each
     * hour is solved exactly (well-mixed room, ASTM D6245).
     */
    public static RoomDay ofPeople(People people, double volumeM3, double airChangesPerH, double outdoorPpm) {
        double[] ppm = new double[24];
        double now = outdoorPpm;
        for (int h = 0; h < 24 * SETTLING_DAYS; h++) {
            int hour = h % 24;
            ppm[hour] = now;
            boolean asleep = hour >= TO_BED || hour < UP;
            double rests = RoomAir.steadyStatePpm(
                    outdoorPpm, asleep ? people.asleepLPerS() : people.awakeLPerS(), volumeM3, airChangesPerH);
            now = rests + (now - rests) * Math.exp(-airChangesPerH);
        }
        return new RoomDay(
                new DailyAir(
                        Arrays.stream(ppm).mapToObj(p -> Math.min(MOST_PPM, p)).toList()),
                airChangesPerH);
    }

    /** What is breathed into the room at a local hour, ppm/h: dC/dt + n (C − outdoors), straight between the hours. */
    public double sourcePpmPerH(double localHour, double outdoorPpm) {
        int hour = (int) localHour % 24;
        double share = localHour - Math.floor(localHour);
        return (1 - share) * sourceAt(hour, outdoorPpm) + share * sourceAt((hour + 1) % 24, outdoorPpm);
    }

    private double sourceAt(int hour, double outdoorPpm) {
        double slope = (ppm.hourlyPpm().get((hour + 1) % 24) - ppm.hourlyPpm().get((hour + 23) % 24)) / 2;
        return Math.max(0, slope + airChangesPerH * (ppm.hourlyPpm().get(hour) - outdoorPpm));
    }
}
