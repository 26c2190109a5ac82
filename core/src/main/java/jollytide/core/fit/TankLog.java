package jollytide.core.fit;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import jollytide.core.description.RoomCourse;
import jollytide.core.description.TankParameters;
import jollytide.core.measure.Setup;
import jollytide.core.twin.TwinState;
import org.jspecify.annotations.Nullable;

/**
 * What was logged of a tank, and as what it stood in which hours.
 *
 * @param ph NBS scale, means of half hours at their middles, as the probe's calibration corrects them
 * @param oxygen mg/L, likewise
 * @param room its CO2, hour by hour
 * @param roomMeasured whether the room's ordinary day is from a meter
 * @param alkalinity through the log
 * @param temperature through the log; null where it was not read, and the water keeps its usual one
 * @param interludes in which it was another tank than now, in their order
 */
public record TankLog(
        List<Reading> ph,
        List<Reading> oxygen,
        RoomCourse room,
        boolean roomMeasured,
        AlkalinityCourse alkalinity,
        @Nullable TemperatureCourse temperature,
        List<Interlude> interludes) {
    /** A run begins with the water as it should be by the first reading: by then it follows the tank. */
    public static final Duration RUN_IN = Duration.ofDays(1);

    /** So much of a log tells something. */
    private static final Duration LEAST = Duration.ofHours(12);

    public TankLog {
        ph = inOrder(ph);
        oxygen = inOrder(oxygen);
        interludes = List.copyOf(interludes);
    }

    /** Without interludes, at the usual temperature. */
    public TankLog(
            List<Reading> ph,
            List<Reading> oxygen,
            RoomCourse room,
            boolean roomMeasured,
            AlkalinityCourse alkalinity) {
        this(ph, oxygen, room, roomMeasured, alkalinity, null, List.of());
    }

    /**
     * Hours in which it was another tank than it is now: before a hose was fitted, or with the skimmer off to see what
     * that does.
     */
    public record Interlude(Instant from, Instant until, Setup as) {
        boolean holds(Instant t) {
            return !t.isBefore(from) && t.isBefore(until);
        }
    }

    private static List<Reading> inOrder(List<Reading> readings) {
        return readings.stream().sorted(Comparator.comparing(Reading::at)).toList();
    }

    /**
     * What a tank would have shown at the moments of the readings of pH: run through this log's rooms and alkalinity from
     * the first reading on. The probe is taken to be right.
     *
     * @param setup as it was described, with nothing corrected
     * @throws jollytide.core.units.InputException when this tank leaves what water can be
     */
    public List<Reading> shownBy(Setup setup, TankParameters tank) {
        double[] shown = LogRun.at(new LogRun(setup, this).run(tank, 0), ph, TwinState::phNbs);
        return IntStream.range(0, ph.size())
                .mapToObj(i -> new Reading(ph.get(i).at(), shown[i]))
                .toList();
    }

    /** How many tests of alkalinity there were between two times. */
    public int tests(Instant from, Instant until) {
        return (int) alkalinity.smoothed().stream()
                .filter(t -> !t.at().isBefore(from) && t.at().isBefore(until))
                .count();
    }

    /** The same with an alkalinity that never moved. */
    public TankLog withSteadyAlkalinity(double meqPerL) {
        return new TankLog(
                ph,
                oxygen,
                room,
                roomMeasured,
                new AlkalinityCourse(List.of(new Reading(Instant.EPOCH, meqPerL))),
                temperature,
                interludes);
    }

    /** The same as another tank in some hours. */
    public TankLog with(List<Interlude> others) {
        return new TankLog(ph, oxygen, room, roomMeasured, alkalinity, temperature, others);
    }

    /** Whether there is anything to fit to. */
    public boolean tells() {
        return ph.size() > 1 && Duration.between(from(), until()).compareTo(LEAST) >= 0;
    }

    Instant from() {
        return ph.get(0).at();
    }

    Instant until() {
        return Stream.of(ph, oxygen)
                .filter(readings -> !readings.isEmpty())
                .map(readings -> readings.get(readings.size() - 1).at())
                .max(Comparator.naturalOrder())
                .orElseThrow();
    }
}
