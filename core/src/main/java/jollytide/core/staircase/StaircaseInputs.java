package jollytide.core.staircase;

import java.time.Instant;
import jollytide.core.evidence.Estimate;
import jollytide.core.evidence.Observation;
import jollytide.core.evidence.RememberedMean;
import jollytide.core.reef.Stance;
import jollytide.core.reef.TargetBand;
import org.jspecify.annotations.Nullable;

/**
 * Everything that one staircase is built from. What was not measured is null: it is said to be missing, or taken from
 * {@link Assumptions} and shown as assumed, never made up.
 *
 * @param at the moment that the staircase describes
 * @param dark whether the tank is dark then
 * @param phNbs pH on the NBS scale
 * @param alkalinityMeqPerL alkalinity in meq/L
 * @param temperatureC temperature in °C
 * @param salinityPsu practical salinity
 * @param calciumMgPerL calcium in mg/L
 * @param roomPpm CO2 of the room's air, dry ppm, weighted over the settling time
 * @param outdoorPpm CO2 of the outdoor air, dry ppm
 * @param intakePpm CO2 at the skimmer's or air pump's intake, dry ppm
 * @param pressureHpa air pressure
 * @param settlingHours how long the water takes to follow the room, over which {@code roomPpm} was weighted
 * @param roomExpectedPpm what the room's size and people let expect with the windows shut
 * @param outdoorLine whether a hose from outdoors is fitted to skimmer or air pump
 * @param day the hours around the moment
 */
public record StaircaseInputs(
        Instant at,
        boolean dark,
        @Nullable Observation phNbs,
        @Nullable Observation alkalinityMeqPerL,
        @Nullable Observation temperatureC,
        @Nullable Observation salinityPsu,
        @Nullable Observation calciumMgPerL,
        @Nullable RememberedMean roomPpm,
        @Nullable Observation outdoorPpm,
        @Nullable Observation intakePpm,
        double pressureHpa,
        TargetBand band,
        Stance stance,
        Estimate settlingHours,
        @Nullable Estimate roomExpectedPpm,
        boolean outdoorLine,
        DayAround day,
        Assumptions assumptions) {}
