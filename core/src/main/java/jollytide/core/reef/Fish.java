package jollytide.core.reef;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.seawater.Gases;

/** The fish of a tank and what they breathe. */
public record Fish(List<Group> groups) {
    public static final Fish NONE = new Fish(List.of());
    /** Over rest. From memory, as are {@link #FED} and {@link #CHASED}. */
    public static final double ACTIVE = 1.5;

    public static final double FED = 2;
    public static final double CHASED = 3;
    /** Moles of ammonia nitrogen for each mole of oxygen. From memory. */
    public static final double AMMONIA_PER_OXYGEN = 0.15;

    /** Below this oxygen no living tank is found on an ordinary night, mg/L. From memory. */
    public static final double UNLIKELY_MG_PER_L = 3;

    private static final double REFERENCE_G = 50;
    private static final double MASS_EXPONENT = 0.79;

    /** Fish of about one size. */
    public record Group(int count, double massG) {
        public Group {
            within("fishCount", count, 0, 10_000, "");
            within("fishMassG", massG, 0.05, 50_000, "g");
        }
    }

    public Fish {
        groups = List.copyOf(groups);
    }

    /** Fish of a tank whose keeper has not described them, of one each. From memory. */
    public static final double USUAL_G = 20;

    /** What commonly swims in a tank of this kind: so many grams a litre (from memory), in fish of {@link #USUAL_G}. */
    public static Fish usual(Livestock lives, double litres) {
        int count = (int) Math.ceil(lives.usualFishGPerL() * within("litres", litres, 0, 100_000, "L") / USUAL_G);
        return new Fish(List.of(new Group(count, USUAL_G)));
    }

    public int count() {
        return groups.stream().mapToInt(Group::count).sum();
    }

    public double massG() {
        return groups.stream().mapToDouble(g -> g.count * g.massG).sum();
    }

    /**
     * Oxygen at rest, mmol/h: ln of a 50 g fish's is 15.7 − 5020/T, with mass to the power 0.79 (Clarke and Johnston
     * 1999, J. Anim. Ecol. 68, 893; numbers from memory).
     */
    public double oxygenMmolPerH(double celsius) {
        within("temperatureC", celsius, 0, 40, "°C");
        double ofFiftyGrams = Math.exp(15.7 - 5020 / (celsius + 273.15));
        return groups.stream()
                .mapToDouble(g -> g.count * ofFiftyGrams * Math.pow(g.massG / REFERENCE_G, MASS_EXPONENT))
                .sum();
    }

    public double oxygenMgPerH(double celsius) {
        return oxygenMmolPerH(celsius) * Gases.OXYGEN_G_PER_MOL;
    }
}
