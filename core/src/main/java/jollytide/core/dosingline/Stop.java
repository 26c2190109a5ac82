package jollytide.core.dosingline;

/**
 * A rule that stops a plan.
 *
 * @param because one sentence, with the numbers
 * @param mostMlPerDay the largest plan that this rule allows
 */
public record Stop(Rule rule, String because, double mostMlPerDay) {
    /** What must hold of a line. */
    public enum Rule {
        /** Every solution is water: more of it a day than evaporates makes the tank fresher. */
        EVAPORATION,
        /** Alkalinity may climb so much in a day. */
        CLIMB,
        /** A day's doses of all dosing lines at once must be survivable. */
        AT_ONCE,
        /** Where pH is at its highest already, nothing lifts it further. */
        HIGH_PH,
        /** Calcium may not pile up without an end. */
        CALCIUM,
        /** Nor potassium. */
        POTASSIUM,
        /** Nor magnesium. */
        MAGNESIUM,
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
