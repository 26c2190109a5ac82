package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.List;
import jollytide.core.reef.Fish;
import jollytide.core.reef.OxygenLines;
import jollytide.core.seawater.Seawater;

/**
 * Fish: what they breathe, and the ammonia that nobody takes up.
 *
 * @param activity over rest
 * @param stirred what they breathe over that for a time: they were fed or chased; 1 when they were not
 * @param calmFrom when that is over
 * @param quotient moles of CO2 for each of oxygen
 * @param ammoniaLeft share of their ammonia that gathers; 0 where filter and reef take it up at once
 */
public record Swimmers(
        Fish fish, double activity, double stirred, Instant calmFrom, double quotient, double ammoniaLeft)
        implements Part {
    public Swimmers {
        within("fishActivity", activity, 0, 20, "");
        within("stirred", stirred, 0.1, 10, "");
        within("ammoniaLeft", ammoniaLeft, 0, 1, "");
    }

    /** On an ordinary day. */
    public Swimmers(Fish fish, double activity, double quotient) {
        this(fish, activity, 1, Instant.MIN, quotient, 0);
    }

    @Override
    public List<Channel> channels() {
        return List.of(new Channel(Channel.Kind.FISH));
    }

    @Override
    public double[] warm(Seawater water) {
        return new double[] {fish.oxygenMmolPerH(water.temperatureC()) / 1000 * activity};
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        boolean ahead = calmFrom.isAfter(now.at()) && calmFrom.isBefore(until);
        return ahead ? calmFrom : until;
    }

    @Override
    public void acts(Moment now) {
        double oxygen =
                now.warm(0) * (now.at().isBefore(calmFrom) ? stirred : 1) * OxygenLines.demandLeft(now.oxygenMgPerL());
        now.gain(0, oxygen * quotient, -oxygen);
        now.foul(oxygen * Fish.AMMONIA_PER_OXYGEN * ammoniaLeft);
    }
}
