package jollytide.core.doses;

/**
 * A rule that stops a plan.
 *
 * @param because one sentence, with the numbers
 * @param mostMlPerDay the largest plan that this rule allows; for a vessel, the largest vessel, mL
 */
public record Stop(Rule rule, String because, double mostMlPerDay) {
    /** What must hold of a line. */
    public enum Rule {
        /** Limewater is water: more of it a day than evaporates makes the tank fresher. */
        EVAPORATION,
        /** Alkalinity may climb so much in a day. */
        CLIMB,
        /** A reservoir that empties at once must be survivable. */
        AT_ONCE,
        /** One dose, once mixed, may lift pH by so much. */
        SINGLE_DOSE,
        /** What falls out where it meets is dosed at other times. */
        APART,
        /** And at another place. */
        SAME_PLACE,
        /** What brings no alkalinity moves no pH. */
        NO_REMEDY
    }
}
