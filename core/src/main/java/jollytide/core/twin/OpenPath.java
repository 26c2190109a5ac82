package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.util.List;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Fall;
import jollytide.core.exchange.Gas;
import jollytide.core.exchange.Path;
import jollytide.core.exchange.Surface;
import jollytide.core.seawater.Seawater;

/**
 * Water that lies open to air: a surface, a fall, a stone. The flux is linear in the difference of the gas's pressure
 * (Liss and Slater 1974).
 *
 * @param over the air that it meets
 * @param times what it carries, over what its physics lets expect
 */
public record OpenPath(Channel channel, Air over, Path path, double times) implements Part.Opening {
    public OpenPath {
        within("pathTimes", times, 0, 1000, "");
    }

    public OpenPath(Channel channel, Air over, Path path) {
        this(channel, over, path, 1);
    }

    public static OpenPath surface(String name, Air over, Surface surface) {
        return new OpenPath(new Channel(Channel.Kind.SURFACE, name), over, surface);
    }

    public static OpenPath fall(String name, Air over, Fall fall) {
        return new OpenPath(new Channel(Channel.Kind.FALL, name), over, fall);
    }

    public static OpenPath stone(String name, Air air, Path stone) {
        return new OpenPath(new Channel(Channel.Kind.STONE, name), air, stone);
    }

    /** The same, carrying so much of what it did. */
    public OpenPath times(double factor) {
        return new OpenPath(channel, over, path, times * factor);
    }

    @Override
    public List<Channel> channels() {
        return List.of(channel);
    }

    @Override
    public double[] warm(Seawater water) {
        Conductance conductance = path.conductance(water);
        return new double[] {conductance.co2() * times, conductance.oxygen() * times};
    }

    @Override
    public void opens(Moment now) {
        now.open(over, Gas.CO2, now.warm(0) * now.inWater(Gas.CO2), now.warm(0));
        now.open(over, Gas.OXYGEN, now.warm(1) * now.inWater(Gas.OXYGEN), now.warm(1));
    }

    @Override
    public void acts(Moment now) {
        now.gain(
                0,
                now.warm(0) * (now.in(over, Gas.CO2) - now.inWater(Gas.CO2)),
                now.warm(1) * (now.in(over, Gas.OXYGEN) - now.inWater(Gas.OXYGEN)));
    }

    @Override
    public List<Exchange> exchanges(Moment now) {
        return List.of(new Exchange(
                channel,
                new Conductance(now.warm(0), now.warm(1)),
                1,
                now.in(over, Gas.CO2),
                now.in(over, Gas.OXYGEN),
                null));
    }
}
