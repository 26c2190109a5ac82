package jollytide.core.twin;

import static jollytide.core.units.Quantities.within;

import java.time.Instant;
import java.util.List;
import jollytide.core.reef.Life;
import jollytide.core.seawater.Seawater;

/**
 * Algae under their own lamp.
 *
 * @param mmolPerH gross photosynthesis while lit, at 25 °C
 * @param quotient moles of CO2 for each of oxygen
 */
public record Refugium(double mmolPerH, double quotient, Lamp light) implements Part {
    public Refugium {
        within("refugiumMmolPerH", mmolPerH, 0, 10_000, "mmol/h");
    }

    @Override
    public List<Channel> channels() {
        return List.of(new Channel(Channel.Kind.REFUGIUM));
    }

    @Override
    public double[] warm(Seawater water) {
        return new double[] {Life.metabolism(water.temperatureC())};
    }

    @Override
    public Instant nextSwitch(Moment now, Instant until) {
        return light.nextSwitch(now.at(), until);
    }

    @Override
    public void acts(Moment now) {
        double oxygen = now.warm(0) * mmolPerH / 1000 * light.at(now.at()) * now.carbonLeft();
        now.gain(0, -oxygen * quotient, oxygen);
    }
}
