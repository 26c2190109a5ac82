package jollytide.core.measure;

/** What a measure costs: to fit, each month, and in work. Of a set, effort is that of the largest piece. */
public record Cost(double toFit, double perMonth, Effort effort) {
    public static final Cost NOTHING = new Cost(0, 0, Effort.NONE);

    /** How much work it is. */
    public enum Effort {
        NONE,
        MINUTES,
        AN_EVENING,
        A_WEEKEND
    }

    public Cost plus(Cost other) {
        return new Cost(
                toFit + other.toFit,
                perMonth + other.perMonth,
                effort.compareTo(other.effort) >= 0 ? effort : other.effort);
    }

    Cost times(double factor) {
        return new Cost(toFit * factor, perMonth * factor, effort);
    }
}
