package jollytide.core.outage;

/**
 * One way of taking what is not known. From memory.
 *
 * @param demandTimes the estimated demand
 * @param stillCmPerH transfer velocity of a surface without pumps, at Schmidt number 600
 * @param startMgPerL added to the oxygen at the start when that was not measured
 * @param fishActivity over rest
 */
public record Guess(double demandTimes, double stillCmPerH, double startMgPerL, double fishActivity) {
    public static final Guess EARLY = new Guess(1.25, 1.0, -0.4, 2.0);
    public static final Guess LIKELY = new Guess(1.0, 1.5, 0, 1.5);
    public static final Guess LATE = new Guess(0.8, 2.5, 0.1, 1.0);
}
