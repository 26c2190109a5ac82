package jollytide.core.outage;

/**
 * One way of taking what is not known, as {@link OutageAssumptions} gives it.
 *
 * @param demandTimes the estimated demand
 * @param stillCmPerH transfer velocity of a surface without pumps, at Schmidt number 600
 * @param startMgPerL added to the oxygen at the start when that was not measured
 * @param fishActivity over rest
 */
public record Guess(double demandTimes, double stillCmPerH, double startMgPerL, double fishActivity) {}
