package jollytide.core.staircase;

import java.util.List;

/**
 * What the staircase says, in words.
 *
 * @param headline the finding in a few words
 * @param because one sentence with the numbers it rests on
 * @param next one sentence: the step that helps or the measurement that decides
 * @param step which step that is
 * @param urgency how soon
 * @param cautions what concerns people's safety at this step
 */
public record Verdict(
        Kind kind, String headline, String because, String next, Step step, Urgency urgency, List<String> cautions) {

    /** The findings, in the order in which they are tried. */
    public enum Kind {
        PH_MISSING,
        ALKALINITY_MISSING,
        PROBE_IMPLAUSIBLE,
        ROOM_MISSING,
        ROOM_STALE,
        IN_BAND,
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
        ACT_NOW
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
        KEEP_WATCHING
    }
}
