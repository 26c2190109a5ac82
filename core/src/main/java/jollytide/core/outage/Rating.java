package jollytide.core.outage;

import static jollytide.core.units.Quantities.within;

import jollytide.core.units.InputException;
import org.jspecify.annotations.Nullable;

/**
 * What a generator or an inverter carries: so much for hours, and so much for the moment in which a motor starts.
 *
 * @param ratedW for hours, as its maker says
 * @param surgeW for a moment; where nobody says it is taken to give no more than for hours
 */
public record Rating(double ratedW, @Nullable Double surgeW) {
    /** A pump's motor takes so many times its watts as it starts. Common practice, from memory. */
    public static final double STARTS_AT = 3;

    public Rating {
        within("ratedW", ratedW, 1, 50_000, "W");
        if (surgeW != null) {
            within("surgeW", surgeW, ratedW, 100_000, "W");
        }
    }

    /**
     * @param loadW of all that is plugged in
     * @param largestMotorW the last that starts; where nobody says, all of it is one motor
     * @throws InputException where it would switch off
     */
    public void carries(double loadW, @Nullable Double largestMotorW) {
        if (loadW > ratedW) {
            throw new InputException(
                    "loadW",
                    loadW,
                    "at most the continuous power, " + whole(ratedW) + " W",
                    "Overloaded: power would cut out. Plug in return and air pump first. Leave the heater off.");
        }
        double motorW = largestMotorW == null ? loadW : within("motorW", largestMotorW, 0, loadW, "W");
        double starting = loadW + (STARTS_AT - 1) * motorW;
        double most = surgeW == null ? ratedW : surgeW;
        if (starting > most) {
            throw new InputException(
                    "motorW",
                    motorW,
                    "at most " + whole(most) + " W when the largest pump starts",
                    "Starting pumps need about " + whole(starting)
                            + " W for a moment: power would cut out. Plug in fewer pumps. Start the largest first.");
        }
    }

    private static String whole(double watts) {
        return String.valueOf(Math.round(watts));
    }
}
