package jollytide.core.logfile;

import java.util.List;
import java.util.Optional;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import org.jspecify.annotations.Nullable;

/**
 * One run of numbers in a file: a column, or all lines with the same name.
 *
 * @param key names it within the file
 * @param label its name for people
 * @param samples a few cells as they stand
 * @param guess what it probably is
 */
public record Channel(String key, String label, List<String> samples, Guess guess) {

    /** A channel with its guess; {@code cells} are all that were sampled, {@code shown} of them are kept. */
    public static Channel of(String key, String label, List<String> cells, int shown, boolean pressureMatters) {
        return new Channel(
                key, label, cells.stream().limit(shown).toList(), ChannelGuess.of(label, cells, pressureMatters));
    }

    /**
     * What a channel probably is.
     *
     * @param quantity null when neither name nor numbers tell
     * @param units the units its numbers could be in, the likeliest first; one when the file leaves no doubt
     * @param places where it could have been measured; one when there is no doubt
     * @param method how loggers usually measure it
     */
    public record Guess(@Nullable Quantity quantity, List<RawUnit> units, List<Place> places, Method method) {

        static final Guess NONE = new Guess(null, List.of(), List.of(), Method.METER);

        /** The meaning when nothing is left open. */
        public Optional<Meaning> certain() {
            return units.size() == 1 && places.size() == 1
                    ? Optional.of(new Meaning(units.get(0), places.get(0), method))
                    : Optional.empty();
        }
    }
}
