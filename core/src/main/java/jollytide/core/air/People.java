package jollytide.core.air;

import static jollytide.core.units.Quantities.within;

/**
 * Who breathes in a room. CO2 per head in L/s: Persily and de Jonge (2017) for mixed adults; children and pets from
 * memory, scaled by body mass.
 */
public record People(int adults, int children, int pets) {
    static final double ADULT_AWAKE_L_PER_S = 0.0043;
    static final double ADULT_ASLEEP_L_PER_S = 0.0034;
    static final double CHILD_AWAKE_L_PER_S = 0.0031;
    static final double CHILD_ASLEEP_L_PER_S = 0.0025;
    static final double PET_L_PER_S = 0.0010;

    public People {
        within("adults", adults, 0, 500, "");
        within("children", children, 0, 500, "");
        within("pets", pets, 0, 100, "");
    }

    public boolean nobody() {
        return adults + children + pets == 0;
    }

    public double awakeLPerS() {
        return adults * ADULT_AWAKE_L_PER_S + children * CHILD_AWAKE_L_PER_S + pets * PET_L_PER_S;
    }

    public double asleepLPerS() {
        return adults * ADULT_ASLEEP_L_PER_S + children * CHILD_ASLEEP_L_PER_S + pets * PET_L_PER_S;
    }
}
