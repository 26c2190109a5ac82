package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

/** The air outside, dry ppm of CO2. */
public record Outdoors(double ppm) implements Part.Governing {
    public Outdoors {
        within("outdoorPpm", ppm, 100, 20_000, "ppm");
    }

    @Override
    public void governs(Moment now) {
        now.govern(Air.OUTDOORS, ppm);
    }
}
