package jollytide.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import jollytide.demo.TankHistory.ReservoirNote;
import jollytide.demo.TankHistory.Seen;

/**
 * Lantern Reef's 5 L can of saturated limewater: 800 mL a day are planned, 1200 for a week after the line was bled. A
 * fourth of it is missing from the new pump on until then.
 */
public final class LimewaterCan {
    public static final double VESSEL_ML = 5000;
    public static final double ML_PER_DAY = 800;
    public static final double CATCHING_UP_ML_PER_DAY = 1200;

    private static final double SHORT_SHARE = 0.75;
    private static final int SINCE_DAYS = 60;

    private static final double READ_ML = 15;
    private static final double DAY_SCATTER = 0.05;
    /** Twice a week. */
    private static final Duration EVERY = Duration.ofHours(84);

    private final Instant end;
    private final Instant since;
    private final Instant pump;
    private final Instant bled;
    private final Instant caughtUp;

    public LimewaterCan(Instant end, ZoneId zone) {
        this.end = end;
        this.since = DemoHistory.moment(end, zone, SINCE_DAYS, "19:00");
        this.pump = DemoHistory.moment(end, zone, 34, "20:00");
        this.bled = DemoHistory.moment(end, zone, 20, "19:30");
        this.caughtUp = DemoHistory.moment(end, zone, 13, "19:30");
    }

    /** When its pump was replaced by one that falls short. */
    Instant newPump() {
        return pump;
    }

    /** When the air was let out of its line, and more was planned. */
    public Instant bled() {
        return bled;
    }

    /** When as much was planned again as before. */
    public Instant caughtUp() {
        return caughtUp;
    }

    /** What arrives, as a share of what the corals use. */
    double share(Instant t) {
        return arrives(t) / ML_PER_DAY;
    }

    private double arrives(Instant t) {
        double share = !t.isBefore(pump) && t.isBefore(bled) ? SHORT_SHARE : 1;
        double planned = !t.isBefore(bled) && t.isBefore(caughtUp) ? CATCHING_UP_ML_PER_DAY : ML_PER_DAY;
        return share * planned;
    }

    /** As it was read twice a week and filled up again each time. */
    List<ReservoirNote> notes(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<ReservoirNote> notes = new ArrayList<>();
        Instant filled = since;
        double holds = VESSEL_ML;
        notes.add(new ReservoirNote(filled, Seen.FILLED, VESSEL_ML, ""));
        for (Instant at = filled.plus(EVERY); !at.isAfter(end); at = at.plus(EVERY)) {
            holds -= delivered(at.minus(EVERY), at) * (1 + DAY_SCATTER / 2 * random.nextGaussian());
            notes.add(new ReservoirNote(at, Seen.LEVEL, holds + READ_ML * random.nextGaussian(), ""));
            notes.add(new ReservoirNote(at, Seen.FILLED, VESSEL_ML, ""));
            holds = VESSEL_ML;
        }
        notes.add(new ReservoirNote(bled.minus(Duration.ofMinutes(20)), Seen.BUBBLES, 0, ""));
        return notes;
    }

    /** Half hour by half hour. */
    private double delivered(Instant from, Instant until) {
        double ml = 0;
        Duration step = Duration.ofMinutes(30);
        for (Instant t = from; t.isBefore(until); t = t.plus(step)) {
            ml += arrives(t) / 48;
        }
        return ml;
    }
}
