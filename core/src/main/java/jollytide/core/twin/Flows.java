package jollytide.core.twin;

/**
 * What crossed into the water since a run began, mol; negative for what left. As rates: mol/h.
 *
 * @param openCo2 through surfaces, falls and stones
 * @param skimmerCo2 through the skimmer
 * @param livingCo2 breathed out less taken up by photosynthesis
 * @param alkalinityCo2 that came with alkalinity doses less what calcification took
 * @param openOxygen as for CO2
 * @param skimmerOxygen as for CO2
 * @param livingOxygen made less breathed
 */
public record Flows(
        double openCo2,
        double skimmerCo2,
        double livingCo2,
        double alkalinityCo2,
        double openOxygen,
        double skimmerOxygen,
        double livingOxygen) {
    static final int COUNT = 7;
    static final Flows NONE = new Flows(0, 0, 0, 0, 0, 0, 0);

    static Flows of(double[] y, int from) {
        return new Flows(y[from], y[from + 1], y[from + 2], y[from + 3], y[from + 4], y[from + 5], y[from + 6]);
    }

    void write(double[] y, int from) {
        double[] all = {openCo2, skimmerCo2, livingCo2, alkalinityCo2, openOxygen, skimmerOxygen, livingOxygen};
        System.arraycopy(all, 0, y, from, COUNT);
    }

    /** Net gain of dissolved inorganic carbon. */
    public double co2() {
        return openCo2 + skimmerCo2 + livingCo2 + alkalinityCo2;
    }

    /** Net gain of oxygen. */
    public double oxygen() {
        return openOxygen + skimmerOxygen + livingOxygen;
    }

    public Flows minus(Flows earlier) {
        return new Flows(
                openCo2 - earlier.openCo2,
                skimmerCo2 - earlier.skimmerCo2,
                livingCo2 - earlier.livingCo2,
                alkalinityCo2 - earlier.alkalinityCo2,
                openOxygen - earlier.openOxygen,
                skimmerOxygen - earlier.skimmerOxygen,
                livingOxygen - earlier.livingOxygen);
    }
}
