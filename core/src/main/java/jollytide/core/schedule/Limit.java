package jollytide.core.schedule;

import static jollytide.core.units.Quantities.within;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import jollytide.core.evidence.Quantity;
import jollytide.core.fit.Reading;
import jollytide.core.measure.MediaUse;

/**
 * A side of a measured value, replayed over what was read: never a switch that was or was not seen.
 *
 * @param above whether it is the side above the value, else below
 * @param hysteresis it is left only so far on the other side
 * @param leastOn it holds at least so long once it holds, {@code leastOff} likewise
 * @param staleAfter without a reading for so long nothing is known
 */
public record Limit(
        Quantity quantity,
        boolean above,
        double value,
        double hysteresis,
        Duration leastOn,
        Duration leastOff,
        Duration staleAfter) {
    /** What readings say of it. */
    public enum Said {
        HOLDS,
        DOES_NOT,
        /** The newest reading is too old, or there is none. */
        NOT_KNOWN
    }

    public Limit {
        within("hysteresis", hysteresis, 0, 1000, "");
        within("staleAfter", staleAfter.toSeconds() / 60.0, 1, 14_400, "min");
    }

    /** Below a pH, as media are commonly let in: switched every ten minutes at most, by no reading older than half an hour. */
    public static Limit mediaBelow(double phNbs) {
        return new Limit(
                Quantity.PH,
                false,
                phNbs,
                MediaUse.HYSTERESIS_PH,
                Duration.ofMinutes(10),
                Duration.ofMinutes(10),
                Duration.ofMinutes(30));
    }

    /** From when on it says what; before the first nothing is known. */
    record Turns(NavigableMap<Instant, Said> said) {
        static final Turns NONE = new Turns(new TreeMap<>());
    }

    /** @param readings of its quantity, in their order, from long enough before */
    public Said at(Instant t, List<Reading> readings) {
        return at(t, turns(readings));
    }

    static Said at(Instant t, Turns turns) {
        Map.Entry<Instant, Said> last = turns.said().floorEntry(t);
        return last == null ? Said.NOT_KNOWN : last.getValue();
    }

    /** What it says one after the other, each by what was read until then. */
    Turns turns(List<Reading> readings) {
        NavigableMap<Instant, Said> turns = new TreeMap<>();
        boolean holds = false;
        Instant since = Instant.MIN;
        Instant stale = Instant.MAX;
        for (Reading reading : readings) {
            if (stale.isBefore(reading.at())) {
                turns.put(stale, Said.NOT_KNOWN);
            }
            stale = reading.at().plus(staleAfter);
            boolean turned = holds ? left(reading.value()) : beyond(reading.value());
            Duration least = holds ? leastOn : leastOff;
            boolean may = since.equals(Instant.MIN) || !reading.at().isBefore(since.plus(least));
            if (turned && may) {
                holds = !holds;
                since = reading.at();
            }
            Said said = holds ? Said.HOLDS : Said.DOES_NOT;
            if (turns.isEmpty() || turns.lastEntry().getValue() != said) {
                turns.put(reading.at(), said);
            }
        }
        if (!turns.isEmpty()) {
            turns.put(stale, Said.NOT_KNOWN);
        }
        return new Turns(turns);
    }

    private boolean beyond(double read) {
        return above ? read > value : read < value;
    }

    private boolean left(double read) {
        return above ? read < value - hysteresis : read > value + hysteresis;
    }
}
