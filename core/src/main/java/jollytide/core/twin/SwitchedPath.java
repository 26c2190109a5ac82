package jollytide.core.twin;

import java.time.Instant;
import java.util.List;
import jollytide.core.exchange.Conductance;
import jollytide.core.exchange.Gas;
import jollytide.core.seawater.Seawater;

/** A path between water and air that carries now more, now less: a stone that is switched, a surface whose flow rests. */
public record SwitchedPath(OpenPath path, Dosing.Pace pace) implements Part.Opening {
    @Override
    public List<Channel> channels() {
        return path.channels();
    }

    @Override
    public double[] warm(Seawater water) {
        return path.warm(water);
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        return pace.nextSwitch(now.at(), until);
    }

    @Override
    public void opens(Moment now) {
        double times = pace.timesAt(now.at());
        now.open(path.over(), Gas.CO2, times * now.warm(0) * now.inWater(Gas.CO2), times * now.warm(0));
        now.open(path.over(), Gas.OXYGEN, times * now.warm(1) * now.inWater(Gas.OXYGEN), times * now.warm(1));
    }

    @Override
    public void acts(Moment now) {
        double times = pace.timesAt(now.at());
        now.gain(
                0,
                times * now.warm(0) * (now.in(path.over(), Gas.CO2) - now.inWater(Gas.CO2)),
                times * now.warm(1) * (now.in(path.over(), Gas.OXYGEN) - now.inWater(Gas.OXYGEN)));
    }

    @Override
    public List<Exchange> exchanges(Moment now) {
        return List.of(new Exchange(
                path.channel(),
                new Conductance(now.warm(0), now.warm(1)),
                pace.timesAt(now.at()),
                now.in(path.over(), Gas.CO2),
                now.in(path.over(), Gas.OXYGEN),
                null));
    }
}
