package jollytide.core.outage;

/**
 * Hours as people say them. Time until danger is rounded down, time until help is ready up: what is promised is never later
 * than the sum.
 */
public final class HoursInWords {
    private static final double MINUTES_BELOW_H = 1;
    private static final double HALVES_BELOW_H = 10;
    private static final double DAYS_FROM_H = 48;
    private static final int MINUTE_STEP = 5;
    /** So that 2 h computed as 1.9999999 are still two. */
    private static final double ROUNDING = 1e-6;

    private HoursInWords() {}

    /** Until danger: "25 minutes", "2½ hours", "14 hours", "3 days". */
    public static String untilDanger(double hours) {
        return words(Math.floor(steps(hours) + ROUNDING), hours);
    }

    /** Until help is ready. */
    public static String untilReady(double hours) {
        return words(Math.ceil(steps(hours) - ROUNDING), hours);
    }

    /** How many of the steps that are said at this length. */
    private static double steps(double hours) {
        return hours < MINUTES_BELOW_H
                ? hours * 60 / MINUTE_STEP
                : hours < HALVES_BELOW_H ? hours * 2 : hours < DAYS_FROM_H ? hours : hours / 24;
    }

    private static String words(double steps, double hours) {
        int n = (int) Math.max(0, steps);
        if (hours < MINUTES_BELOW_H) {
            int minutes = n * MINUTE_STEP;
            return minutes == 60 ? "1 hour" : minutes + " minutes";
        }
        if (hours < HALVES_BELOW_H) {
            String half = n % 2 == 1 ? "½" : "";
            return n / 2 + half + (n == 2 ? " hour" : " hours");
        }
        return n + (hours < DAYS_FROM_H ? " hours" : n == 1 ? " day" : " days");
    }
}
