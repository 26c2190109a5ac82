package jollytide.core.staircase;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What the staircase says, in words.
 *
 * @param headline the finding in a few words
 * @param because one sentence with the numbers it rests on
 * @param next one sentence: the step that helps or the measurement that decides
 * @param step which step that is
 * @param urgency how soon
 * @param remark something else that the readings say, such as what a hose really delivers; null when nothing
 * @param lookAt the hour to look at, when the step is to look at another
 * @param cautions what concerns people's safety at this step
 */
public record Verdict(
        Kind kind,
        String headline,
        String because,
        String next,
        Step step,
        Urgency urgency,
        @Nullable String remark,
        @Nullable Instant lookAt,
        List<String> cautions) {

    /** The findings, in the order in which they are tried. */
    public enum Kind {
        PH_MISSING,
        ALKALINITY_MISSING,
        PROBE_IMPLAUSIBLE,
        ROOM_MISSING,
        ROOM_STALE,
        OVERDOSE,
        IN_BAND,
        IN_BAND_NOW,
        ABOVE_BAND,
        LOW_ALKALINITY,
        TANK_TAKES_UP,
        ROOM_DOMINATES,
        TANK_DOMINATES,
        TOO_CLOSE
    }

    /** How soon, by the keeper's band and stance. */
    public enum Urgency {
        NONE,
        /** Below the goal, but the stance is steady and the act line is not reached. */
        CAN_WAIT,
        WORTH_DOING,
        /** Below the act line. */
        ACT_NOW,
        /** Above the peak's limit. */
        STOP_RAISING,
        /** So high, or so fast up, that animals are in danger. */
        DANGER
    }

    /** What the keeper does next. */
    public enum Step {
        MEASURE_PH,
        TEST_ALKALINITY,
        CHECK_PROBE,
        MEASURE_ROOM,
        MEASURE_OUTDOORS,
        MEASURE_TEMPERATURE,
        MEASURE_SALINITY,
        VENTILATE,
        MORE_GAS_EXCHANGE,
        RAISE_ALKALINITY,
        STOP_DOSING,
        SEE_WORST_HOUR,
        KEEP_WATCHING
    }
}
