package jollytide.core.twin;

import jollytide.core.air.Enclosure;
import jollytide.core.exchange.Gas;
import jollytide.core.seawater.Seawater;

/** The air in a cabinet or under a canopy: between the room and the water that lies open to it. */
public record BoxedAir(Air air, Enclosure enclosure) implements Part.Opening {
    @Override
    public double[] warm(Seawater water) {
        return new double[] {enclosure.conductance(water)};
    }

    @Override
    public void opens(Moment now) {
        now.open(air, Gas.CO2, now.warm(0) * now.in(Air.ROOM, Gas.CO2), now.warm(0));
        now.open(air, Gas.OXYGEN, now.warm(0) * now.in(Air.ROOM, Gas.OXYGEN), now.warm(0));
    }
}
