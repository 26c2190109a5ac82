package jollytide.core.staircase;

import java.util.List;

/**
 * What the staircase says, in words.
 *
 * @param headline the finding in a few words
 * @param because one sentence with the numbers it rests on
 * @param next one sentence: the step that helps or the measurement that decides
 * @param step which step that is
 * @param cautions what concerns people's safety at this step
 */
public record Verdict(Kind kind, String headline, String because, String next, Step step, List<String> cautions) {

    /** The findings, in the order in which they are tried. */
    public enum Kind {
        PH_MISSING,
        ALKALINITY_MISSING,
        PROBE_IMPLAUSIBLE,
        ROOM_MISSING,
        ROOM_STALE,
        IN_BAND,
        LOW_ALKALINITY,
        TANK_TAKES_UP,
        ROOM_DOMINATES,
        TANK_DOMINATES,
        TOO_CLOSE
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
